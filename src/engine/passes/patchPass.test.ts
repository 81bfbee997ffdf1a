import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OFFSET } from '../../../demo/profiles/profiles';
import { samplesBy, workingCopyOf } from '../../../e2e/support/master';
import { throughTable } from '@/core/colour';
import { createTransform } from '../colour/colourEngine';
import type { MasterColour } from '../colour/masterColour';
import { rowConverter } from '../colour/masterColour';
import { colourTable, readPart } from './patchPass';
import { spaceTarget } from '../colour/printTarget';

let folder: string;
let made: { pixels: string; colour: MasterColour };
const at = (x: number, y: number, c: number) => x * 400 + y * 7 + c;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'patch-'));
  made = await workingCopyOf(folder, samplesBy(60, 50, at));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

it('reads a part of the picture as it is, and nothing beyond it', async () => {
  const box = { left: 7, top: 11, right: 12, bottom: 14 };
  const found = await readPart({ pixels: made.pixels, box });
  const wanted = [];
  for (let y = 11; y < 14; y += 1)
    for (let x = 7; x < 12; x += 1) for (let c = 0; c < 3; c += 1) wanted.push(at(x, y, c));
  expect([...found]).toEqual(wanted);
  await expect(
    readPart({ pixels: made.pixels, box: { ...box, right: 61 } }),
  ).rejects.toThrow(/outside the picture/);
});

/** Colours of photographs: not too far from grey. */
const rows = Float32Array.from({ length: 900 }, (_, i) => {
  const base = 9000 + ((Math.floor(i / 3) * 1543) % 48000);
  return base + ((i * 7919) % 8000);
});

it.each([
  ['as it is', null],
  ['as a press prints it', { ...OFFSET, channels: 4 }],
  ['as a narrower space holds it', spaceTarget('srgb')],
] as const)('shows the picture %s, near enough for a screen', async (_, into) => {
  const convert = { intent: 'relative', blackPoint: true } as const;
  const by = into && { into, convert };
  const table = await colourTable({ colour: made.colour, channels: 3, by });
  const shown = new Uint8ClampedArray(1200);
  throughTable(rows, table, shown);
  // The same by the whole way of the conversion.
  const options = { ...convert, exact: true };
  const deep = Uint16Array.from(rows);
  const first = await rowConverter(made.colour, 3, into ?? 'srgb', options);
  let wanted = first.toTarget(deep, 300);
  first.close();
  if (into) {
    const ends = { from: into.channels, to: 3 } as const;
    const second = await createTransform(into.icc, spaceTarget('srgb').icc, ends, options);
    const out = new Uint16Array(900);
    second.convert(wanted, out, 300);
    second.close();
    wanted = out;
  }
  const off = Array.from({ length: 900 }, (__, i) =>
    Math.abs(shown[Math.floor(i / 3) * 4 + (i % 3)]! - wanted[i]! / 257),
  );
  expect(off.reduce((t, v) => t + v, 0) / off.length).toBeLessThan(1);
  expect(Math.max(...off)).toBeLessThan(6);
});
