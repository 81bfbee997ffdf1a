/** Colours and measures of the house. The table is neutral grey (R = G = B): pictures are judged on it. */
export const TONES = {
  light: {
    table: '#e4e4e4',
    line: '#9a9a9a',
    ink: '#161616',
    soft: '#474747',
    blue: '#1c4a78',
    ochre: '#6b4700',
    brick: '#8e1c14',
  },
  middle: {
    table: '#c6c6c6',
    line: '#868686',
    ink: '#161616',
    soft: '#3b3b3b',
    blue: '#17406a',
    ochre: '#5c3d00',
    brick: '#84170f',
  },
  dark: {
    table: '#3c3c3c',
    line: '#7d7d7d',
    ink: '#f2f2f2',
    soft: '#cfcfcf',
    blue: '#a9cdf2',
    ochre: '#f1c568',
    brick: '#ffa395',
  },
} as const;

/** On the slip, the rule and the chest the paper is always light. */
export const PAPER = {
  ink: '#161616',
  soft: '#4a4a4a',
  line: '#c4c4c4',
  blue: '#1c4a78',
  ochre: '#6e4a00',
  brick: '#96231a',
};

export const CHEST_WIDTH = 136;
export const RULE_HEIGHT = 74;
export const SLIP_WIDTH = 330;

export const SERIF = "'Newsreader', Georgia, serif";
export const SANS = "'Commissioner', system-ui, sans-serif";

const variables = (c: Record<string, string>) =>
  Object.entries(c)
    .map(([name, value]) => `--${name}:${value};`)
    .join('');

/** Custom properties for each tone of the table. */
export const toneCss = Object.entries(TONES)
  .map(([tone, colours]) => `[data-tone='${tone}']{${variables(colours)}}`)
  .join('');

/** Ink variables as they are on light paper, for any part of the house that is paper. */
export const paperCss = variables(PAPER);

/** Windows as narrow as half a usual one, or twice enlarged: everything stands in one column. */
export const narrow = '@media (max-width: 900px)';
