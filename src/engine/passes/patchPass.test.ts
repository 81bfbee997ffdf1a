import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OFFSET } from '../../../demo/profiles/profiles';
import { samplesBy, workingCopyOf } from '../../../e2e/support/master';
import { throughTable } from '@/core/colour';
import { chain, encoded, intoWorking, wholeOf } from '@/core/image';
import { createTransform } from '../colour/colourEngine';
import type { MasterColour } from '../colour/masterColour';
import { rowConverter } from '../colour/masterColour';
import { wayIn } from '../colour/workingColour';
import { colourTable, readPart } from './patchPass';
import { spaceTarget } from '../colour/printTarget';

let folder: string;
let made: { pixels: string; colour: MasterColour };
const PLAIN = { intent: 'relative', blackPoint: true } as const;
const at = (x: number, y: number, c: number) => x * 400 + y * 7 + c;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'patch-'));
  made = await workingCopyOf(folder, samplesBy(60, 50, at));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

it('reads a part of the picture as it is, and nothing beyond it', async () => {
  const box = { left: 7, top: 11, right: 12, bottom: 14 };
  const { samples, door } = await readPart({ pixels: made.pixels, box, into: null });
  const wanted = [];
  for (let y = 11; y < 14; y += 1)
    for (let x = 7; x < 12; x += 1) for (let c = 0; c < 3; c += 1) wanted.push(at(x, y, c));
  expect([...samples]).toEqual(wanted);
  expect(door).toBeNull();
  const into = { colour: made.colour, convert: PLAIN };
  const working = await readPart({ pixels: made.pixels, box, into });
  expect([...working.samples]).toEqual(wanted);
  expect(working.door).toMatchObject({ curves: [{ length: 65536 }] });
  await expect(
    readPart({ pixels: made.pixels, box: { ...box, right: 61 }, into: null }),
  ).rejects.toThrow(/outside the picture/);
});

/** Encoded values of the working space. */
async function inWorkingSpace(
  colour: MasterColour,
  deep: Uint16Array,
): Promise<Float32Array> {
  const { door } = await wayIn(colour, 3, PLAIN);
  const shape = { width: deep.length / 3, height: 1, channels: 3 };
  const out = new Float32Array(deep.length);
  const { take } = chain(
    [intoWorking(shape, door, 3), encoded(shape)],
    wholeOf(shape),
    (row) => out.set(row),
  );
  take(Float32Array.from(deep));
  return out;
}

/** Colours of photographs: not too far from grey. */
const rows = Float32Array.from({ length: 900 }, (_, i) => {
  const base = 9000 + ((Math.floor(i / 3) * 1543) % 48000);
  return base + ((i * 7919) % 8000);
});

describe.each([
  ['own numbers', false],
  ['the working space', true],
] as const)('by a table of %s', (_, working) => {
  it.each([
    ['as it is', null],
    ['as a press prints it', { ...OFFSET, channels: 4 }],
    ['as a narrower space holds it', spaceTarget('srgb')],
  ] as const)('shows the picture %s, near enough for a screen', async (__, into) => {
    const by = into && { into, convert: PLAIN };
    const { colour } = made;
    const table = await colourTable({ colour, channels: 3, by, working });
    const shown = new Uint8ClampedArray(1200);
    const deep = Uint16Array.from(rows);
    throughTable(working ? await inWorkingSpace(colour, deep) : rows, table, shown);
    // The same by the whole way of the conversion.
    const options = { ...PLAIN, exact: true };
    const first = await rowConverter(colour, 3, into ?? 'srgb', options);
    let wanted = first.toTarget(deep, 300);
    first.close();
    if (into) {
      const ends = { from: into.channels, to: 3 } as const;
      const second = await createTransform(
        into.icc,
        spaceTarget('srgb').icc,
        ends,
        options,
      );
      const out = new Uint16Array(900);
      second.convert(wanted, out, 300);
      second.close();
      wanted = out;
    }
    const off = Array.from({ length: 900 }, (___, i) =>
      Math.abs(shown[Math.floor(i / 3) * 4 + (i % 3)]! - wanted[i]! / 257),
    );
    expect(off.reduce((t, v) => t + v, 0) / off.length).toBeLessThan(1);
    expect(Math.max(...off)).toBeLessThan(6);
  });
});
