import { nominalSize } from '@/core/size';
import { zoomLevels } from '@/core/image';
import { cropChoicesNow, decidedSizes, keptAreaOf, signatureOf } from '@/data';
import { TILE, readyAtOnce } from '@/engine';
import { loadWorkPage } from '@/studio';
import { sheetOf } from './sheetNames';

/** The size station: the master's pixels, the rules in force, what is on offer and how it is cropped. */
export async function loadSize(id: string, query: Record<string, string | undefined>) {
  const { db, work, master, settings } = await loadWorkPage(id);
  const [decided, signature, crops, area] = await Promise.all([
    decidedSizes(db, work.id),
    signatureOf(db, work.id),
    cropChoicesNow(db, [work.id]),
    keptAreaOf(db, work.id),
  ]);
  if (master) readyAtOnce();
  const own = decided.map((d) => d.sizeKey).filter((key) => key.startsWith('own-'));
  return {
    work,
    master,
    tiles: master && {
      sha256: master.picture,
      width: master.facts.width,
      height: master.facts.height,
      tile: TILE,
      top: zoomLevels(master.facts.width, master.facts.height, TILE)[0]!.level,
    },
    rules: settings.size,
    ownSizes: [...new Set([...settings.ownSizes, ...own])].filter(nominalSize),
    /** The last word on each size. */
    decided: decided.map(({ sizeKey, kind, layout, judged, reason, at }) => ({
      sizeKey,
      kind,
      layout,
      judged,
      reason,
      at,
    })),
    crops: crops.map(({ ratio, choice, picture }) => ({ ratio, choice, picture })),
    area,
    signature: signature?.present ?? null,
    picked: query.size ?? null,
    sheet: sheetOf(query.sheet),
  };
}

export type SizeView = Awaited<ReturnType<typeof loadSize>>;
