import { zoomLevels } from '@/core/image';
import { nominalSize } from '@/core/size';
import {
  MOST_CHOICES,
  currentMaster,
  notesOfPaper,
  ownRoute,
  paperWithStock,
  papersToPrintOn,
  profilesInUse,
  readSettings,
  routesNow,
  workTitles,
} from '@/data';
import type { Paper, Reading } from '@/data';
import { TILE } from '@/engine';
import {
  OWN_PRINTER,
  nominalExtent,
  paperWouldCost,
  portraitOf,
  profileFor,
  rowId,
  studio,
} from '@/studio';
import type { Studio } from '@/studio';
import type { ProofPicture } from '@/shell/drawing';
import { PLACES } from './places';
import { SIZES } from './sizes';

/** The last words that were said of a paper's trials. */
const SAID = 2;

/** A paper beside others: what it is, what its profile was measured to do, what a print on it takes. */
async function beside(open: Studio, paper: Paper, sizeKey: string) {
  const db = open.db.read;
  const [inUse, routes, own, notes] = await Promise.all([
    profilesInUse(db, paper.id),
    routesNow(db),
    ownRoute(db),
    notesOfPaper(db, paper.id),
  ]);
  const of = { paperId: paper.id, route: own || OWN_PRINTER };
  const profile = profileFor(inUse, of, routes) ?? inUse[0] ?? null;
  const portrait = profile
    ? await portraitOf(open, profile.sha256).catch(() => null)
    : null;
  return {
    ...paper,
    profile: profile && { sha256: profile.sha256, name: profile.profile },
    portrait: portrait && {
      white: portrait.white,
      black: portrait.black,
      volume: portrait.shape.volume,
    },
    cost: await paperWouldCost(db, paper, nominalExtent(sizeKey)),
    said: notes
      .filter((n) => n.words !== '')
      .slice(-SAID)
      .map(({ day, words }) => ({ day, words })),
    swatch: notes.filter((n) => n.photograph !== null).at(-1)?.photograph ?? null,
  };
}

/** The picture of a work, as tiles of it are asked for; null where it has none. */
async function pictureOf(db: Reading, workId: number): Promise<ProofPicture | null> {
  const master = workId > 0 ? await currentMaster(db, workId) : undefined;
  if (!master) return null;
  const { width, height } = master.facts;
  const top = zoomLevels(width, height, TILE)[0]!.level;
  return { masterId: master.id, width, height, tile: TILE, top };
}

/** Two or three papers side by side, with a picture as it prints on each. */
export async function loadCompare(query: Record<string, string | undefined>) {
  const open = await studio();
  const db = open.db.read;
  const [settings, all, works] = await Promise.all([
    readSettings(db),
    papersToPrintOn(db, MOST_CHOICES),
    workTitles(db, MOST_CHOICES),
  ]);
  const asked = PLACES.map((p) => rowId(query[p] ?? ''));
  const named = await Promise.all(asked.map((id) => paperWithStock(db, id)));
  const some = named.filter((p) => p !== null);
  const picked = some.length > 0 ? some : all.slice(0, 2);
  const sizeKey = SIZES.find((s) => s === query.size) ?? SIZES[1];
  const work = works.find((w) => w.id === rowId(query.work ?? '')) ?? null;
  return {
    papers: await Promise.all(picked.map((p) => beside(open, p, sizeKey))),
    all: all.map(({ id, name }) => ({ id, name })),
    works,
    work,
    picture: await pictureOf(db, work?.id ?? 0),
    size: { key: sizeKey, label: nominalSize(sizeKey)!.label },
    sizes: SIZES.map((key) => ({ key, label: nominalSize(key)!.label })),
    settings,
  };
}

export type CompareView = Awaited<ReturnType<typeof loadCompare>>;
