import { mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import sharp from 'sharp';
import { writeMaster } from './fixtures';
import { opened } from './support/opened';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-bad';
const server = new StudioServer(HOME, 4181);
test.use({ baseURL: server.url });
test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  mkdirSync(HOME);
  await server.start();
});
test.afterAll(() => server.kill());

/** Whole files in the store, and whatever was left half-done. */
const inStore = () =>
  readdirSync(HOME, { recursive: true, encoding: 'utf8' }).filter(
    (p) => /^(files|tmp|derived)\/.+/.test(p) && !p.includes('/tiles/'),
  );

test('every bad file gets its sentence, and nothing is half-stored', async ({
  page,
  request,
}) => {
  await opened(page, '/works/new');
  for (const [label, value] of [
    ['Title', 'Bad Files'],
    ['Artist', 'Nobody'],
    ['Medium', 'ink'],
    ['Width', '30 cm'],
    ['Height', '40 cm'],
  ] as const)
    await page.getByLabel(label).fill(value);
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page).toHaveURL(/capture/);
  const work = /works\/(\d+)/.exec(page.url())![1]!;
  const flat = sharp({
    create: { width: 40, height: 30, channels: 3, background: '#a07050' },
  });
  const whole = readFileSync(await writeMaster('whole.tif', 300, 400));
  const png = await flat.clone().png().toBuffer();
  const actl = Buffer.from([
    0,
    0,
    0,
    8,
    ...Buffer.from('acTL'),
    0,
    0,
    0,
    2,
    0,
    0,
    0,
    0,
    0,
    0,
    0,
    0,
  ]);
  const animated = Buffer.concat([png.subarray(0, 33), actl, png.subarray(33)]);
  const before = inStore();
  const put = (name: string, data: Buffer) =>
    request.put(`/api/masters?work=${work}&name=${encodeURIComponent(name)}`, {
      data,
      headers: { 'content-type': 'application/octet-stream' },
    });
  const cases: [string, Buffer, RegExp][] = [
    [
      'truncated.tif',
      whole.subarray(0, 200_000),
      /^truncated\.tif: it breaks off or is damaged/,
    ],
    ['nothing.tif', Buffer.alloc(0), /^nothing\.tif: the file is empty \(0 bytes\)/],
    [
      'letter.tif',
      Buffer.from('Dear printer'),
      /^letter\.tif: by its content this is not a picture/,
    ],
    [
      'press.tif',
      await flat.clone().toColourspace('cmyk').tiff().toBuffer(),
      /^press\.tif: its colours are CMYK/,
    ],
    ['moving.png', animated, /^moving\.png: it holds an animation/],
    [
      'moving.gif',
      await flat.clone().gif().toBuffer(),
      /^moving\.gif: by its content this is a GIF/,
    ],
    [
      'order.pdf',
      Buffer.from('%PDF-1.7 x'),
      /^order\.pdf: by its content this is a PDF document/,
    ],
    ['../../etc/passwd', Buffer.from('x'), /^passwd: by its content/],
  ];
  for (const [name, data, sentence] of cases) {
    const answer = await put(name, data);
    expect(answer.status()).toBe(422);
    expect(((await answer.json()) as { message: string }).message).toMatch(sentence);
  }
  expect(inStore()).toEqual(before);

  // A right picture under a wrong ending and an odd name is taken by its content; twice it is not.
  expect((await put('../🌊 scan.jpg', png)).status()).toBe(201);
  const again = await put('copy.png', png);
  expect(((await again.json()) as { message: string }).message).toMatch(
    /already the master of “Bad Files”/,
  );
  const rows = await server.rows(`SELECT name FROM master WHERE work_id = ${work}`);
  expect(rows).toMatchObject([{ name: '🌊 scan.jpg' }]);

  // Naming a file on this machine: a wrong path keeps what was typed and says what to do.
  await opened(page, `/works/${work}/capture`);
  await page.getByText('Bring a newer master').click();
  await page.getByLabel('File on this machine').fill('/no/such/scan.tif');
  await page.getByRole('button', { name: 'Take this file' }).click();
  await expect(
    page.getByText('there is nothing at /no/such/scan.tif').first(),
  ).toBeVisible();
  await expect(page.getByLabel('File on this machine')).toHaveValue('/no/such/scan.tif');
});

test('units and grey of the table switch by key, and the key list opens', async ({
  page,
}) => {
  await opened(page, '/works');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(page.getByText('Units: inches')).toBeVisible();
  await page.keyboard.press('u');
  await page.keyboard.press('g');
  await expect(page.locator('html')).toHaveAttribute('data-tone', 'dark');
  await page.keyboard.press('g');
  await expect(page.locator('html')).toHaveAttribute('data-tone', 'light');
});
