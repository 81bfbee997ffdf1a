/** Whether a paper's white is made by brighteners: they shine by daylight, and fade. */
export const BRIGHTENED = ['not known', 'no', 'yes'] as const;
export type Brightened = (typeof BRIGHTENED)[number];

/** Along which side of a sheet its grain runs. */
export const GRAINS = ['not known', 'along the long side', 'along the short side'] as const;
export type Grain = (typeof GRAINS)[number];

/** What a paper may be signed with. */
export const SIGNED_WITH = [
  'not known',
  'pencil',
  'pigment pen',
  'pencil or pigment pen',
  'white ink',
] as const;
export type SignedWith = (typeof SIGNED_WITH)[number];
