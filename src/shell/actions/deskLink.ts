'use client';
import { useEffect } from 'react';

/** What a link carries behind its `#`: what lies on the desks of a view, by their names. */
const MARK = '#desk=';
/** A desk is a page of figures; what is longer is none. */
const LONGEST = 200_000;
const NAME = /^[\w.-]{1,80}$/;

/** Names of the desks that the open view has, each as often as it is used. */
const present = new Map<string, number>();

/** Tells that a view has a desk of this name, so that a link to the view carries what lies on it. */
export function useDesk(name: string): void {
  useEffect(() => {
    present.set(name, (present.get(name) ?? 0) + 1);
    return () => {
      const left = (present.get(name) ?? 1) - 1;
      if (left > 0) present.set(name, left);
      else present.delete(name);
    };
  }, [name]);
}

const packed = (text: string): string =>
  btoa(String.fromCharCode(...new TextEncoder().encode(text)))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

const unpacked = (text: string): string =>
  new TextDecoder().decode(
    Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (c) =>
      c.charCodeAt(0),
    ),
  );

/** The address of the open view, with what lies on its desks. */
export function linkToView(): string {
  const { origin, pathname, search } = window.location;
  const desks: Record<string, string> = {};
  for (const name of present.keys()) {
    const kept = window.sessionStorage.getItem(name);
    if (kept !== null) desks[name] = kept;
  }
  const carried = Object.keys(desks).length > 0 ? MARK + packed(JSON.stringify(desks)) : '';
  return `${origin}${pathname}${search}${carried}`;
}

/**
 * Lays what a link carries onto the desks of this tab; whoever reads a desk sees whether it is
 * one. From then on the address is that of the view alone.
 */
export function takeDeskLink(): void {
  const { hash, pathname, search } = window.location;
  if (!hash.startsWith(MARK) || hash.length > LONGEST) return;
  try {
    const desks: unknown = JSON.parse(unpacked(hash.slice(MARK.length)));
    for (const [name, kept] of Object.entries(desks as Record<string, unknown>))
      if (NAME.test(name) && typeof kept === 'string')
        window.sessionStorage.setItem(name, kept);
  } catch {
    /* A link that was cut or changed carries nothing. */
  }
  window.history.replaceState(window.history.state, '', pathname + search);
}
