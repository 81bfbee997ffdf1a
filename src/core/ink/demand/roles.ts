import type { Channel } from './stats';

/** What an ink is in its printer: of which colour, and whether it is a light one of it. */
export interface RoleOfInk {
  /** `clear`: laid over all of a glossy print; `waste`: no ink, but the box that takes what cleaning wastes. */
  of: Channel | 'clear' | 'waste';
  light: boolean;
}

/** Everything that is changed in a printer from time to time. */
export const ROLES = {
  cyan: { of: 'cyan', light: false },
  lightCyan: { of: 'cyan', light: true },
  magenta: { of: 'magenta', light: false },
  lightMagenta: { of: 'magenta', light: true },
  yellow: { of: 'yellow', light: false },
  black: { of: 'black', light: false },
  grey: { of: 'black', light: true },
  lightGrey: { of: 'black', light: true },
  red: { of: 'red', light: false },
  orange: { of: 'red', light: false },
  green: { of: 'green', light: false },
  blue: { of: 'blue', light: false },
  violet: { of: 'blue', light: false },
  clear: { of: 'clear', light: false },
  wasteBox: { of: 'waste', light: false },
} as const satisfies Record<string, RoleOfInk>;

export type InkRole = keyof typeof ROLES;
export const INK_ROLES = Object.keys(ROLES) as InkRole[];

/** Papers that an ink is printed on: some printers have one black for matte papers, another for the rest. */
export const INK_PAPERS = ['all', 'matte', 'glossy'] as const;
export type InkPapers = (typeof INK_PAPERS)[number];

/** Surfaces that are printed with the black for matte papers. */
const MATTE: readonly string[] = ['matte', 'textured'];

/**
 * Whether a surface is printed as a glossy one.
 * @example isGlossy('textured') // false
 */
export const isGlossy = (surface: string): boolean => !MATTE.includes(surface);
