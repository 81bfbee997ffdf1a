/** What is judged of a proof by eye, each on one short scale. */
export const EYE_ASPECTS = [
  'shadows',
  'midtones',
  'highlights',
  'castShadows',
  'castMidtones',
  'castHighlights',
  'saturation',
  'sharpness',
] as const;
export type EyeAspect = (typeof EYE_ASPECTS)[number];

/** -2 much too little, 0 right, 2 much too much; of casts -2 much too cold, 2 much too warm. */
export const EYE_SCALE = [-2, -1, 0, 1, 2] as const;
export type ByEye = Partial<Record<EyeAspect, number>>;

/** The light that a proof was judged in. */
export interface ProofLight {
  /** Illuminance on the print, lx; correlated colour temperature, K; null: not measured. */
  lux: number | null;
  kelvin: number | null;
}
