/** Days that can be looked ahead. */
export const WITHIN = ['7', '14', '30', '90'] as const;
