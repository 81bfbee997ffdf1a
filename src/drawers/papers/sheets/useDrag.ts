'use client';
import { useRef, useState } from 'react';
import type { PointerEvent } from 'react';
import type { CutPlace, CutSheetPlan } from '@/core/cut';
import { boxOn, cornerOf, snapped } from './onTable';
import type { Table } from './onTable';
import type { SheetsDesk } from './useSheetsDesk';

/** A piece that is moved by hand: how far from where it lay, drawing units. */
export interface Drag {
  sheet: number;
  place: CutPlace;
  from: { x: number; y: number };
  by: { x: number; y: number };
}

/** Less than this is no move. */
const STILL = 5;
const NONE = { left: 0, right: 0, top: 0, bottom: 0 };

/**
 * Pieces moved by hand: on their own sheet they stay where they are let go (at an edge that is
 * near), on another anywhere that straight cuts allow.
 */
export function useDrag(desk: SheetsDesk, sheets: readonly CutSheetPlan[], table: Table) {
  const held = useRef<SVGGElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const { scale } = table;

  /** Drawing units under the pointer. */
  const at = (event: PointerEvent) => {
    const to = held.current!.getScreenCTM()!.inverse();
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(to);
    return { x, y };
  };
  const letGo = () => {
    const now = drag;
    setDrag(null);
    if (!now || Math.hypot(now.by.x, now.by.y) < STILL) return;
    const { piece, copy, turned, ...place } = now.place;
    const from = table.sheets[now.sheet]!;
    const lay = boxOn(from, sheets[now.sheet]!, scale, place);
    const box = { ...lay, x: lay.x + now.by.x, y: lay.y + now.by.y };
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    const onto = table.sheets.findIndex(
      (s) =>
        middle.x >= s.x &&
        middle.x <= s.x + s.width &&
        middle.y >= s.y &&
        middle.y <= s.y + s.height,
    );
    const target = sheets[onto];
    if (!target) return;
    if (onto !== now.sheet) return desk.move({ piece, copy }, onto, null);
    const { margin, gutter, trim, school } = desk.state.rules;
    const prints = school === 'printThenCut';
    const to = snapped(
      target,
      place,
      cornerOf(from, target, scale, box),
      { margin: prints ? margin : NONE, gap: (prints ? gutter : 0) + 2 * trim, edge: trim },
      target.places.filter((p) => p !== now.place),
    );
    desk.move({ piece, copy }, onto, { ...to, turned });
  };
  return {
    held,
    drag,
    down: (event: PointerEvent, sheet: number, place: CutPlace) =>
      setDrag({ sheet, place, from: at(event), by: { x: 0, y: 0 } }),
    onPointerMove: (event: PointerEvent) => {
      if (!drag) return;
      const now = at(event);
      setDrag({ ...drag, by: { x: now.x - drag.from.x, y: now.y - drag.from.y } });
    },
    onPointerUp: letGo,
    onPointerCancel: () => setDrag(null),
  };
}
