import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { expect, test } from '@playwright/test';
import { layOnBed } from '../demo/capture/bed';
import { boardShot } from '../demo/capture/board';
import { plantSpecks } from '../demo/capture/dust';
import { RGB_SPACES, iccProfile } from '../src/core/colour';
import { createTiff } from '../src/engine/tiff/tiffWriter';
import { scratch } from './fixtures';
import { opened } from './support/opened';
import { plain, withNoise } from './support/pictures';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-capture';
const server = new StudioServer(HOME, 4185);

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await server.start();
});
test.afterAll(() => server.kill());

async function ask<T>(statement: string): Promise<T[]> {
  const client = createClient({ url: `file:${HOME}/studio.db` });
  const { rows } = await client.execute(statement);
  client.close();
  return rows as unknown as T[];
}

/** A smooth grey painting with dust on it, laid askew on a scanner bed. */
async function scan(name: string, specks = 12): Promise<string> {
  const work = withNoise(plain(1500, 1200, 110), 1);
  plantSpecks(work, specks, 8);
  const { width, height, data } = layOnBed(work, 60, 1.2);
  const path = join(scratch, name);
  const writer = await createTiff(path, {
    width,
    height,
    channels: 3,
    bits: 16,
    ppi: 127,
    icc: iccProfile(RGB_SPACES['a98-rgb']),
  });
  await writer.write(data);
  await writer.finish();
  return path;
}

test('a capture is planned, read, swept, straightened, and the ladder follows', async ({
  page,
}) => {
  const at = (path: string) => `${server.url}${path}`;
  await opened(page, at('/works/new'));
  await page.getByLabel('Title').fill('Grey Field');
  await page.getByLabel('Artist').fill('Senna Quillfeather');
  await page.getByLabel('Medium').fill('Soft pastel');
  await page.getByLabel('Width', { exact: true }).fill('300 mm');
  await page.getByLabel('Height', { exact: true }).fill('240 mm');
  await page.getByLabel('Price of the original').fill('500');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page).toHaveURL(/works\/1\/capture/);

  // The plan: a print of twice the size takes two tiles on the smaller bed.
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await expect(page.getByText(/Friable: it must not be pressed/)).toBeVisible();
  await page.getByLabel('Print, width').fill('60 cm');
  await page.getByLabel('Print, height').fill('48 cm');
  await page.getByRole('row', { name: /^A4 flatbed/ }).click();
  await expect(
    page.getByText(/In 2 tiles, 2 × 1, the work turned|In 2 tiles/),
  ).toBeVisible();
  await expect(page.getByText('600ppi')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this plan' }).click();
  await expect(page.getByText('Plan kept.')).toBeVisible();
  expect(await ask('SELECT width_mm, height_mm, ppi FROM print_wish')).toMatchObject([
    { width_mm: 600, height_mm: 480, ppi: 300 },
  ]);

  // The scan comes, and its pixels are read.
  await page.getByRole('link', { name: 'Bring the master' }).click();
  await page.setInputFiles('input[type=file]', await scan('grey-field.tif'));
  await expect(page.getByText(/Ready to size, with \d+ cautions/)).toBeVisible({
    timeout: 120_000,
  });
  await expect(page.getByText(/Askew by 1\.\d\d°/)).toBeVisible();

  // Its specks are walked by keyboard at 100 %.
  await page.getByRole('link', { name: /^Specks/ }).click();
  await expect(page.getByRole('heading', { name: 'Specks' })).toBeVisible();
  await expect(page.getByTestId('overlay')).toHaveAttribute('data-scale', /./);
  await page.keyboard.press('n');
  await expect(page.getByText(/^1 of \d+:/)).toBeVisible();
  await expect(page.getByTestId('overlay')).toHaveAttribute('data-scale', '1.000');
  await page.keyboard.press('m');
  await expect(page.getByText(/^2 of \d+:/)).toBeVisible();
  await page.keyboard.press('b');
  await expect
    .poll(() => ask('SELECT verdict FROM speck_event ORDER BY id'))
    .toMatchObject([{ verdict: 'mended' }, { verdict: 'partOfPicture' }]);
  const slider = page.getByRole('slider');
  const before = await page.getByText(/sure on: \d+ of/).textContent();
  await slider.focus();
  await page.keyboard.press('End');
  await expect(page.getByText(/sure on: \d+ of/)).not.toHaveText(before!);

  // The crop is accepted: the ladder is that of what is left.
  const [{ width_px: whole } = { width_px: 0 }] = await ask<{ width_px: number }>(
    'SELECT width_px FROM file',
  );
  await opened(page, at('/works/1/capture?sheet=edges'));
  await expect(
    page.getByText(/Proposed: \d+ × \d+ px, turned back by 1\.\d\d°/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Accept this crop' }).click();
  await expect(page.getByText(/Cropped to \d+ × \d+ px/)).toBeVisible();
  await opened(page, at('/works/1/size'));
  const said = await page.getByText(/master \d+ × \d+ px/).textContent();
  const [, across = '', down = ''] = /master (\d+) × (\d+) px/.exec(said ?? '') ?? [];
  expect(Number(across)).toBeLessThan(whole);
  expect(Math.abs(Number(across) - 1500)).toBeLessThan(12);
  expect(Math.abs(Number(down) - 1200)).toBeLessThan(12);

  // A board shot tells how even the light was.
  const board = join(scratch, 'board.png');
  const { writeFile } = await import('node:fs/promises');
  await writeFile(
    board,
    await boardShot([600, 480], [{ aside: -1.2, before: 1.1, strength: 1 }], 4),
  );
  await opened(page, at('/works/1/capture?sheet=light'));
  await page.setInputFiles('input[type=file]', board);
  await expect(page.getByText(/bring the right light nearer/)).toBeVisible({
    timeout: 120_000,
  });

  // A newer file in which specks were mended: verdicts stay with the places of the others.
  await opened(page, at('/works/1/capture?sheet=versions'));
  await page.setInputFiles('input[type=file]', await scan('grey-field_mended.tif', 11));
  await expect(page.getByText('2 versions, newest first')).toBeVisible({
    timeout: 120_000,
  });
  await expect(page.getByText(/1 of \d+ specks of the one before are gone/)).toBeVisible({
    timeout: 120_000,
  });
  expect(await ask('SELECT sha256 FROM file')).toHaveLength(2);
  await page.getByRole('link', { name: /^Specks/ }).click();
  await expect(page.getByRole('heading', { name: 'Specks' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Specks' })).toContainText('of the picture');
});
