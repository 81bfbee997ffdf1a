import { inProcess, startRealWorkers, takePicture } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { samplesBy } from '../../../e2e/support/master';
import { unpackPatch } from '@/core/prepare';
import { patchColours, patchPixels } from './patches';
import { proposals } from './proposals';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const [WIDTH, HEIGHT] = [240, 180];
const picture = samplesBy(
  WIDTH,
  HEIGHT,
  (x, y, c) => 6000 + 180 * x + 60 * y + 900 * c + ((x >> 2) % 2) * (y > 120 ? 9000 : 0),
);

let here: InProcess;
/** A master whose pixels are there; those of number 1 are only claimed. */
let taken: number;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  taken = await takePicture(here, picture);
});
afterAll(() => here.end());

const { signal } = new AbortController();
const by = { rule: '1', intent: 'relative', blackPoint: 'yes' };
const colours = { ...by, target: '', channels: '3' };
const box = { ...by, left: '10', top: '10', right: '300', bottom: '200' };

it.each([
  ['nothing', { left: '' }],
  ['words', { left: 'far' }],
  ['a part turned inside out', { right: '5' }],
  ['a part beyond the picture', { right: '7088' }],
  ['a part above it', { top: '-1' }],
  ['more than is read at once', { right: '4000', bottom: '4000' }],
])('reads nothing of %s', async (_, over) =>
  expect(await patchPixels(1, { ...box, ...over }, signal)).toBeNull(),
);

it('reads nothing of a master that is not there', async () => {
  expect(await patchPixels(99, box, signal)).toBeNull();
  const asked = colours;
  expect(await patchColours(99, asked, signal)).toBeNull();
  expect(await patchColours(1, { ...asked, intent: 'guessed' }, signal)).toBeNull();
  const gone = patchColours(1, { ...asked, target: `icc:${'a'.repeat(64)}` }, signal);
  await expect(gone).rejects.toThrow(/not in the store any more/);
});

it('proposes nothing of a picture that is not there, or of no size', async () => {
  expect(await proposals(99, { width: '0.2', height: '0.2' }, signal)).toBeNull();
  expect(await proposals(1, { width: '0', height: '0.2' }, signal)).toBeNull();
  expect(await proposals(1, { width: '2', height: '0.2' }, signal)).toBeNull();
});

it('reads the very samples of a part', async () => {
  const asked = { ...by, left: '30', top: '50', right: '90', bottom: '60' };
  for (const rule of ['1', '2']) {
    const bytes = (await patchPixels(taken, { ...asked, rule }, signal))!;
    const { samples, door } = unpackPatch(bytes.slice().buffer);
    expect(samples).toHaveLength(60 * 10 * 3);
    for (let y = 0; y < 10; y += 1) {
      const from = ((50 + y) * WIDTH + 30) * 3;
      expect(samples.slice(y * 180, (y + 1) * 180)).toEqual(
        picture.data.slice(from, from + 180),
      );
    }
    // The master is in ROMM: its light is that of the working space.
    if (rule === '1') expect(door).toBeNull();
    else
      door!.matrix!.forEach((v, i) =>
        expect(v).toBeCloseTo([0, 4, 8].includes(i) ? 1 : 0, 4),
      );
  }
});

it.each(['1', '2'])(
  'by rule %s the table of colours leads from black to white; converted to what a screen has it is the same',
  async (rule) => {
    const of = async (target: string) =>
      (await patchColours(taken, { ...colours, rule, target }, signal))!.slice().buffer;
    const [own, other] = await Promise.all([of(''), of('srgb')]);
    const [channels, places] = new Uint32Array(own, 0, 2);
    expect(channels).toBe(3);
    const [shown, converted] = [own, other].map((bytes) => new Float32Array(bytes, 8)) as [
      Float32Array,
      Float32Array,
    ];
    expect(shown).toHaveLength(3 * places! ** 3);
    shown.slice(0, 3).forEach((v) => expect(v).toBeLessThan(0.02 * shown.at(-1)!));
    const [red, green, blue] = shown.slice(-3);
    expect([green! / red!, blue! / red!].map((v) => v.toFixed(1))).toEqual(['1.0', '1.0']);
    expect(converted).toEqual(shown);
  },
);

it('proposes pieces that lie in the picture, each with its figure', async () => {
  const found = (await proposals(taken, { width: '0.25', height: '0.25' }, signal))!;
  expect(new Set(found.map((p) => p.tests)).size).toBe(found.length);
  expect(found.length).toBeGreaterThan(2);
  for (const { x, y, figure } of found) {
    for (const at of [x, y]) {
      expect(at).toBeGreaterThanOrEqual(0.12);
      expect(at).toBeLessThanOrEqual(0.88);
    }
    expect(figure).toBeGreaterThanOrEqual(0);
  }
  // The stripes below have the steepest sides.
  expect(found.find((p) => p.tests === 'edges')!.y).toBeGreaterThan(0.6);
});
