export const BASES = [
  'cotton',
  'alpha cellulose',
  'canvas',
  'baryta',
  'other fibre',
] as const;
export const SURFACES = [
  'matte',
  'textured',
  'satin',
  'lustre',
  'gloss',
  'metallic',
] as const;
