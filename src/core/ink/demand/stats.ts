import { defineVersioned, numbersIn } from '../../facts';

/** What a picture is made of on paper: the four inks, and the colours that two of them make. */
export const CHANNELS = [
  'cyan',
  'magenta',
  'yellow',
  'black',
  'red',
  'green',
  'blue',
] as const;
export type Channel = (typeof CHANNELS)[number];

/** How much of one there is, 0..1 of the sheet. */
export interface Amount {
  mean: number;
  /** The mean of what is beyond one half, doubled: where a light ink beside it does not reach. */
  dark: number;
}

export type Split = Record<Channel, Amount>;

/**
 * How much of each colour a printed picture takes, shares of its sheet. `part`: greys are mixed of
 * three inks where they are light, and are black where they are dark. `full`: greys are of black
 * and grey inks alone. Of a picture that names four inks itself, both are what it says.
 */
export interface InkStats {
  part: Split;
  full: Split;
}

const isSplit = (value: unknown): boolean =>
  CHANNELS.every((c) =>
    numbersIn((value as Partial<Split> | undefined)?.[c], 'mean', 'dark'),
  );

export const INK_STATS = defineVersioned<InkStats>({
  name: 'ink of a picture',
  upgrades: [],
  holds: ({ part, full }) => isSplit(part) && isSplit(full),
});
