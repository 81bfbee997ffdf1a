import { choose } from './support/choose';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { ResolutionSheet } from '@/core/prepare';
import type { HandOverManifest } from '@/core/prepare';
import { writeMaster } from './fixtures';
import { upload } from './support/errands';
import { opened } from './support/opened';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-prepare';
const server = new StudioServer(HOME, 4188);
const SMALL = 'metricFrames-30x40';
const LARGE = 'metricFrames-50x70';

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 0, orders: 0 });
  await server.start();
  expect(await upload(server, await writeMaster('slack.tif', 1800, 2400))).toBe(201);
  const read = () => server.rows("SELECT state FROM job WHERE kind = 'inspect'");
  await expect
    .poll(async () => (await read())[0]?.state, { timeout: 120_000 })
    .toBe('done');
  const offer = { workId: '1', sizeKey: LARGE, fit: 'within', border: '25 mm' };
  expect(
    await server.action(
      '/works/1/size',
      'src/stations/size/actions.ts',
      'offerSize',
      offer,
    ),
  ).toMatchObject({ ok: true });
});
test.afterAll(() => server.kill());

const prepare = (sheet: string, size = SMALL) =>
  `${server.url}/works/1/prepare?sheet=${sheet}&size=${size}`;

/** The shown samples of a patch. */
const patch = (page: Page, name: string) =>
  page.getByRole('img', { name }).evaluate((canvas: HTMLCanvasElement) => {
    const { data } = canvas
      .getContext('2d')!
      .getImageData(0, 0, canvas.width, canvas.height);
    let sum = 0;
    for (let i = 0; i < data.length; i += 1) sum = (sum * 31 + data[i]!) % 1_000_003;
    return sum;
  });

const made = async (page: Page) => {
  await expect(page.getByTestId('patch')).not.toHaveAttribute('data-made', '0');
  await expect(page.getByTestId('patch')).toHaveAttribute('aria-busy', 'false');
};

/** Says of an entry of the log book what is thought of it. */
async function judge(page: Page, entry: RegExp, said: Record<string, string>) {
  await opened(page, `${server.url}/log`);
  await page.getByRole('row', { name: entry }).first().click();
  for (const [aspect, word] of Object.entries(said)) await choose(page, aspect, word);
  await page.getByLabel('Remarks').fill('seen by the window');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('“seen by the window”')).toBeVisible();
}

/** Samples of a part of an uncompressed 8-bit RGB file of ours. */
function part(
  sha256: string,
  wide: number,
  at: { left: number; top: number },
  width: number,
  height: number,
) {
  const file = readFileSync(join(HOME, 'files', sha256.slice(0, 2), sha256));
  const rows = Array.from({ length: height }, (_, y) => {
    const from = 8 + ((at.top + y) * wide + at.left) * 3;
    return file.subarray(from, from + width * 3);
  });
  return Buffer.concat(rows);
}

test('make a resolution proof for two sizes, judge it, make the print file, hand it to the lab, log what came back, ask the log', async ({
  page,
}) => {
  // The recipe: a number that is moved is seen at once, and untouched stays untouched.
  await opened(page, prepare('recipe'));
  await made(page);
  const [plain, before] = [
    await patch(page, 'Patch, untouched'),
    await patch(page, 'Patch, as it prints'),
  ];
  await page.getByRole('textbox', { name: 'amount, %' }).fill('140');
  await expect.poll(() => patch(page, 'Patch, as it prints')).not.toBe(before);
  expect(await patch(page, 'Patch, untouched')).toBe(plain);
  await page.getByRole('textbox', { name: 'radius, px' }).fill('0');
  await expect(page.getByText(/radius: 0 px cannot be worked with/)).toBeVisible();
  await page.getByRole('textbox', { name: 'radius, px' }).fill('1.1');
  await made(page);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.getByLabel('Name').fill('Cotton, close up');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(
    page.getByRole('paragraph').filter({ hasText: 'Cotton, close up, version 1' }),
  ).toBeVisible();

  // The proof sheet: two sizes, proposed pieces and one by hand, from the keyboard.
  await page.getByRole('link', { name: 'Proof sheet' }).click();
  await page.getByRole('checkbox', { name: '50 × 70 cm' }).check();
  await page.getByRole('button', { name: 'Propose pieces' }).click();
  await expect(page.getByRole('table', { name: 'Pieces' }).getByRole('row')).toHaveCount(5);
  await page.getByTestId('pieces').focus();
  for (const key of ['ArrowLeft', 'ArrowUp', 'Enter']) await page.keyboard.press(key);
  await expect(page.getByText('chosen by hand')).toBeVisible();
  for (let i = 0; i < 3; i += 1)
    await page.getByRole('button', { name: 'Take off piece 3' }).click();
  await expect(page.getByText('6', { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Write the proof sheet' }).click();
  await expect(page.getByText('8 of 8 ✓')).toBeVisible({ timeout: 120_000 });

  await judge(page, /proof sheet/, { sharpness: 'a little hard', halos: 'faint' });

  // The print file; every piece of the proof is in it, pixel for pixel.
  await opened(page, prepare('files'));
  await page.getByRole('button', { name: 'Write the print file' }).click();
  await expect(page.getByText('all 10 checks passed')).toBeVisible({ timeout: 180_000 });
  const [sheet] = await server.rows('SELECT sha256, width_px, content FROM sheet_file');
  const [file] = await server.rows(
    'SELECT sha256, width_px, height_px, name, recipe_id FROM print_file',
  );
  expect(file).toMatchObject({ name: '30x40cm_slack-water_300ppi_v1.tif', recipe_id: 1 });
  const { pieces } = JSON.parse(sheet!.content as string) as ResolutionSheet;
  const own = pieces.filter((p) => p.sizeKey === SMALL);
  expect([own.length, pieces.length]).toEqual([3, 6]);
  // 30 x 40 cm with a border of 20 mm: 3543 px less 236 on either side.
  const border = { left: 236, top: 236 };
  for (const { region, place } of own) {
    const { width, height } = region;
    const there = { left: border.left + region.left, top: border.top + region.top };
    const a = part(sheet!.sha256 as string, Number(sheet!.width_px), place, width, height);
    const b = part(file!.sha256 as string, Number(file!.width_px), there, width, height);
    expect(a.equals(b)).toBe(true);
  }

  // To the lab, which holds it against its own rules.
  await page.getByRole('link', { name: 'Hand over' }).click();
  await page.getByRole('button', { name: 'Name who prints' }).click();
  await page.getByLabel('Name').fill('Tidewrack Print Rooms');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { name: 'Tidewrack Print Rooms' })).toBeVisible();
  await page.getByRole('checkbox', { name: /30x40cm/ }).check();
  await page.getByLabel(/Prints of/).fill('5');
  await page.getByLabel(/Remarks on/).fill('trim on the left first');
  await page.getByRole('button', { name: 'Hand over 1 file' }).click();
  await page.getByRole('button', { name: 'Ask the lab' }).click({ timeout: 60_000 });
  await expect(page.getByText(/5 × Linen 300, accepted ✓/)).toBeVisible();
  const manifest = JSON.parse(
    readFileSync(join(HOME, 'drop/tidewrack-print-rooms/H-0001/manifest.json'), 'utf8'),
  ) as HandOverManifest;
  expect(manifest.items).toMatchObject([
    { sha256: file!.sha256, quantity: 5, remarks: 'trim on the left first', ppi: 300 },
  ]);

  // What came back is logged, and the log answers.
  await judge(page, /print file/, { sharpness: 'a little hard', tone: 'a little dark' });
  await opened(page, prepare('recipe', LARGE));
  await page.getByRole('link', { name: /Ask the log book/ }).click();
  await expect(
    page.getByRole('grid', { name: 'Log book of prints' }).getByRole('row'),
  ).toHaveCount(3);
  await expect(
    page.getByText(/amount 140 → 110: sharpness was a little hard/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Take this recipe to Prepare' }).click();
  await expect(page.getByRole('textbox', { name: 'amount, %' })).toHaveValue('110');

  // Found again by a word that was said.
  await opened(page, `${server.url}/log`);
  await page.getByLabel('Find in the book').fill('window');
  await expect(page.getByText('2 entries, newest first')).toBeVisible();
});

test('a cell of a settings sheet becomes the recipe with one press', async ({ page }) => {
  await opened(page, prepare('settings'));
  await page.getByRole('button', { name: 'Write the settings sheet' }).click();
  const cell = page.getByRole('button', { name: /^4 lightness \+8, warmth −8/ });
  await cell.click({ timeout: 120_000 });
  await page.getByRole('link', { name: 'Recipe', exact: true }).click();
  await expect(
    page.getByRole('button', { name: /Adjust by eye lightness \+8, 1 more/ }),
  ).toBeVisible();
});

test('the patch follows a number, in sight of the line and behind it', async ({ page }) => {
  await opened(page, prepare('recipe'));
  const patch = page.getByTestId('patch');
  const made = () => patch.getAttribute('data-made').then(Number);
  /** The samples of both ends of the print's side: the left one lies behind the line. */
  const ends = () =>
    page.getByRole('img', { name: 'Patch, as it prints' }).evaluate((canvas) => {
      const { width, height } = canvas as HTMLCanvasElement;
      const paper = (canvas as HTMLCanvasElement).getContext('2d')!;
      return [0, width - 60].map((left) =>
        paper.getImageData(left, 0, 60, height).data.join(),
      );
    });
  await expect.poll(made).toBeGreaterThan(0);
  await expect(patch).toHaveAttribute('aria-busy', 'false');
  const [behind, seen] = await ends();
  // Opaque everywhere: what lies behind the line was made too.
  for (const end of [behind!, seen!]) expect(end).not.toContain(',0,0,0,0,0,0,0,0,');

  const before = await made();
  await page.getByRole('textbox', { name: 'amount, %' }).fill('400');
  await expect.poll(made).toBeGreaterThan(before);
  await expect(patch).toHaveAttribute('aria-busy', 'false');
  const [behindNow, seenNow] = await ends();
  expect(seenNow === seen).toBe(false);
  expect(behindNow === behind).toBe(false);
  await expect(page.getByText('The patch cannot be shown')).toHaveCount(0);
});

test('a recipe of the rule of before says how far the rule of now is, and takes it with one press', async ({
  page,
}) => {
  const table: string[] = [];
  page.on('request', (r) => {
    if (r.url().includes('/api/patch-colours/')) table.push(r.url());
  });
  await opened(page, prepare('recipe'));
  const patch = page.getByTestId('patch');
  await expect(patch).toHaveAttribute('aria-busy', 'false');
  await page.getByRole('textbox', { name: 'amount, %' }).fill('90');
  // As a tab of the version before kept it.
  await page.evaluate(() => {
    const kept = JSON.parse(sessionStorage.getItem('recipe-1')!) as {
      recipe: { rule?: number; file: { dither?: boolean } };
    };
    delete kept.recipe.rule;
    delete kept.recipe.file.dither;
    sessionStorage.setItem('recipe-1', JSON.stringify(kept));
  });
  table.length = 0;
  await page.reload();
  const said = page.getByTestId('rule');
  await expect(said).toContainText(/of the rule of before/);
  await expect(said).toContainText(/by ΔE00 \d+\.\d\d in the mean, .* at most/, {
    timeout: 60_000,
  });
  await expect.poll(() => table.some((url) => url.includes('rule=1'))).toBe(true);
  await said.getByRole('button', { name: 'Take the rule of now' }).click();
  await expect(said).toHaveCount(0);
  await expect.poll(() => table.some((url) => url.includes('rule=2'))).toBe(true);
  await page.getByText('8 File').click();
  await expect(page.getByLabel('dither tones between two levels')).not.toBeChecked();
});
