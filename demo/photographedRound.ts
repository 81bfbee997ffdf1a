import { readFile } from 'node:fs/promises';
import { Readable } from 'node:stream';
import sharp from 'sharp';
import { RGB_SPACES, decoded, encodedLight } from '@/core/colour';
import { getMaster, proofsOf } from '@/data';
import { storePaths } from '@/engine';
import { receiveProofPhotograph } from '@/studio/bring/bringPhotograph';
import type { Studio } from '@/studio/open/open';
import { photographOf } from './capture/photographed';

/** How this print came out beside its picture, by channel: a little dark, a little yellow. */
const PRINTED = [0.975, 0.965, 0.925];
/** Light that the deepest black of this paper throws back. */
const BLACK = 0.02;

const { curve } = RGB_SPACES.srgb;
const ON_PAPER = Float64Array.from(
  { length: 256 },
  (_, v) => 255 * encodedLight(curve, BLACK + (1 - BLACK) * decoded(curve, v / 255)),
);

/** The last round of a work, photographed on the table. */
export async function photographedRound(open: Studio, workId: number) {
  const round = (await proofsOf(open.db.read, workId)).at(-1)!;
  const master = (await getMaster(open.db.read, round.masterId!))!;
  const preview = await readFile(storePaths(open.home).preview(master.picture));
  const { data, info } = await sharp(preview).raw().toBuffer({ resolveWithObject: true });
  const picture = {
    width: info.width,
    height: info.height,
    data: Uint8Array.from(data, (v, i) => ON_PAPER[v]! * PRINTED[i % 3]!),
  };
  const how = {
    width: 2000,
    height: 1500,
    seed: 12,
    share: 0.82,
    turned: 5,
    keystone: 0.06,
    ground: [0.22, 0.2, 0.17],
  } as const;
  const taken = photographOf([{ picture, how }]);
  const jpeg = await sharp(taken.data, {
    raw: { width: taken.width, height: taken.height, channels: 3 },
  })
    .withIccProfile('srgb')
    .jpeg({ quality: 92 })
    .toBuffer();
  const of = { work: String(workId), round: String(round.id), byHand: false };
  const answer = await receiveProofPhotograph(
    of,
    'salt-pans_round.jpg',
    Readable.from([jpeg]),
    new AbortController().signal,
  );
  if (!answer.ok) throw new Error(answer.message);
}
