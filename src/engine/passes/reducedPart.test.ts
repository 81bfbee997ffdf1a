import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { samplesBy, workingCopyOf } from '../../../e2e/support/master';
import { masterAxes } from '../colour/proofChain';
import { PixelSource } from '../decode/pixelSource';
import { reducedPart } from './reducedPart';

const folder = mkdtempSync(join(tmpdir(), 'reduced-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** Hatching of black and white, whose light is half of white's; 37 x 21, so that edges are odd. */
const hatched = samplesBy(37, 21, (x) => (x % 2 === 0 ? 0 : 65_535));

it('mixes light where it is known what light is, else values, and ends where the picture does', async () => {
  const { pixels, colour } = await workingCopyOf(folder, hatched, 'a98-rgb');
  const source = await PixelSource.open(pixels);
  const box = { left: 0, top: 0, right: 10, bottom: 6 };
  const axes = masterAxes(colour, 3)!;
  const light = reducedPart(source, 4, box, axes);
  const values = reducedPart(source, 4, box);
  expect(light).toHaveLength(10 * 6 * 3);
  // Half the light is 0.5 ^ (256 / 563) of the scale; the last column is the 37th alone: black.
  for (let p = 0; p < 60; p += 1)
    for (let c = 0; c < 3; c += 1) {
      const last = p % 10 === 9;
      const [lit, plain] = [light[p * 3 + c]!, values[p * 3 + c]!];
      expect(Math.abs(lit - (last ? 0 : 0.5 ** (256 / 563) * 65_535))).toBeLessThan(12);
      expect(Math.abs(plain - (last ? 0 : 32_768))).toBeLessThan(2);
    }
  const whole = reducedPart(source, 1, { left: 3, top: 2, right: 8, bottom: 4 }, axes);
  expect([...whole.subarray(0, 6)]).toEqual([65_535, 65_535, 65_535, 0, 0, 0]);
  await source.close();
});
