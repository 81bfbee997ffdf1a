import { RGB_SPACES, iccProfile } from '@/core/colour';
import {
  IN_ADDRESSES,
  choice,
  defineForm,
  optional,
  rowNumber,
  text,
  whole,
} from '@/core/input';
import { INTENTS, colourSteps } from '@/core/prepare';
import { getMaster, getRecipe } from '@/data';
import { runAtOnce, storePaths } from '@/engine';
import type { TileShows } from '@/engine';
import { studio } from '../open/open';
import { proofTarget } from '../reads/proofFigures';
import { targetFor } from '../reads/targets';
import { colourKept } from './looks';

const MOST_TILES = 4096;
const WIDE = 'display-p3';
const yes = (title: string) => choice(title, ['yes', 'no']);

/** What is asked of a tile: what it shows, on which paper, as which screen shows it, and its place. */
const tile = defineForm({
  show: choice('Show', ['proof', 'master', 'reach']),
  on: text('On', { min: 0, max: 80 }),
  intent: choice('Intent', INTENTS),
  blackPoint: yes('Black point'),
  paperWhite: yes('Paper white'),
  blackInk: yes('Black of the ink'),
  screen: text('Screen', { max: 80 }),
  recipe: optional(rowNumber('Recipe')),
  level: whole('Level', { min: 0, max: 20 }),
  column: whole('Column', { min: 0, max: MOST_TILES }),
  row: whole('Row', { min: 0, max: MOST_TILES }),
});

type Asked = Extract<ReturnType<typeof tile.read>, { ok: true }>['value'];

/** The profile of a screen: a space that browsers know, or one that was brought. */
async function screenOf(
  open: Awaited<ReturnType<typeof studio>>,
  screen: string,
): Promise<Uint8Array | null> {
  if (screen === 'srgb' || screen === WIDE) return iccProfile(RGB_SPACES[screen]);
  const brought = /^icc:[0-9a-f]{64}$/.test(screen)
    ? await targetFor(open, screen as `icc:${string}`)
    : null;
  return brought?.channels === 3 ? brought.icc : null;
}

/** What a tile in Display P3 carries: unlabelled numbers are sRGB, or go to the screen as they are. */
const labelOf = ({ screen, show }: Asked): Uint8Array | undefined =>
  screen === WIDE && show !== 'reach' ? iccProfile(RGB_SPACES[WIDE]) : undefined;

async function shownBy(
  open: Awaited<ReturnType<typeof studio>>,
  v: Asked,
): Promise<TileShows | null> {
  const screen = await screenOf(open, v.screen);
  if (!screen) return null;
  if (v.show === 'master') return { kind: 'master', screen };
  const profile = await proofTarget(open, v.on);
  if (!profile) return null;
  if (v.show === 'reach') return { kind: 'reach', profile };
  const recipe = v.recipe ? await getRecipe(open.db.read, v.recipe) : undefined;
  if (v.recipe && !recipe) return null;
  return {
    kind: 'proof',
    steps: recipe ? colourSteps(recipe.recipe) : [],
    way: { profile, intent: v.intent, blackPoint: v.blackPoint === 'yes' },
    shown: {
      paperWhite: v.paperWhite === 'yes',
      blackInk: v.blackInk === 'yes',
      screen,
    },
  };
}

/** A tile of a master as it would print, PNG; null where there is none. `asked`: see `tile`. */
export async function proofTileOf(
  masterId: number,
  asked: Record<string, string>,
  signal: AbortSignal,
): Promise<Uint8Array | null> {
  const read = tile.read(asked, IN_ADDRESSES);
  if (!read.ok) return null;
  const open = await studio();
  const master = await getMaster(open.db.read, masterId);
  const shows = master && (await shownBy(open, read.value));
  if (!master || !shows) return null;
  const { level, column, row, ...how } = read.value;
  const work = {
    pixels: storePaths(open.home).pixels(master.picture),
    colour: await colourKept(open, master),
    key: `${masterId} ${Object.values(how).join(' ')}`,
    shows,
    label: labelOf(read.value),
    level,
    column,
    row,
  };
  return runAtOnce('proofTile', work, () => undefined, signal);
}
