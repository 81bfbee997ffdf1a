import type { Fit, Layout, Place, Rung } from '@/core/size';
import { mm } from '@/core/units';
import type { Millimetres } from '@/core/units';

/** Most that a field of the layout takes, mm. */
export const LAYOUT_LIMITS = { border: 400, bleed: 20, deckle: 60 } as const;

/** What was said of a layout; what was left empty is like the border, or nothing. */
export interface LayoutSaid {
  fit: Fit;
  place: Place | null;
  border: Millimetres;
  above: Millimetres | null;
  right: Millimetres | null;
  below: Millimetres | null;
  left: Millimetres | null;
  bleed: Millimetres | null;
  deckle: Millimetres | null;
}

export const layoutOf = (said: LayoutSaid): Layout => ({
  fit: said.fit,
  place: said.place ?? 'inside',
  borders: {
    above: said.above ?? said.border,
    right: said.right ?? said.border,
    below: said.below ?? said.border,
    left: said.left ?? said.border,
  },
  bleed: said.bleed ?? mm(0),
  deckle: said.deckle ?? mm(0),
});

/** The figures of a size as an action sends them. */
export const sizeAsked = (workId: number, rungs: readonly Pick<Rung, 'key'>[]) => ({
  workId: String(workId),
  sizeKey: rungs.map((r) => r.key).join(','),
});

/** A layout as an action is told it, every length with its unit. */
export const layoutTyped = (layout: Layout): Record<string, string> => {
  const { fit, place, borders, bleed, deckle } = layout;
  const mm = (length: number) => `${length} mm`;
  return {
    fit,
    place,
    border: mm(borders.above),
    above: mm(borders.above),
    right: mm(borders.right),
    below: mm(borders.below),
    left: mm(borders.left),
    bleed: mm(bleed),
    deckle: mm(deckle),
  };
};
