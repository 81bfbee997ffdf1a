import { isFigure, isText, listOf, oneOf, shape } from '@/core/facts';
import type { Guard } from '@/core/facts';
import type { AxisPlan } from '@/core/prepare';

/** What a settings sheet is asked for, as it is kept in the tab and sent. */
export interface SettingsDesk {
  axes: AxisPlan[];
  /** The whole picture small, or a piece at the final size. */
  of: 'whole' | 'piece';
  /** Middle of the piece, as shares of the print's picture. */
  x: number;
  y: number;
  sheet: string;
  /** mm. */
  margin: number;
  /** Whether a control strip lies on it; desks of before do not say. */
  strip?: boolean;
}

export const USUAL_AXIS: AxisPlan = { axis: 'lightness', step: 8, sides: 2, words: [] };

export const usualSettings: SettingsDesk = {
  axes: [USUAL_AXIS, { ...USUAL_AXIS, axis: 'warmth', sides: 1 }],
  of: 'whole',
  x: 0.5,
  y: 0.5,
  sheet: 'A4',
  margin: 5,
  strip: true,
};

/** Whether what the tab kept is such a desk. */
export const isSettingsDesk = shape({
  axes: listOf(
    shape({ axis: isText, step: isFigure, sides: isFigure, words: listOf(isText) }),
  ),
  of: oneOf('whole', 'piece'),
  x: isFigure,
  y: isFigure,
  sheet: isText,
  margin: isFigure,
}) as Guard<SettingsDesk>;
