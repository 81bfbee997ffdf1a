'use client';
import { useState } from 'react';

/**
 * Which sheet of a station lies on top, and how another is turned up: the address follows, so that
 * the sheet is there again; nothing is asked anew.
 */
export function useSheet<T extends string>(
  first: T,
  sheetOf: (asked: string) => T,
  href: (id: string) => string,
): [T, (id: string) => void] {
  const [sheet, setSheet] = useState(first);
  return [
    sheet,
    (id) => {
      setSheet(sheetOf(id));
      window.history.replaceState(null, '', href(id));
    },
  ];
}
