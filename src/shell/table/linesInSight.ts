'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';

/** Lines drawn beyond those in sight, so that arrow keys find the next one. */
const BEYOND = 3;

/** Which lines are drawn: those in sight of a scrolling list, or all. The picked one is brought in sight. */
export function useLinesInSight(
  count: number,
  lineHeight: number | undefined,
  picked: number,
) {
  const wrap = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count,
    enabled: lineHeight !== undefined,
    estimateSize: () => lineHeight ?? 0,
    getScrollElement: () => wrap.current,
    overscan: BEYOND,
    // Before the list is measured, as many as a screen holds.
    initialRect: { width: 700, height: 330 },
  });
  useEffect(() => {
    if (lineHeight !== undefined && picked >= 0)
      virtual.scrollToIndex(picked, { align: 'auto' });
  }, [virtual, lineHeight, picked]);
  if (lineHeight === undefined) return { wrap, from: 0, to: count, above: 0, below: 0 };
  const items = virtual.getVirtualItems();
  const from = items[0]?.index ?? 0;
  const to = (items.at(-1)?.index ?? -1) + 1;
  return { wrap, from, to, above: from * lineHeight, below: (count - to) * lineHeight };
}
