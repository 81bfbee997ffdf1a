'use client';
import { useCallback, useEffect, useState } from 'react';
import { takeDeskLink, useDesk } from './deskLink';

/** Whether something that a tab kept is what it is taken for. */
export type Holds<T> = (value: unknown) => value is T;

/**
 * What was last kept under a name in this tab; null when nothing was, it cannot be read, or is
 * not what it is taken for: an older page, or a hand, may have written it.
 */
export function keptInTab<T>(name: string, holds: Holds<T>): T | null {
  try {
    takeDeskLink();
    const kept: unknown = JSON.parse(window.sessionStorage.getItem(name) ?? 'null');
    return holds(kept) ? kept : null;
  } catch {
    return null;
  }
}

/** Keeps something for this tab; null takes it away. A browser that keeps nothing is no harm. */
export function keepInTab(name: string, value: unknown): void {
  try {
    if (value === null) window.sessionStorage.removeItem(name);
    else window.sessionStorage.setItem(name, JSON.stringify(value));
  } catch {
    /* It holds until the page is left. */
  }
}

/** A state that is there again when one comes back to the page in the same tab. */
export function useKept<T>(
  name: string,
  holds: Holds<T>,
): [T | null, (value: T | null) => void] {
  const [value, set] = useState<T | null>(null);
  useDesk(name);
  useEffect(() => set(keptInTab(name, holds)), [name, holds]);
  const keep = useCallback(
    (next: T | null) => {
      set(next);
      keepInTab(name, next);
    },
    [name],
  );
  return [value, keep];
}
