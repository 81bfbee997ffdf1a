import { execFileSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import sharp from 'sharp';
import {
  idle,
  inProcess,
  SIZE,
  startRealWorkers,
  takePicture,
} from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { samplesBy } from '../../../e2e/support/master';
import { GET } from '@/app/api/sheet-files/[id]/route';
import {
  RGB_SPACES,
  apply,
  colourDifference,
  iccProfile,
  labOf,
  readMatrixProfile,
} from '@/core/colour';
import type { Vector } from '@/core/colour';
import { STRIP_PATCHES, layOutStrip } from '@/core/proof';
import { RECIPE, plainRecipe, printPlan, stepIn, stripOn, withStep } from '@/core/prepare';
import type {
  AxisPlan,
  PixelRect,
  Recipe,
  ResolutionSheet,
  SettingsSheet,
  SheetPiece,
} from '@/core/prepare';
import { getRecipe, sheetFilesOf } from '@/data';
import type { SheetFile } from '@/data';
import { judgePrint } from '@/drawers/log/actions';
import { loadPrints } from '@/drawers/log/prints';
import { storePaths } from '@/engine';
import { keepCrop } from '@/stations/size/cropActions';
import { offerSize } from '@/stations/size/actions';
import type { SheetOrder } from '@/studio';
import { writeSheetFile } from '@/studio/jobs/kinds/sheet';
import { keepRecipe, orderPrintFiles } from './actions';
import { orderProofSheet } from './proofActions';
import type { ProofDesk } from './proofWish';
import { orderSettingsSheet } from './settingsActions';
import { usualSettings } from './settingsDesk';
import type { SettingsDesk } from './settingsDesk';
import { loadPrepare } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const PPI = 72;
const LARGER = 'metricFrames-40x50';
const [WIDTH, HEIGHT] = [300, 400];
const plain = plainRecipe(PPI, 0.8);
const adjust = stepIn(withStep(plain, 1, { ...plain.steps[1]!, on: true }), 'adjust')!;

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  const tiles = (x: number, y: number, c: number) =>
    24000 +
    12000 * Math.sin(x / 9 + c) +
    9000 * Math.cos(y / 13) +
    (((x >> 3) + (y >> 3)) % 2) * 9000;
  await takePicture(here, samplesBy(WIDTH, HEIGHT, tiles));
});
afterAll(() => here.end());

const desk: ProofDesk = {
  sizes: [SIZE],
  places: [
    { x: 0.4, y: 0.5, tests: 'tones' },
    { x: 0.7, y: 0.3, tests: 'byHand' },
  ],
  sheet: 'A4',
  own: { width: 210, height: 297 },
  width: 40,
  height: 30,
  margin: 5,
  overview: true,
};
/** How a size is laid out, as the form has it. */
const layout = { workId: '1', fit: 'within', border: '10 mm' };
const proof = (over: Partial<ProofDesk> = {}, recipe: Recipe = plain, recipeId = '') =>
  orderProofSheet({
    workId: '1',
    recipe: JSON.stringify(recipe),
    recipeId,
    desk: JSON.stringify({ ...desk, ...over }),
  });
const lighter: AxisPlan = { axis: 'lightness', step: 20, sides: 1, words: [] };
const settings = (over: Partial<SettingsDesk> = {}, recipe: Recipe = plain) =>
  orderSettingsSheet({
    workId: '1',
    sizeKey: SIZE,
    recipe: JSON.stringify(recipe),
    desk: JSON.stringify({ ...usualSettings, ...over }),
  });

/** The sheets that come of an order, once they are written; the newest first. */
async function written(ordered: Promise<unknown>): Promise<SheetFile[]> {
  const before = (await sheetFilesOf(here.open.db.read, 1)).length;
  expect(await ordered).toMatchObject({ ok: true });
  await idle(here.open);
  const all = await sheetFilesOf(here.open.db.read, 1);
  return all.slice(0, all.length - before);
}
const pathOf = (sha256: string) => storePaths(here.open.home).file(sha256);
const pixels = (sha256: string, { left, top, width, height }: PixelRect) =>
  sharp(pathOf(sha256)).extract({ left, top, width, height }).raw().toBuffer();
/** The newest print file of the size, and where its picture lies. */
async function printed() {
  const { files, picked } = await loadPrepare('1', { size: SIZE });
  const plan = printPlan({ width: WIDTH, height: HEIGHT }, picked!.fit, PPI);
  return { file: files[0], image: plan.image };
}
const jobs = () => here.rows<{ n: number }>('SELECT count(*) AS n FROM job');

/** What a refused order says; nothing is queued for it. */
async function refusal(ordered: Promise<unknown>): Promise<string> {
  const before = await jobs();
  const answer = (await ordered) as { ok: boolean; message?: string; fields?: object };
  expect(answer.ok).toBe(false);
  expect(await jobs()).toEqual(before);
  return answer.message || JSON.stringify(answer.fields);
}

describe('a resolution proof', () => {
  it('has the pixels of the print file in each piece, and says what it is', async () => {
    const kept = (await keepRecipe({
      name: 'Linen, small',
      remarks: '',
      recipe: JSON.stringify(plain),
      fromId: '',
    })) as { value: number };
    const [sheet] = await written(proof({}, plain, String(kept.value)));
    expect(sheet!.checks.filter((c) => !c.passed)).toEqual([]);
    expect(sheet).toMatchObject({ kind: 'resolution', width: 595, height: 842, ppi: PPI });
    expect(sheet!.name).toBe('21x30cm_proof_slack-water_1.tif');

    const content = sheet!.content as ResolutionSheet;
    expect(content.recipeName).toBe('Linen, small, version 1');
    expect(content.pieces.map((p) => [p.sizeKey, p.tests])).toEqual([
      [SIZE, 'tones'],
      [SIZE, 'byHand'],
    ]);

    await orderPrintFiles({
      workId: '1',
      sizeKeys: JSON.stringify([SIZE]),
      recipe: JSON.stringify(plain),
      recipeId: String(kept.value),
      pair: '',
    });
    await idle(here.open);
    const { file, image } = await printed();
    expect(file).toMatchObject({ recipeId: kept.value });
    expect((await getRecipe(here.open.db.read, kept.value))!.recipe).toEqual(file!.recipe);
    for (const { region, place } of content.pieces) {
      const { width, height } = region;
      const there = {
        left: image.left + region.left,
        top: image.top + region.top,
        width,
        height,
      };
      const onFile = await pixels(file!.sha256, there);
      expect(onFile.equals(await pixels(sheet!.sha256, { ...place, width, height }))).toBe(
        true,
      );
      expect(new Set(onFile).size).toBeGreaterThan(20);
    }
  });

  it.each([8, 16] as const)(
    'as a PNG of %d bits it has the pixels of the TIFF, and the same PDF',
    async (bits) => {
      const as = (format: 'tiff' | 'png'): Recipe => ({
        ...plain,
        file: { ...plain.file, format, bits },
      });
      const [tiff] = await written(proof({}, as('tiff')));
      const [png] = await written(proof({}, as('png')));
      expect(png!.name).toMatch(/^21x30cm_proof_slack-water_\d+\.png$/);
      expect(png!.checks.filter((c) => !c.passed)).toEqual([]);
      const [a, b] = await Promise.all(
        [tiff!, png!].map(({ sha256 }) =>
          sharp(pathOf(sha256)).raw({ depth: 'ushort' }).toBuffer(),
        ),
      );
      expect(a!.equals(b!)).toBe(true);
      const meta = await sharp(pathOf(png!.sha256)).metadata();
      expect(meta).toMatchObject({ format: 'png', depth: bits === 8 ? 'uchar' : 'ushort' });
      expect(readdirSync(storePaths(here.open.home).tmp)).toEqual([]);
      const answers = await Promise.all(
        ['', '?form=pdf'].map((form) =>
          GET(new Request(`http://studio/api/sheet-files/1${form}`), {
            params: Promise.resolve({ id: String(png!.id) }),
          }),
        ),
      );
      const head = ['content-type', 'content-disposition'];
      const said = answers.map((r) => head.map((h) => r.headers.get(h)));
      expect(said).toEqual([
        ['image/png', `attachment; filename*=UTF-8''${png!.name}`],
        ['application/pdf', `attachment; filename*=UTF-8''${png!.name.slice(0, -4)}.pdf`],
      ]);
      await Promise.all(answers.map((r) => r.arrayBuffer()));
    },
  );

  it.each([
    ['also by rule 1', () => proof({ strip: true }, { ...plain, rule: 1 })],
    // Whatever its cells try, the strip is of the recipe that they vary.
    ['also on a settings sheet', () => settings({ axes: [lighter], strip: true })],
  ] as const)(
    'carries a control strip of the picture by the way of the print, %s, each patch of its own colour',
    async (_, ordered) => {
      const [sheet] = await written(ordered());
      const strip = stripOn(sheet!.content);
      expect(strip!.patches).toHaveLength(STRIP_PATCHES);
      expect(strip!.patches.map((p) => p.name)).toEqual(
        expect.arrayContaining(['paper', 'black', 'lightest', 'main 1']),
      );
      // They are read as sRGB, into which the picture library turns them.
      const srgb = readMatrixProfile(iccProfile(RGB_SPACES.srgb))!;
      const { places } = layOutStrip(PPI);
      let held = 0;
      for (const [i, { lab }] of strip!.patches.entries()) {
        const { left, top, width, height } = places[i]!;
        const middle = {
          left: strip!.place.left + left + (width >> 1) - 4,
          top: strip!.place.top + top + (height >> 1) - 4,
          width: 8,
          height: 8,
        };
        // 8 bits are dithered: what a patch is, its middle is in the mean.
        const near = await pixels(sheet!.sha256, middle);
        const rgb = [0, 1, 2].map(
          (c) => near.filter((_, k) => k % 3 === c).reduce((a, b) => a + b) / 64,
        );
        const light = rgb.map((v, c) => srgb.curves[c as 0](v / 255)) as Vector;
        const found = labOf(apply(srgb.toXyz, light));
        // Colours beyond sRGB are clipped; the picture of this test has some.
        if (rgb.every((v) => v > 0 && v < 255)) {
          expect([strip!.patches[i]!.name, colourDifference(found, lab) < 1]).toEqual([
            strip!.patches[i]!.name,
            true,
          ]);
          held += 1;
        }
      }
      expect(held).toBeGreaterThan(24);
    },
  );

  it('is a page of its own size as PDF, and an entry of the log book', async () => {
    const [sheet] = await written(proof({ overview: false, sheet: 'A5' }));
    const pdf = execFileSync('pdfinfo', [pathOf(sheet!.pdfSha256)], { encoding: 'utf8' });
    const [, width, height] = /Page size: +([\d.]+) x ([\d.]+) pts/.exec(pdf)!;
    // At 72 ppi a pixel is a point.
    expect([Number(width), Number(height)]).toEqual([sheet!.width, sheet!.height]);
    const [entry] = await here.rows<Record<string, unknown>>(
      'SELECT kind, ref, what, factor FROM print_entry ORDER BY id DESC LIMIT 1',
    );
    expect(entry).toMatchObject({ kind: 'proofSheet', ref: sheet!.id, what: sheet!.name });
    const content = sheet!.content as ResolutionSheet;
    expect(entry!.factor).toBeCloseTo(content.pieces[0]!.factor, 6);
    expect(content.overview).toBeNull();
  });

  it('holds two sizes at once, each piece as large as on its print', async () => {
    const offered = await offerSize({ ...layout, sizeKey: LARGER });
    expect(offered).toMatchObject({ ok: true });
    const [sheet] = await written(proof({ sizes: [SIZE, LARGER], sheet: 'auto' }));
    const { pieces } = sheet!.content as ResolutionSheet;
    expect(pieces).toHaveLength(4);
    const factors = pieces.map((p) => [p.sizeKey, p.factor] as const);
    const of = (key: string) => factors.find(([k]) => k === key)![1];
    expect(of(LARGER)).toBeGreaterThan(of(SIZE));
    for (const { region } of pieces)
      expect([region.width, region.height]).toEqual([113, 85]);
    const overlap = pieces.some((a, i) =>
      pieces
        .slice(i + 1)
        .some(
          (b) =>
            Math.abs(a.place.left - b.place.left) < 113 &&
            Math.abs(a.place.top - b.place.top) < 85,
        ),
    );
    expect(overlap).toBe(false);
    // Under each piece stand its place's number and its size; the numbers again on the small picture.
    const [job] = await here.rows<{ spec: string }>(
      "SELECT spec FROM job WHERE kind = 'sheet' ORDER BY id DESC LIMIT 1",
    );
    const said = (JSON.parse(job!.spec) as SheetOrder).words.map((w) => w.text);
    const heads = said.filter((text) => /^\d  /.test(text));
    expect(heads.map((text) => text.slice(0, 13))).toEqual([
      '1  30 × 40 cm',
      '1  40 × 50 cm',
      '2  30 × 40 cm',
      '2  40 × 50 cm',
    ]);
    expect(heads[0]).toMatch(/, \d\.\d\d ×: longest tones$/);
    expect(heads[3]).toMatch(/: chosen by hand$/);
    expect(said.filter((text) => /^\d$/.test(text))).toEqual(['1', '2']);
    // The sizes of a place lie beside one another.
    for (const [a, b] of [pieces.slice(0, 2), pieces.slice(2)] as SheetPiece[][]) {
      expect(a!.place.top).toBe(b!.place.top);
      expect(a!.place.left).toBeLessThan(b!.place.left);
    }
  });

  it('says what is missing, or wrong, and what to do', async () => {
    expect(await refusal(proof({ sizes: [] }))).toMatch(/^Choose at least one size/);
    expect(await refusal(proof({ places: [] }))).toMatch(/^Choose at least one size/);
    expect(await refusal(proof({ width: 390, height: 390, sheet: 'A5' }))).toMatch(
      /No sheet holds all these pieces.*larger sheet/,
    );
    expect(await refusal(proof({ sheet: 'A9' }))).toMatch(/No sheet/);
    const output = stepIn(plain, 'output')!;
    expect(
      await refusal(proof({}, withStep(plain, 4, { ...output, radius: 1000 }))),
    ).toMatch(/radius: 1000 px/);
    const odd = { ...desk, places: [{ x: 2, y: 0, tests: 'tones' }] };
    expect(await refusal(proof(odd as ProofDesk))).toMatch(/Proof sheet/);
  });

  it('a piece outside the picture after a newer crop is named, and nothing is written', async () => {
    // 4:5 out of 3:4: the frame of 40 x 50 cm is cut above and below.
    const crop = { workId: '1', ratio: '4:5', x: '0.5', y: '1', zoom: '0.4' };
    expect(await keepCrop(crop)).toMatchObject({ ok: true });
    const fill = { ...layout, fit: 'fill', border: '0', sizeKey: LARGER };
    expect(await offerSize(fill)).toMatchObject({ ok: true });
    const places: ProofDesk['places'] = [
      { x: 0.5, y: 0.8, tests: 'edges' },
      { x: 0.5, y: 0.02, tests: 'shadow' },
    ];
    expect(await refusal(proof({ sizes: [LARGER], places }))).toMatch(
      /^Piece 2 \(deepest shadow\) lies outside the picture as 40 × 50 cm is cropped now\. Move it/,
    );
  });
});

describe('a settings sheet', () => {
  it('has a cell for every pair of settings, each with its recipe and its pixels', async () => {
    const [sheet] = await written(
      settings({
        axes: [
          { axis: 'lightness', step: 20, sides: 1, words: [] },
          { axis: 'saturation', step: 50, sides: 1, words: [] },
        ],
      }),
    );
    expect(sheet!.checks.filter((c) => !c.passed)).toEqual([]);
    const { cells, columns, factor } = sheet!.content as SettingsSheet;
    expect(factor).toBeCloseTo(cells[0]!.place.width / WIDTH, 6);
    expect(columns).toBe(3);
    expect(cells.map((c) => c.label).slice(0, 4)).toEqual([
      'lightness −20, saturation −50',
      'lightness 0, saturation −50',
      'lightness +20, saturation −50',
      'lightness −20, saturation 0',
    ]);
    expect(stepIn(cells[8]!.recipe, 'adjust')).toMatchObject({
      lightness: 20,
      saturation: 50,
    });
    const means = await Promise.all(
      cells.map(async ({ place }) => {
        const bytes = await pixels(sheet!.sha256, place);
        return bytes.reduce((sum, v) => sum + v, 0) / bytes.length;
      }),
    );
    // Lighter to the right in every row.
    for (let row = 0; row < 9; row += 3) {
      expect(means[row + 1]! - means[row]!).toBeGreaterThan(5);
      expect(means[row + 2]! - means[row + 1]!).toBeGreaterThan(5);
    }
  });

  it('in pieces at the final size, the cell of the recipe is as the print file', async () => {
    const [sheet] = await written(
      settings({
        of: 'piece',
        axes: [{ axis: 'sharpening', step: 60, sides: 1, words: [] }],
      }),
    );
    const { cells, factor } = sheet!.content as SettingsSheet;
    const { file, image } = await printed();
    expect(factor).toBeCloseTo(file!.factor, 6);
    const [entry] = await here.rows<{ id: number; factor: number; recipe: string }>(
      "SELECT id, factor, recipe FROM print_entry WHERE kind = 'settingsSheet' ORDER BY id DESC LIMIT 1",
    );
    // What was varied is its recipe, not one of the cells.
    expect(entry!.factor).toBe(factor);
    expect(RECIPE.read(JSON.parse(entry!.recipe))).toEqual(plain);
    // Judged or not, it stands for none of its recipes: the book answers without it.
    const right = { sharpness: '0', grain: '0', halos: '0', tone: '0', colour: '0' };
    expect(
      await judgePrint({ entryId: String(entry!.id), ...right, remarks: '' }),
    ).toMatchObject({ ok: true });
    const { answer } = await loadPrints({ factor: String(factor) });
    expect(answer!.near.length).toBeGreaterThan(0);
    expect(answer!.near.map((n) => n.kind)).not.toContain('settingsSheet');
    expect(answer!.proposed).toBeNull();
    const { place, recipe } = cells[1]!;
    expect(recipe.steps).toEqual(plain.steps);
    const there = {
      ...place,
      left: image.left + Math.round(image.width / 2 - place.width / 2),
      top: image.top + Math.round(image.height / 2 - place.height / 2),
    };
    const same = await pixels(sheet!.sha256, place);
    expect(same.equals(await pixels(file!.sha256, there))).toBe(true);
    expect(same.equals(await pixels(sheet!.sha256, cells[2]!.place))).toBe(false);
  });

  it('becomes one sheet for each media setting, with its name on it', async () => {
    const media = { axis: 'media', step: 8, sides: 1, words: ['heavy rag', 'fine art'] };
    const sheets = await written(
      settings({
        axes: [{ ...usualSettings.axes[0]! }, media as SettingsDesk['axes'][number]],
      }),
    );
    // They are written side by side: either may be first.
    const named = sheets.map((s) => (s.content as SettingsSheet).media);
    expect(named.sort()).toEqual(['fine art', 'heavy rag']);
    expect(new Set(sheets.map((s) => s.name)).size).toBe(2);
    const none = { ...media, words: [] } as SettingsDesk['axes'][number];
    expect(await refusal(settings({ axes: [none] }))).toMatch(/name at least one/);
  });

  it('says why it cannot be laid out', async () => {
    const [first] = usualSettings.axes;
    expect(await refusal(settings({ axes: [first!, first!] }))).toMatch(
      /^Second axis: it is the same/,
    );
    expect(await refusal(settings({ sheet: 'Papyrus' }))).toMatch(
      /^Sheet: it is not in the drawer/,
    );
    const many = { step: 5, sides: 4, words: [] };
    expect(
      await refusal(
        settings({
          sheet: 'A5',
          margin: 40,
          axes: [
            { axis: 'contrast', ...many },
            { axis: 'warmth', ...many },
          ],
        }),
      ),
    ).toMatch(
      /^81 cells over a control strip get smaller than 12 mm on A5\. Take fewer steps, leave out/,
    );
    const elsewhere = orderSettingsSheet({
      workId: '1',
      sizeKey: 'metricFrames-70x100',
      recipe: JSON.stringify(plain),
      desk: JSON.stringify(usualSettings),
    });
    expect(await refusal(elsewhere)).toMatch(/not on offer any more/);
    const wild = withStep(plain, 1, { ...adjust, lightness: 900 });
    expect(await refusal(settings({}, wild))).toMatch(/lightness: 900/);
  });
});

it('stopped in the middle, a sheet leaves nothing', async () => {
  const [row] = await here.rows<{ spec: string }>(
    "SELECT spec FROM job WHERE kind = 'sheet' ORDER BY id DESC LIMIT 1",
  );
  const order = JSON.parse(row!.spec) as SheetOrder;
  const before = await sheetFilesOf(here.open.db.read, 1);
  const stop = new AbortController();
  const running = writeSheetFile(
    here.open,
    order,
    (_, share) => share > 0.5 && stop.abort(),
    stop.signal,
  );
  await expect(running).rejects.toThrow();
  expect(await sheetFilesOf(here.open.db.read, 1)).toEqual(before);
  expect(readdirSync(storePaths(here.open.home).tmp)).toEqual([]);
});

it('a master that went, or whose colours nobody said, is named', async () => {
  const order = { workId: 1, masterId: 99, content: { kind: 'settings' } };
  const run = () =>
    writeSheetFile(
      here.open,
      order as unknown as SheetOrder,
      () => undefined,
      new AbortController().signal,
    );
  await expect(run()).rejects.toThrow(/master it was ordered from is not there/);
  await here.take({ iccDescription: null }, 'c'.repeat(64));
  expect(await refusal(proof())).toMatch(/carries no colour profile/);
  expect(await refusal(settings())).toMatch(/colours are never guessed/);
});
