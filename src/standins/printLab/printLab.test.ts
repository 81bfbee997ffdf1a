import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { OFFSET } from '../../../demo/profiles/profiles';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { ManifestItem } from '@/core/prepare';
import { TIDEWRACK } from './printLab';
import type { LabReason } from './printLab';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'lab-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

interface Made {
  ppi?: number;
  bits?: 8 | 16;
  profile?: 'rgb' | 'press' | 'none';
  widthMm?: number;
  heightMm?: number;
}

/** A file as it would be handed over, and its line of the manifest. */
async function item(file: string, made: Made = {}): Promise<ManifestItem> {
  const { ppi = 250, bits = 8, profile = 'rgb', widthMm = 100, heightMm = 150 } = made;
  const px = (mm: number) => Math.round((mm / 25.4) * ppi);
  const [width, height] = [px(widthMm), px(heightMm)];
  const flat = sharp({ create: { width, height, channels: 3, background: '#8a7' } });
  let picture = (bits === 16 ? flat.toColourspace('rgb16') : flat).withDensity(ppi);
  if (profile !== 'none') {
    const icc = join(folder, '.icc');
    const bytes = profile === 'press' ? OFFSET.icc : iccProfile(RGB_SPACES['a98-rgb']);
    writeFileSync(icc, bytes);
    picture = picture.withIccProfile(icc);
  }
  const bytes = await picture.tiff({ compression: 'lzw' }).toBuffer();
  writeFileSync(join(folder, file), bytes);
  return {
    file,
    sha256: createHash('sha256').update(bytes).digest('hex'),
    bytes: bytes.length,
    size: 'own',
    widthMm,
    heightMm,
    widthPx: width,
    heightPx: height,
    ppi,
    paper: 'Linen 300',
    quantity: 1,
    remarks: '',
  };
}

function take(items: ManifestItem[], today = '2026-11-02', on = '2026-11-02') {
  const manifest = { errand: 'H-0001', from: 'Senna Quillfeather', to: 'lab', on, items };
  writeFileSync(join(folder, 'manifest.json'), JSON.stringify(manifest));
  return TIDEWRACK.take(folder, today);
}
const reasons = async (one: ManifestItem): Promise<LabReason[]> =>
  (await take([one])).items[0]!.reasons;

it.each<[string, Made]>([
  ['in RGB', {}],
  ['in ink', { profile: 'press' }],
  ['large, of fewer ppi', { widthMm: 430, heightMm: 600, ppi: 200 }],
])('accepts a good file %s', async (_, made) => {
  expect(await reasons(await item('10x15cm_pans.tif', made))).toEqual([]);
});

it.each<[string, Made, LabReason]>([
  ['too few ppi for its size', { ppi: 240 }, { code: 'ppi', wanted: 250, found: 240 }],
  [
    'too few ppi for a large one',
    { widthMm: 430, heightMm: 600, ppi: 199 },
    { code: 'ppi', wanted: 200, found: 199 },
  ],
  ['sixteen bits', { bits: 16 }, { code: 'bits', wanted: 8, found: 16 }],
  [
    'no profile',
    { profile: 'none' },
    { code: 'profile', wanted: 'an RGB or CMYK profile', found: 'none' },
  ],
])('refuses %s, with its figure', async (_, made, reason) => {
  expect(await reasons(await item('10x15cm_pans.tif', made))).toEqual([reason]);
});

describe('what does not fit its line of the manifest', () => {
  const name = '10x15cm_pans.tif';

  it('is refused by its pixels, its millimetres and its name', async () => {
    const good = await item(name);
    expect(await reasons({ ...good, widthPx: 985 })).toEqual([
      { code: 'pixels', wanted: '985 × 1476', found: '984 × 1476' },
    ]);
    expect(await reasons({ ...good, widthMm: 102 })).toEqual([
      { code: 'size', wanted: '102 mm wide', found: '100 mm wide at its ppi' },
    ]);
    expect(await reasons(await item('pans.tif'))).toEqual([
      { code: 'name', found: 'pans.tif' },
    ]);
  });

  it('is refused where it is damaged, gone, or no picture', async () => {
    const good = await item(name);
    const bytes = readFileSync(join(folder, name));
    bytes[bytes.length - 1]! ^= 1;
    writeFileSync(join(folder, name), bytes);
    expect(await reasons(good)).toEqual([{ code: 'checksum' }]);
    const words = Buffer.from('not a picture');
    writeFileSync(join(folder, name), words);
    const sha256 = createHash('sha256').update(words).digest('hex');
    expect(await reasons({ ...good, sha256 })).toEqual([{ code: 'unreadable' }]);
    rmSync(join(folder, name));
    expect(await reasons(good)).toEqual([{ code: 'missing' }]);
  });

  it('is not looked for outside its folder', async () => {
    const good = await item(name);
    expect(await reasons({ ...good, file: `../../${name}` })).toEqual([
      { code: 'name', found: `../../${name}` },
    ]);
  });
});

it('nothing wider than its roll is taken', async () => {
  const wide = { widthMm: 1120, heightMm: 1120, ppi: 20 };
  expect(await reasons(await item('112x112cm_pans.tif', wide))).toContainEqual({
    code: 'size',
    wanted: 'shorter side up to 1118 mm',
    found: '1120 mm',
  });
});

describe('its answer', () => {
  it('counts working days from the day it was handed over', async () => {
    // A Thursday: three working days end on Tuesday.
    const thursday = '2026-11-05';
    const good = await item('10x15cm_pans.tif');
    const stages = [];
    for (const today of [thursday, '2026-11-09', '2026-11-10', '2026-11-11'])
      stages.push((await take([good], today, thursday)).stage);
    expect(stages).toEqual(['accepted', 'accepted', 'printed', 'sent']);
    expect(await take([good], thursday, thursday)).toMatchObject({
      takenOn: thursday,
      printedOn: '2026-11-10',
      sentOn: '2026-11-11',
    });
  });

  it('is whole beside the files, and gives no day where nothing was taken', async () => {
    const bad = await item('pans.tif');
    const answer = await take([bad]);
    expect(answer).toMatchObject({ stage: 'refused', printedOn: null, sentOn: null });
    const kept: unknown = JSON.parse(readFileSync(join(folder, 'answer.json'), 'utf8'));
    expect(kept).toEqual(answer);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });

  it('takes the good ones where others are refused', async () => {
    const answer = await take([
      await item('10x15cm_pans.tif'),
      await item('10x15cm_few.tif', { ppi: 100 }),
    ]);
    expect(answer.items.map((i) => i.accepted)).toEqual([true, false]);
    expect(answer.stage).toBe('accepted');
  });
});
