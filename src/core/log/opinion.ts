/** Aspects of a print that are judged apart, each on a scale of its own; 0 is right. */
export const ASPECTS = {
  /** Too soft to too hard. */
  sharpness: [-2, 2],
  /** None, fine, seen, coarse. */
  grain: [0, 3],
  /** None, faint, seen, strong. */
  halos: [0, 3],
  /** Too dark to too light. */
  tone: [-2, 2],
  /** Too dull to too loud. */
  colour: [-2, 2],
} as const satisfies Record<string, readonly [number, number]>;

export type Aspect = keyof typeof ASPECTS;
export const ASPECT_NAMES = Object.keys(ASPECTS) as Aspect[];
export type Opinion = Record<Aspect, number | null>;
