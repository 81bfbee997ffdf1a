import type { Fit, Layout, Place, Rung } from '@/core/size';
import { choice, length, optional } from '@/core/input';
import type { Sent } from '@/core/input';
import { mm } from '@/core/units';
import type { Millimetres } from '@/core/units';

const border = (title: string) => length(title, { min: 0, max: 400 });

/** The fields of a layout, as the page, actions and drawings read them. */
export const LAYOUT_FIELDS = {
  fit: choice('How it meets the sheet', ['within', 'fill', 'cut']),
  place: optional(choice('Border', ['inside', 'outside'])),
  border: border('Border'),
  above: optional(border('Border above')),
  right: optional(border('Border right')),
  below: optional(border('Border below')),
  left: optional(border('Border left')),
  bleed: optional(length('Bleed past the edge', { min: 0, max: 20 })),
  deckle: optional(length('Torn off each side', { min: 0, max: 60 })),
};
/** The same as a form to be drawn. */
export const LAYOUT_FORM = { fields: LAYOUT_FIELDS };
export type LayoutLength = Exclude<keyof typeof LAYOUT_FIELDS, 'fit' | 'place'>;

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

/** A layout as an action is told it by the page, lengths in mm. */
export const layoutSent = ({ fit, place, borders, bleed, deckle }: Layout): Sent => ({
  fit,
  place,
  border: borders.above,
  ...borders,
  bleed,
  deckle,
});
