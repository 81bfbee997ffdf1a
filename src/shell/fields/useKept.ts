'use client';
import { useCallback, useEffect, useState } from 'react';

/** What was last kept under a name in this tab; null when nothing was, or it cannot be read. */
export function keptInTab<T>(name: string): T | null {
  try {
    return JSON.parse(window.sessionStorage.getItem(name) ?? 'null') as T | null;
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
export function useKept<T>(name: string): [T | null, (value: T | null) => void] {
  const [value, set] = useState<T | null>(null);
  useEffect(() => set(keptInTab<T>(name)), [name]);
  const keep = useCallback(
    (next: T | null) => {
      set(next);
      keepInTab(name, next);
    },
    [name],
  );
  return [value, keep];
}
