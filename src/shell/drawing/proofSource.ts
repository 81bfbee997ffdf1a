import type { Intent } from '@/core/prepare';
import { WIDE_SCREEN, wideTiles } from './wideColour';

/** A picture of which tiles are asked for, by its pixels and its largest level. */
export interface ProofPicture {
  masterId: number;
  width: number;
  height: number;
  tile: number;
  top: number;
}

/** How a picture is shown: as printed on something, the master itself, or how far it is out of reach. */
export interface Shown {
  show: 'proof' | 'master' | 'reach';
  /** A stored profile, `icc:` and its hash. */
  on: string;
  intent: Intent;
  blackPoint: boolean;
  paperWhite: boolean;
  blackInk: boolean;
  screen: string;
  /** A kept recipe by whose steps colours are changed before they are printed. */
  recipe?: number | null;
}

const yes = (v: boolean) => (v ? 'yes' : 'no');

const asked = (s: Shown): [string, string][] => {
  // What does not change what is shown is always the same, so that a tile has one address.
  const proof = s.show === 'proof';
  return [
    ['show', s.show],
    ['on', s.show === 'master' ? '' : s.on],
    ['intent', proof ? s.intent : 'relative'],
    ['blackPoint', yes(proof && s.blackPoint)],
    ['paperWhite', yes(proof && s.paperWhite)],
    ['blackInk', yes(proof && s.blackInk)],
    ['screen', s.show === 'reach' ? 'srgb' : s.screen],
    ['recipe', proof && s.recipe ? String(s.recipe) : ''],
  ];
};

/** The address of a tile of a picture shown so. */
export const tileUrl = (
  { masterId }: Pick<ProofPicture, 'masterId'>,
  shown: Shown,
  level: number,
  column: number,
  row: number,
): string => {
  const query = new URLSearchParams([
    ...asked(shown),
    ['level', String(level)],
    ['column', String(column)],
    ['row', String(row)],
  ]);
  return `/api/proof-tiles/${masterId}?${query.toString()}`;
};

/** The same as the deep-zoom viewer asks for it. */
export const proofTiles = (picture: ProofPicture, shown: Shown) => ({
  ...(shown.screen === WIDE_SCREEN ? wideTiles : {}),
  width: picture.width,
  height: picture.height,
  tileSize: picture.tile,
  tileOverlap: 0,
  minLevel: 0,
  maxLevel: picture.top,
  getTileUrl: (level: number, x: number, y: number) => tileUrl(picture, shown, level, x, y),
});

/** The level at which the whole picture is not longer than so many pixels. */
export function levelWithin({ width, height, top }: ProofPicture, longest: number): number {
  const halvings = Math.max(0, Math.ceil(Math.log2(Math.max(width, height) / longest)));
  return Math.max(0, top - halvings);
}

/** The tile that is drawn first: the whole picture. */
export const firstTile = (picture: ProofPicture, shown: Shown): string =>
  wholeUrl(picture, shown, picture.tile);

/** The whole picture as one tile. */
export const wholeUrl = (picture: ProofPicture, shown: Shown, longest: number): string =>
  tileUrl(picture, shown, levelWithin(picture, Math.min(longest, picture.tile)), 0, 0);
