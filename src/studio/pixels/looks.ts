import { getMaster } from '@/data';
import type { Master } from '@/data';
import { Kept, runAtOnce, storePaths } from '@/engine';
import type { LookWork, MasterColour } from '@/engine';
import { colourOf } from '../jobs/picture';
import { studio } from '../open/open';
import type { Studio } from '../running/studio';
import { IN_ADDRESSES, decimal, defineForm, whole } from '@/core/input';

/** Most pixels of a print, of the screen it covers, and of one window, along an edge. */
const MOST_PRINT = 120_000;
const MOST_WINDOW = 1024;
/** Most pixels of the print under one window: what is read of the picture for them stays under 100 MB. */
const MOST_UNDER = 1e6;

const share = (title: string) => decimal(title, { min: 0, max: 1 });
const edge = (title: string, max: number) => whole(title, { min: 1, max });

/** What is asked of a look: part of the picture, print, screen and window. */
const look = defineForm({
  left: share('From the left'),
  top: share('From the top'),
  width: share('Width'),
  height: share('Height'),
  printWidth: edge('Print width', MOST_PRINT),
  printHeight: edge('Print height', MOST_PRINT),
  screenWidth: edge('Width on the screen', MOST_PRINT),
  screenHeight: edge('Height on the screen', MOST_PRINT),
  x: whole('Window left', { min: 0, max: MOST_PRINT }),
  y: whole('Window top', { min: 0, max: MOST_PRINT }),
  across: edge('Window width', MOST_WINDOW),
  down: edge('Window height', MOST_WINDOW),
});

/** Colours of the masters looked at of late; a master's never changes. */
const colours = new Kept<MasterColour>(20);

/** The colour of a master, kept for whoever asks next. */
export const colourKept = (open: Studio, master: Master): Promise<MasterColour> =>
  colours.of(`${open.home} ${master.id}`, () => colourOf(open, master));

/**
 * A window of a print of a master as a screen shows it, PNG; null when there is no such
 * master or window. `asked`: see `look`.
 */
export async function lookAtPrint(
  masterId: number,
  asked: Record<string, string>,
  signal: AbortSignal,
): Promise<Uint8Array | null> {
  const read = look.read(asked, IN_ADDRESSES);
  if (!read.ok) return null;
  const v = read.value;
  const perPixel = (v.printWidth / v.screenWidth) * (v.printHeight / v.screenHeight);
  // Further away than two print pixels to one of the screen, the print's own are not made.
  if (v.across * v.down * Math.min(4, perPixel) > MOST_UNDER) return null;
  const open = await studio();
  const master = await getMaster(open.db.read, masterId);
  if (!master || v.x >= v.screenWidth || v.y >= v.screenHeight) return null;
  const { width, height } = master.facts;
  const paths = storePaths(open.home);
  const work: LookWork = {
    pixels: paths.pixels(master.picture),
    tilesFolder: paths.tiles(master.picture),
    colour: await colourKept(open, master),
    part: {
      left: v.left * width,
      top: v.top * height,
      width: Math.min(v.width, 1 - v.left) * width,
      height: Math.min(v.height, 1 - v.top) * height,
    },
    print: { width: v.printWidth, height: v.printHeight },
    screen: { width: v.screenWidth, height: v.screenHeight },
    window: {
      left: v.x,
      top: v.y,
      width: Math.min(v.across, v.screenWidth - v.x),
      height: Math.min(v.down, v.screenHeight - v.y),
    },
  };
  return runAtOnce('look', work, () => undefined, signal);
}
