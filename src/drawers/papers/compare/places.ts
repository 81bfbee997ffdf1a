/** The places of the papers that are compared, in the address. */
export const PLACES = ['a', 'b', 'c'] as const;
