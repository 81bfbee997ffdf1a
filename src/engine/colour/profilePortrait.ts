import {
  D50,
  SPACE_IDS,
  coverage,
  gamutShape,
  labOf,
  mediaWhite,
  spaceTable,
  xyzOfLab,
} from '@/core/colour';
import type { GamutShape, SpaceId, Vector } from '@/core/colour';
import { differences } from '@/core/proof';
import { gamutReach } from './gamutReach';
import { floatTransform, floatsOf } from './littleCms';
import type { PrintTarget } from './printTarget';

/** What a profile can do, measured from it. */
export interface ProfilePortrait {
  /** L*a*b* beside the white of the light: the bare paper, and its deepest black. */
  white: Vector;
  black: Vector;
  /** L* of that black, paper white being 100. */
  depth: number;
  shape: GamutShape;
  /** Share of each working space that it holds, 0..1. */
  covers: Record<SpaceId, number>;
  /** How true its tables are: device to colour, to device, to colour again; CIEDE2000. */
  roundTrip: { mean: number; p95: number };
}

const TRIPS = 2000;

/** Device values all over, the same every time. */
function scattered(channels: number): Float32Array {
  const out = new Float32Array(TRIPS * channels);
  for (let i = 0, seed = 1; i < out.length; i += 1) {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    out[i] = seed / 2 ** 32;
  }
  return out;
}

const shapes = new Map<SpaceId, GamutShape>();
function spaceShape(id: SpaceId): GamutShape {
  const shape = shapes.get(id) ?? gamutShape(spaceTable(id));
  shapes.set(id, shape);
  return shape;
}

/** Measures a profile by asking it. Throws where it cannot be asked. */
export async function profilePortrait(target: PrintTarget): Promise<ProfilePortrait> {
  const { icc, channels } = target;
  const reach = await gamutReach(target);
  const { table } = reach;
  reach.close();
  const device = { end: icc, as: floatsOf(channels) };
  const lab = { end: 'lab', as: 'lab' } as const;
  const by = { intent: 'relative', blackPoint: false } as const;
  const [there, back] = await Promise.all([
    floatTransform(device, lab, by),
    floatTransform(lab, device, by),
  ]);
  const whole = channels === 4 ? 100 : 1;
  const once = there.convert(scattered(channels).map((v) => v * whole));
  const again = there.convert(
    back.convert(once).map((v) => Math.min(whole, Math.max(0, v))),
  );
  there.close();
  back.close();
  const off = differences(once, again).sort();
  let darkest = 0;
  for (let i = 0; i < table.lab.length; i += 3)
    if (table.lab[i]! < table.lab[darkest]!) darkest = i;
  const paper = mediaWhite(icc) ?? D50;
  const onPaper = (colour: Vector) =>
    labOf(xyzOfLab(colour).map((v, c) => (v * paper[c]!) / D50[c]!) as Vector);
  const deepest = [...table.lab.subarray(darkest, darkest + 3)] as Vector;
  const shape = gamutShape(table);
  return {
    white: onPaper([100, 0, 0]),
    black: onPaper(deepest),
    depth: deepest[0],
    shape,
    covers: Object.fromEntries(
      SPACE_IDS.map((id) => [id, coverage(spaceShape(id), shape)]),
    ) as Record<SpaceId, number>,
    roundTrip: {
      mean: off.reduce((t, v) => t + v, 0) / off.length,
      p95: off[Math.floor(off.length * 0.95)]!,
    },
  };
}
