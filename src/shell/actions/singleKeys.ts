'use client';
import { useEffect } from 'react';

/** Whether keys go into a field. */
export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Single keys of a view; `press` answers whether the key was one of its own. */
export function useSingleKeys(press: (key: string) => boolean): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (press(event.key)) event.preventDefault();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  });
}
