import { mkdir, rm } from 'node:fs/promises';
import type { Vector } from '@/core/colour';
import { coloursOf, differencesOf } from '@/core/proof';
import type {
  GreyCard,
  NotFound,
  PrintedColour,
  ProposedChange,
  Regions,
  Side,
  StripDrift,
} from '@/core/proof';
import { getMaster, getProofPhotograph } from '@/data';
import type { PlacedPhotograph, Proof, ProofPlacing, Reading } from '@/data';
import { FileRefusal, Kept, photographPreview, runAtOnce, storePaths } from '@/engine';
import type { ComparedPhotograph } from '@/engine';
import { isThere } from '../jobs/picture';
import { colourKept } from '../pixels/looks';
import { studio } from '../open/open';
import type { Studio } from '../running/studio';
import { rowId } from '../wayIn/rowId';
import { decodedFile } from './decodedFile';
import { changeOf } from './measuredProof';

/** Where a proof lies in a photograph, as far as it was said. */
export interface Placing {
  placed: Pick<ProofPlacing, 'proof' | 'original'> | null;
  proofAt: Side;
  card: GreyCard | null;
}

/** The master of a round is not known, or its picture is gone; in a few words. */
export class NoMaster extends Error {}

const nobody = () => new AbortController().signal;
const silent = () => undefined;

/** Holds a photograph, a file on disk, against the master of a round. Throws NoMaster and FileRefusal. */
export async function heldAgainstMaster(
  open: Studio,
  db: Reading,
  round: Pick<Proof, 'masterId'>,
  path: string,
  { placed, proofAt, card }: Placing,
  stop: AbortSignal = nobody(),
): Promise<ComparedPhotograph | NotFound> {
  const master = round.masterId === null ? null : await getMaster(db, round.masterId);
  if (!master) throw new NoMaster('does not say which master it was made from');
  const paths = storePaths(open.home);
  if (!(await isThere(paths.pixels(master.picture))))
    throw new NoMaster('cannot be compared: the picture of its master is gone');
  await mkdir(paths.tmp, { recursive: true });
  const target = paths.temporary('.v');
  try {
    const photograph = await decodedFile(path, target, silent, stop, runAtOnce);
    const pixels = paths.pixels(master.picture);
    const colour = await colourKept(open, master);
    const work = {
      picture: { pixels, colour, part: null },
      photograph,
      placed,
      proofAt,
      card,
      target: `${target}.small`,
    };
    return await runAtOnce('comparePhotograph', work, silent, stop);
  } finally {
    await Promise.all([target, `${target}.part.v`].map((p) => rm(p, { force: true })));
  }
}

/** What a photograph of a round says. */
export interface ToldByPhotograph {
  regions: Regions;
  drift: StripDrift;
  /** Null where the photograph says only how parts differ from each other. */
  change: ProposedChange | null;
}

/** Where a round lies in a photograph; null where nothing can be told of it. */
export interface PhotographedProof {
  seen: ComparedPhotograph;
  told: ToldByPhotograph | null;
}

const answers = new Kept<PhotographedProof>(20);

/** Main colours with how much each counts: by the root of its share, so that small areas are heard. */
const weighed = (regions: Regions): PrintedColour[] =>
  coloursOf(regions).map(({ name, master, printed, share }) => ({
    name,
    master: [...master] as Vector,
    printed: [...printed] as Vector,
    weight: Math.sqrt(share * 100),
  }));

/** What a photograph of a round says. Throws NoMaster and FileRefusal. */
export const photographedProof = (
  open: Studio,
  db: Reading,
  round: Proof,
  { sha256, placing }: PlacedPhotograph,
): Promise<PhotographedProof> =>
  answers.of(`${open.home} ${placing.id}`, async () => {
    const { proof, original, proofAt, card } = placing;
    const path = storePaths(open.home).file(sha256);
    const placed = { proof, original };
    const seen = await heldAgainstMaster(open, db, round, path, { placed, proofAt, card });
    if ('code' in seen) throw new Error(`placed, and not found: ${seen.code}`);
    const { regions } = seen;
    const drift = regions && differencesOf(regions);
    if (!drift) return { seen, told: null };
    const change =
      regions.white === 'none' ? null : await changeOf(open, round, weighed(regions));
    return { seen, told: { regions, drift, change } };
  });

/** The same; null where the photograph's file, or the master of the round, is gone. */
export const photographedOrGone = (
  ...asked: Parameters<typeof photographedProof>
): Promise<PhotographedProof | null> =>
  photographedProof(...asked).catch((error: unknown) => {
    const { code } = error as NodeJS.ErrnoException;
    if (error instanceof NoMaster || error instanceof FileRefusal || code === 'ENOENT')
      return null;
    throw error;
  });

const shown = new Kept<Uint8Array>(12);
/** Pixels of the longer side of a photograph on a page. */
const SHOWN = 1600;

/** A photograph of a round as a page shows it; null where it is not there, or its file is gone. */
export async function proofPhotographShown(asked: string): Promise<Uint8Array | null> {
  const open = await studio();
  const found = await getProofPhotograph(open.db.read, rowId(asked));
  if (!found) return null;
  const path = storePaths(open.home).file(found.sha256);
  return shown.of(path, () => photographPreview(path, SHOWN)).catch(() => null);
}
