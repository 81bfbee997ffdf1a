import type { StripPatch } from '@/core/prepare';
import type { Master } from '@/data';
import { Kept, runAtOnce, storePaths } from '@/engine';
import { colourKept } from '../pixels/looks';
import type { Studio } from '../running/studio';

const kept = new Kept<StripPatch[]>(20);

/** The control strip of a master: the same every time, for a master never changes. */
export const stripOfMaster = (open: Studio, master: Master): Promise<StripPatch[]> =>
  kept.of(`${open.home} ${master.id}`, async () => {
    const pixels = storePaths(open.home).pixels(master.picture);
    const colour = await colourKept(open, master);
    return runAtOnce(
      'strip',
      { pixels, colour },
      () => undefined,
      new AbortController().signal,
    );
  });
