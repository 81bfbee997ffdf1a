import { readFileSync, rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { plainRecipe } from '@/core/prepare';
import { scratch, writeMaster } from './fixtures';
import { serious } from './support/axe';
import { choose } from './support/choose';
import { opened } from './support/opened';
import { asJpeg, original, printedOff, taken } from './support/photographs';
import { stripDesk } from './support/proofs';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-proof';
const SIZE = 'metricFrames-30x40';
const server = new StudioServer(HOME, 4169);

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 0, orders: 0 });
  await server.start();
  const answer = await fetch(`${server.url}/api/masters?work=1&name=proof.tif`, {
    method: 'PUT',
    body: readFileSync(await writeMaster('proof.tif', 1500, 2000)),
  });
  expect(answer.status).toBe(201);
});
test.afterAll(() => server.kill());

const PROOF_ACTIONS = 'src/stations/prepare/proofActions.ts';
const library = `/papers/profiles`;

async function bring(page: Page, file: string): Promise<void> {
  await opened(page, `${server.url}${library}?bring=1`);
  await page.locator('input[type=file]').setInputFiles(file);
}

test('a profile is judged as it comes: what is none, or of no printer, is said in a sentence', async ({
  page,
}) => {
  await bring(page, 'package.json');
  await expect(page.getByText(/no ICC profile/)).toBeVisible();
  await page.locator('input[type=file]').setInputFiles(`${scratch}/proof.tif`);
  await expect(page.getByText(/larger than such a file is/)).toBeVisible();
  expect(await server.rows('SELECT count(*) AS n FROM profile')).toEqual([{ n: 0 }]);
  await bring(page, 'demo/profiles/slackwater-cotton.icc');
  const slip = page.getByRole('complementary', { name: 'Profile' });
  await expect(slip.getByRole('heading', { name: 'Slackwater Cotton' })).toBeVisible();
  await expect(slip).toContainText('printer, RGB by Lab, version 2.4');
  await expect(slip).toContainText('deepest black');
});

test('two papers get their profiles, drawn over each other', async ({ page }) => {
  await opened(page, `${server.url}${library}`);
  const slip = page.getByRole('complementary', { name: 'Profile' });
  await slip.getByRole('button', { name: 'Print this paper through it' }).click();
  await expect(slip).toContainText('Linen 300');
  await bring(page, 'demo/profiles/chalkline-baryta.icc');
  await expect(slip.getByRole('heading', { name: 'Chalkline Baryta' })).toBeVisible();
  await choose(page, 'Drawn over it, in blue', 'Slackwater Cotton');
  await expect(
    page.getByRole('img', {
      name: /Colours that Chalkline Baryta and Slackwater Cotton can print/,
    }),
  ).toBeVisible();
  expect(await serious(page)).toEqual([]);
  expect(
    await server.rows('SELECT paper_id, printer, setting FROM profile_use'),
  ).toMatchObject([{ paper_id: 1 }]);
});

/** Pixels of the glass that no screen of sRGB can show; null where its colours are cut down to sRGB. */
const beyondSrgb = (page: Page) =>
  page.getByTestId('proof-glass').evaluate((glass) => {
    const canvas = glass.querySelector('canvas')!;
    const pen = canvas.getContext('2d')!;
    if (pen.getContextAttributes().colorSpace !== 'display-p3') return null;
    const wide = { colorSpace: 'display-p3' } as const;
    const { data } = pen.getImageData(0, 0, canvas.width, canvas.height, wide);
    const light = (v: number) => {
      const s = v / 255;
      return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
    };
    let n = 0;
    for (let i = 0; i < data.length; i += 4) {
      const [r, g, b] = [light(data[i]!), light(data[i + 1]!), light(data[i + 2]!)];
      const red = 1.2249 * r - 0.2247 * g;
      const green = -0.042 * r + 1.0419 * g;
      const blue = -0.0197 * r - 0.0786 * g + 1.0979 * b;
      if (Math.min(red, green, blue) < -0.01 || Math.max(red, green, blue) > 1.01) n += 1;
    }
    return n;
  });

test('Display P3 is offered where the screen shows it, and shows colours beyond sRGB', async ({
  page,
}) => {
  const screen = page.getByRole('button', { name: /Screen/ });
  await opened(page, `${server.url}/works/1/proof`);
  await screen.click();
  await expect(page.getByRole('option', { name: 'sRGB' })).toBeVisible();
  await expect(page.getByRole('option', { name: 'Display P3' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  expect(await beyondSrgb(page)).toBeNull();

  const session = await page.context().newCDPSession(page);
  const features = [{ name: 'color-gamut', value: 'p3' }];
  await session.send('Emulation.setEmulatedMedia', { features });
  await choose(page, 'Screen', 'Display P3');
  await expect.poll(() => beyondSrgb(page)).toBeGreaterThan(1000);

  // The same link on a screen of sRGB shows it as that screen can.
  await session.send('Emulation.setEmulatedMedia', { features: [] });
  await expect(screen).toContainText('sRGB');
  await expect.poll(() => beyondSrgb(page)).toBeNull();
});

test('the picture is seen on the paper, what it loses is measured, and marks follow the threshold', async ({
  page,
}) => {
  await opened(page, `${server.url}/works/1/proof`);
  const slip = page.getByRole('complementary', { name: 'On paper' });
  await expect(slip).toContainText('out of reach');
  const line = (intent: string) => slip.getByRole('row', { name: intent });
  await expect(line('relative, black point')).toHaveAttribute('aria-selected', 'true');
  await expect(slip).toContainText('Recommended: relative');
  await slip.getByRole('button', { name: 'perceptual' }).click();
  await expect(line('perceptual')).toHaveAttribute('aria-selected', 'true');
  await slip.getByRole('button', { name: 'Take the recommendation' }).click();
  await expect(line('relative, black point')).toHaveAttribute('aria-selected', 'true');

  // Marks: as many as are farther out of reach than the threshold.
  const marked = () =>
    page.getByTestId('proof-marks').evaluate((canvas: HTMLCanvasElement) => {
      const pen = canvas.getContext('2d')!;
      const { data } = pen.getImageData(0, 0, canvas.width, canvas.height);
      let n = 0;
      for (let i = 3; i < data.length; i += 4) if (data[i]! > 0) n += 1;
      return n;
    });
  await expect.poll(marked).toBeGreaterThan(0);
  const rings = await marked();
  await page.keyboard.press('m');
  await expect.poll(marked).toBeGreaterThan(rings * 2);
  const many = await marked();
  await page.getByRole('slider', { name: 'Marked from, ΔE00' }).fill('9');
  await expect.poll(marked).toBeLessThan(many);

  // A place is gone to, at the master’s own pixels.
  await slip.getByRole('button', { name: /^1 / }).click();
  const marks = page.getByTestId('proof-marks');
  await expect
    .poll(async () => Number(await marks.getAttribute('data-scale')))
    .toBeCloseTo(1, 1);
  await slip.getByRole('button', { name: 'The whole picture' }).click();
  await expect
    .poll(async () => Number(await marks.getAttribute('data-scale')))
    .toBeLessThan(0.7);

  const split = page.getByRole('slider', { name: 'Line between the master and the proof' });
  await split.focus();
  await page.keyboard.press('ArrowRight');
  await expect(split).toHaveAttribute('aria-valuenow', '52');
  expect(await serious(page)).toEqual([]);
  await page.keyboard.press('s');
  await expect(page.getByTestId('proof-glass')).toHaveCount(2);
});

const rounds = `${server.url}/works/1/proof?sheet=rounds&size=${SIZE}`;

/** A proof sheet with a control strip by a recipe, written. */
async function writeSheet(recipe: unknown): Promise<void> {
  const path = '/works/1/prepare?sheet=proof';
  const answer = await server.action(path, PROOF_ACTIONS, 'orderProofSheet', {
    workId: '1',
    recipe: JSON.stringify(recipe),
    recipeId: '',
    desk: JSON.stringify(stripDesk(SIZE)),
  });
  expect(answer).toMatchObject({ ok: true });
  const waiting = "SELECT count(*) AS n FROM job WHERE state IN ('queued', 'running')";
  await expect.poll(async () => (await server.rows(waiting))[0]?.n).toBe(0);
}

/** Sends what lies on top, has its strip read, and answers the mean difference. */
async function sendAndRead(page: Page): Promise<number> {
  await opened(page, rounds);
  await page.getByRole('button', { name: 'Note it as sent' }).click();
  await page.getByRole('link', { name: 'Measure it' }).first().click();
  await page.getByRole('button', { name: 'Read the strip' }).click();
  const drawn = page.getByRole('img', { name: /Control strip of 36 patches/ });
  await expect(drawn).toBeVisible();
  const said = await drawn.getAttribute('aria-label');
  return Number(/mean ΔE00 ([\d.]+)/.exec(said!)![1]);
}

async function judge(page: Page, seen: string, change: string): Promise<void> {
  await opened(page, rounds);
  await page.getByLabel('What was seen').fill(seen);
  await page.getByLabel('To change in the next round').fill(change);
  await page.getByRole('button', { name: 'By eye, in what light' }).click();
  await page.getByRole('button', { name: 'midtones a little too dark' }).click();
  await page.getByLabel('Light on it').fill('500');
  if (change) await choose(page, 'Verdict', 'change and repeat');
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
}

test('a round is sent, its strip read, the change taken; the next is approved, and holds until the paper is another', async ({
  page,
}) => {
  await writeSheet(plainRecipe(100, 1));
  const first = await sendAndRead(page);
  await page.getByRole('button', { name: 'Make it the next recipe' }).click();
  await page.getByRole('link', { name: 'See it on the paper' }).click();
  await expect(page.getByText(/by “Slack Water, after round 1”/)).toBeVisible();
  await judge(page, 'A little dark.', 'lighter, by the recipe that was found');
  await expect(
    page.getByText('By eye: midtones a little too dark (at 500 lx)'),
  ).toBeVisible();

  const [row] = await server.rows('SELECT recipe FROM recipe ORDER BY id DESC LIMIT 1');
  const { version: _, ...recipe } = JSON.parse(row!.recipe as string) as Record<
    string,
    unknown
  >;
  await writeSheet(recipe);
  const second = await sendAndRead(page);
  expect(second).toBeLessThan(first);
  expect(await serious(page)).toEqual([]);
  await judge(page, 'As the panel.', '');
  await expect(page.getByText(/Round 2 on Linen 300 is the reference/)).toBeVisible();

  // Another paper: the question is open again, and numbering says so first.
  await opened(page, `${server.url}/papers?new=1`);
  await page.getByLabel('Name').fill('Chalkline Baryta');
  await page.getByLabel('Maker').fill('Ragwater Mill');
  await page.getByLabel('Weight').fill('310');
  await page.getByLabel('Sheet width').fill('510');
  await page.getByLabel('Sheet height').fill('710');
  await page.getByLabel('Price a sheet').fill('6.40');
  await page.getByRole('button', { name: 'Add this paper' }).click();
  await expect(page.getByText('None left.')).toBeVisible();
  await opened(page, `${rounds}&paper=2`);
  await expect(
    page.getByText(/holds no more for Chalkline Baryta: the paper is another/),
  ).toBeVisible();
});

test('a round is photographed: found by itself, its corners moved by the keyboard, compared anew', async ({
  page,
}) => {
  // A picture with something in it to be known again by.
  const picture = original('twoJugs', 700);
  const { width, height } = picture;
  const png = sharp(picture.data, { raw: { width, height, channels: 3 } }).png();
  const taking = await fetch(`${server.url}/api/masters?work=1&name=jugs.png`, {
    method: 'PUT',
    body: await png.withIccProfile('srgb').toBuffer(),
  });
  expect(taking.status).toBe(201);
  await writeSheet(plainRecipe(100, 1));
  await opened(page, rounds);
  await page.getByRole('button', { name: 'Note it as sent' }).click();
  await expect(page.getByRole('heading', { name: 'Linen 300: out' })).toBeVisible();
  const print = printedOff(picture, () => [-2, 0, 4]);
  await opened(page, `${server.url}/works/1/proof?sheet=photographed&size=${SIZE}`);
  await page.locator('input[type=file]').setInputFiles({
    name: 'print.jpg',
    mimeType: 'image/jpeg',
    buffer: await asJpeg(taken(print)),
  });
  const slip = page.getByRole('complementary', { name: 'Photographed' });
  await expect(slip).toContainText('Found by itself', { timeout: 60_000 });
  await expect(slip).toContainText('Beside the white border of the print');
  await expect(page.getByRole('row', { name: /^neutral|^midtones/ }).first()).toContainText(
    'yellower',
  );
  await expect(
    page.getByRole('img', { name: /Map of differences over the picture/ }),
  ).toBeVisible();
  expect(await serious(page)).toEqual([]);
  const corner = page.getByRole('slider', { name: /^Corner top left/ });
  const before = Number(await corner.getAttribute('aria-valuenow'));
  await corner.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(corner).toHaveAttribute('aria-valuenow', String(before + 2));
  await page.getByRole('button', { name: 'Compare anew' }).click();
  await expect(slip).toContainText('Placed by hand', { timeout: 60_000 });
  expect(await server.rows('SELECT by_hand FROM proof_placing ORDER BY id')).toMatchObject([
    { by_hand: 0 },
    { by_hand: 1 },
  ]);
});
