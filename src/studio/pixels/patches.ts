import { getMaster } from '@/data';
import { INTENTS, packPatch } from '@/core/prepare';
import type { TargetId } from '@/core/prepare';
import { runAtOnce, storePaths } from '@/engine';
import { IN_ADDRESSES, choice, defineForm, text, whole } from '@/core/input';
import { colourKept } from './looks';
import { studio } from '../open/open';
import { targetFor } from '../reads/targets';

/** Most pixels of the picture that one patch may be made of. */
export const MOST_PATCH_PIXELS = 8e6;
const MOST_EDGE = 100_000;

const edge = (title: string) => whole(title, { min: 0, max: MOST_EDGE });
const by = {
  rule: choice('Rule', ['1', '2']),
  intent: choice('Intent', INTENTS),
  blackPoint: choice('Black point', ['yes', 'no']),
};
const part = defineForm({
  ...by,
  left: edge('Left'),
  top: edge('Top'),
  right: edge('Right'),
  bottom: edge('Bottom'),
});
const colours = defineForm({
  ...by,
  target: text('Target', { min: 0, max: 80 }),
  channels: choice('Channels', ['1', '3']),
});

/** Samples of a part of a master's picture and their door, see `packPatch`; null when there is none. */
export async function patchPixels(
  masterId: number,
  asked: Record<string, string>,
  signal: AbortSignal,
): Promise<Uint8Array | null> {
  const read = part.read(asked, IN_ADDRESSES);
  if (!read.ok) return null;
  const { rule, intent, blackPoint, ...box } = read.value;
  const [wide, high] = [box.right - box.left, box.bottom - box.top];
  const open = await studio();
  const master = await getMaster(open.db.read, masterId);
  if (!master || wide <= 0 || high <= 0 || wide * high > MOST_PATCH_PIXELS) return null;
  const { width, height } = master.facts;
  if (box.right > width || box.bottom > height) return null;
  const pixels = storePaths(open.home).pixels(master.picture);
  const into =
    rule === '1'
      ? null
      : {
          colour: await colourKept(open, master),
          convert: { intent, blackPoint: blackPoint === 'yes' },
        };
  return packPatch(await runAtOnce('part', { pixels, box, into }, () => undefined, signal));
}

/**
 * The table by which a screen shows a master's picture: as it is (no target), or as it is
 * once converted. Floats, little-endian, behind the number of channels and of places.
 */
export async function patchColours(
  masterId: number,
  asked: Record<string, string>,
  signal: AbortSignal,
): Promise<Uint8Array | null> {
  const read = colours.read(asked, IN_ADDRESSES);
  if (!read.ok) return null;
  const { rule, target, intent, blackPoint, channels } = read.value;
  const open = await studio();
  const master = await getMaster(open.db.read, masterId);
  if (!master) return null;
  const by =
    target === ''
      ? null
      : {
          into: await targetFor(open, target as TargetId),
          convert: { intent, blackPoint: blackPoint === 'yes' },
        };
  const colour = await colourKept(open, master);
  const table = await runAtOnce(
    'colourTable',
    { colour, channels: channels === '1' ? 1 : 3, by, working: rule === '2' },
    () => undefined,
    signal,
  );
  const out = new Uint8Array(8 + table.values.byteLength);
  const view = new DataView(out.buffer);
  view.setUint32(0, table.channels, true);
  view.setUint32(4, table.points, true);
  out.set(new Uint8Array(table.values.buffer), 8);
  return out;
}
