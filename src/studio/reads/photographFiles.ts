import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import type { Corners } from '@/core/capture/geometry';
import { differencesOf, worstRegions } from '@/core/proof';
import type { GreyCard, Side } from '@/core/proof';
import { runInWorker } from '@/engine';
import type { ComparedPhotograph, Progress, SeenPicture } from '@/engine';
import { basisWords, photographFaultWords } from '../words/photographWords';
import { decodedFile } from './decodedFile';
import { groupReport } from './stripFiles';

/** A sentence instead of an answer: the photograph is none of the picture, or cannot be compared. */
export class NotThatPicture extends Error {
  constructor(
    readonly code: string,
    words: string,
  ) {
    super(words);
  }
}

const rounded = (v: number, digits = 3): number => Number(v.toFixed(digits));
const placesOf = (corners: Corners) =>
  corners.map((p) => [rounded(p.x, 2), rounded(p.y, 2)]);

const registered = ({ off, mostOff, parts, same, alike }: SeenPicture) => ({
  error: rounded(off),
  worst: rounded(mostOff),
  parts,
  same,
  alike: rounded(alike),
});

/** What the command line says of a photograph of a print. The keys are documented and stay as they are. */
export function photographReport(found: ComparedPhotograph, name: string, of: string) {
  const drift = found.regions && differencesOf(found.regions);
  if (!found.regions || !drift)
    throw new NotThatPicture(
      found.fits ? 'little' : 'other',
      photographFaultWords(name, of, { code: found.fits ? 'little' : 'other' }),
    );
  const { regions } = found;
  return {
    width: found.width,
    height: found.height,
    corners: placesOf(found.proof.corners),
    registration: registered(found.proof),
    original: found.original && {
      corners: placesOf(found.original.corners),
      registration: registered(found.original),
    },
    byHand: found.byHand,
    white: regions.white,
    falloffStops: rounded(regions.falloff),
    basis: basisWords(regions.white),
    mean: rounded(drift.mean),
    p95: rounded(drift.p95),
    max: rounded(drift.worst.difference),
    regions: drift.patches.length,
    ...groupReport(drift),
    worst: worstRegions(regions).map((r) => ({
      x: rounded((r.column + 0.5) / regions.columns),
      y: rounded((r.row + 0.5) / regions.rows),
      difference: rounded(r.difference),
    })),
  };
}

/**
 * Holds a photograph of a print against the picture of a file. Throws NotThatPicture, in words, and
 * FileRefusal.
 */
export async function comparePhotographFile(
  master: string,
  photo: string,
  given: {
    corners: Corners | null;
    proofAt: Side;
    card: GreyCard | null;
  },
  progress: Progress,
  signal: AbortSignal,
  reading: (path: string) => void = () => undefined,
) {
  const folder = await mkdtemp(join(tmpdir(), 'glassine-'));
  try {
    const nothing = () => undefined;
    reading(master);
    const picture = await decodedFile(master, join(folder, 'picture.v'), nothing, signal);
    reading(photo);
    const photograph = await decodedFile(photo, join(folder, 'photo.v'), nothing, signal);
    const { width, height } = photograph.facts;
    const { corners, card, proofAt } = given;
    const places = [...(corners ?? []), ...(card ? [card] : [])];
    if (places.some(({ x, y }) => x < 0 || y < 0 || x > width || y > height))
      throw new NotThatPicture(
        'beside',
        photographFaultWords(basename(photo), basename(master), { code: 'beside' }),
      );
    const found = await runInWorker(
      'comparePhotograph',
      {
        picture: { ...picture, part: null },
        photograph,
        placed: corners && { proof: corners, original: null },
        proofAt,
        card,
        target: join(folder, 'small.v'),
      },
      progress,
      signal,
    );
    if ('code' in found) {
      const words = photographFaultWords(basename(photo), basename(master), found);
      throw new NotThatPicture(found.code, words);
    }
    return {
      ...photographReport(found, basename(photo), basename(master)),
      assumed: {
        master: picture.colour.assumedSpace,
        photograph: photograph.colour.assumedSpace,
      },
    };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
