import { choice, length, optional } from '@/core/input';
import { LAYOUT_LIMITS } from './layoutForm';

const border = (title: string) => length(title, { min: 0, max: LAYOUT_LIMITS.border });

/** The fields of a layout, as actions and drawings are given them. */
export const LAYOUT_FIELDS = {
  fit: choice('How it meets the sheet', ['within', 'fill', 'cut']),
  place: optional(choice('Border', ['inside', 'outside'])),
  border: border('Border'),
  above: optional(border('Border above')),
  right: optional(border('Border right')),
  below: optional(border('Border below')),
  left: optional(border('Border left')),
  bleed: optional(length('Bleed', { min: 0, max: LAYOUT_LIMITS.bleed })),
  deckle: optional(length('Torn away', { min: 0, max: LAYOUT_LIMITS.deckle })),
};
