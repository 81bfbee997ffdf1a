/**
 * What to mind about a medium when it is captured: `friable` must not be pressed or rubbed;
 * `glare` throws the light back.
 */
export type MediumCaution = 'friable' | 'glare';

const FRIABLE = /pastel|charcoal|chalk|conté|conte|sanguine|graphite|soot|pigment powder/i;
const GLARE =
  /\boil|acrylic|impasto|varnish|gloss|lacquer|enamel|resin|gold|silver|leaf|metallic|encaustic/i;

/**
 * Cautions by the words of a medium. A rule of thumb: the eye on the work has the last word.
 * @example mediumCautions('oil, varnished') // ['glare']
 */
export const mediumCautions = (medium: string): MediumCaution[] => [
  ...(FRIABLE.test(medium) ? (['friable'] as const) : []),
  ...(GLARE.test(medium) && !/oil pastel/i.test(medium) ? (['glare'] as const) : []),
];
