'use client';
import { useEffect, useSyncExternalStore } from 'react';
import { useBench } from '../figures/BenchContext';

/** Inputs into which nothing is typed. */
const NOT_TYPED = [
  'checkbox',
  'radio',
  'range',
  'button',
  'submit',
  'reset',
  'file',
  'color',
];
/** Parts that take letters themselves: lists that jump to what begins so, days, searches. */
const TAKES_LETTERS =
  '[role="combobox"], [role="listbox"], [role="option"], [role="menu"], [role="menuitem"], [role="spinbutton"], [role="searchbox"], [role="textbox"], [aria-haspopup="listbox"]';

/**
 * Whether keys go into a field, or into what lies on top of the page. Beside ticks, slides and
 * radios they do not.
 */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target.closest('[role="dialog"], [role="alertdialog"]'))
    return true;
  if (target instanceof HTMLInputElement) return !NOT_TYPED.includes(target.type);
  return ['TEXTAREA', 'SELECT'].includes(target.tagName) || target.matches(TAKES_LETTERS);
}

/** A key of its own, and what it does. */
export interface KeyLine {
  key: string;
  does: string;
}

/** Whether a single key that was pressed is meant for the page. */
export const isMeant = (event: KeyboardEvent): boolean =>
  !(event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) &&
  !isTyping(event.target);

/** The keys of the view that is open, for the list of keys. */
const views = new Map<symbol, readonly KeyLine[]>();
const listeners = new Set<() => void>();
const NONE: readonly KeyLine[] = [];
let here: readonly KeyLine[] = NONE;

function changed(): void {
  here = [...views.values()].flat();
  for (const tell of listeners) tell();
}

/** Tells the list of keys what keys a view has; `lines` stand outside of the component. */
export function useKeyLines(lines: readonly KeyLine[]): void {
  useEffect(() => {
    const own = Symbol('view');
    views.set(own, lines);
    changed();
    return () => {
      views.delete(own);
      changed();
    };
  }, [lines]);
}

/** The keys of the view that is open. */
export const useKeysHere = (): readonly KeyLine[] =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => here,
    () => NONE,
  );

/** Single keys of a view; `press` answers whether the key was one of its own. Off where the bench says so. */
export function useSingleKeys(
  lines: readonly KeyLine[],
  press: (key: string) => boolean,
): void {
  const { singleKeys } = useBench();
  useKeyLines(lines);
  useEffect(() => {
    if (!singleKeys) return;
    const hear = (event: KeyboardEvent) => {
      if (isMeant(event) && press(event.key)) event.preventDefault();
    };
    // Before the keys of the house, which leave alone what a view took for its own.
    window.addEventListener('keydown', hear, true);
    return () => window.removeEventListener('keydown', hear, true);
  });
}
