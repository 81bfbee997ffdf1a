import { choose } from './support/choose';
import { createHash } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { createClient } from '@libsql/client';
import { expect, test } from '@playwright/test';
import type { Download, Page } from '@playwright/test';
import sharp from 'sharp';
import { readProfile } from '../src/engine/colour/colourEngine';
import { HOME } from '../playwright.config';
import { pdfCode, pdfSize, pdfText, writeMaster } from './fixtures';
import { countTwice } from './support/countTwice';
import { opened } from './support/opened';

const WIDTH = 6300;
const HEIGHT = 8400;

async function saved(page: Page, name: string | RegExp): Promise<string> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name }).first().click();
  const download: Download = await waiting;
  return download.path();
}

async function ask<T>(statement: string): Promise<T[]> {
  const client = createClient({ url: `file:${HOME}/studio.db` });
  const { rows } = await client.execute(statement);
  client.close();
  return rows as unknown as T[];
}

test.describe.configure({ mode: 'serial' });

test('one original goes from its scan to a packed, numbered, documented parcel', async ({
  page,
}) => {
  const master = await writeMaster('Evening 🌊 scan.tif', WIDTH, HEIGHT);
  const original = createHash('sha256').update(readFileSync(master)).digest('hex');

  // Table and works, with nothing in them yet.
  await opened(page, '/');
  await expect(page.getByRole('heading', { name: 'A first day' })).toBeVisible();
  await page.getByRole('link', { name: 'New work' }).click();
  await page.getByLabel('Title').fill('Evening Tide');
  await page.getByLabel('Artist').fill('Senna Quillfeather');
  await page.getByLabel('Medium').fill('Egg tempera');
  await page.getByLabel('Width').fill('0');
  await page.getByLabel('Height').fill('14in');
  await page.getByLabel('Price of the original').fill('1 450');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText(/Width: 0.mm is too little/)).toBeVisible();
  await expect(page.getByLabel('Title')).toHaveValue('Evening Tide');
  await page.getByLabel('Width').fill('26.67 cm');
  await page.getByRole('button', { name: 'Take it in' }).click();

  // Capture: the file streams in, is read, and its tiles are cut.
  await expect(page).toHaveURL(/works\/1\/capture/);
  await page.setInputFiles('input[type=file]', master);
  await expect(page.getByText('52.9')).toBeVisible({ timeout: 120_000 });
  await expect(page.getByText('ROMM RGB')).toBeVisible();
  await expect(page.getByTestId('deep-zoom')).toBeVisible({ timeout: 120_000 });
  expect(await ask('SELECT * FROM file')).toMatchObject([
    {
      sha256: original,
      width_px: WIDTH,
      height_px: HEIGHT,
      bits: 16,
      ppi_tag: 600,
      icc_description: 'ROMM RGB',
    },
  ]);
  expect(statSync(`${HOME}/files/${original.slice(0, 2)}/${original}`).size).toBe(
    statSync(master).size,
  );
  expect(
    (await page.request.get(`/api/tiles/${original}/13/0_0.jpg`)).headers()['content-type'],
  ).toBe('image/jpeg');

  // Size: by key, then offered with a border.
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/works\/1\/size/);
  await page.getByRole('row', { name: / 30 × 40 cm/ }).focus();
  await page.getByLabel('Border, inside the size').fill('20 mm');
  await page.getByRole('button', { name: 'Offer this size' }).click();
  await expect(page.getByRole('button', { name: 'On offer' })).toBeVisible();

  // Prepare: the print file, written, reopened, downloaded.
  await page.getByRole('link', { name: 'Prepare', exact: true }).click();
  await page.getByRole('button', { name: 'Write files by it' }).click();
  await page.getByRole('button', { name: 'Write the print file' }).click();
  await expect(page.getByText('all 10 checks passed')).toBeVisible({ timeout: 180_000 });
  const printFile = await saved(page, 'Download version 1');
  const facts = await sharp(printFile).metadata();
  expect(facts).toMatchObject({
    format: 'tiff',
    width: 3543,
    height: 4724,
    density: 300,
    depth: 'uchar',
    channels: 3,
  });
  expect(await readProfile(new Uint8Array(facts.icc!))).toMatchObject({
    description: 'A98 RGB (1998)',
  });
  const [row] = await ask<{ sha256: string; name: string }>(
    'SELECT sha256, name FROM print_file',
  );
  expect(createHash('sha256').update(readFileSync(printFile)).digest('hex')).toBe(
    row!.sha256,
  );
  expect(row!.name).toBe('30x40cm_evening-tide_300ppi_v1.tif');
  const corner = await sharp(printFile)
    .keepIccProfile()
    .extract({ left: 4, top: 4, width: 8, height: 8 })
    .raw()
    .toBuffer();
  expect(new Set(corner)).toEqual(new Set([255]));

  // Papers, then a proof on one of them.
  await page.keyboard.press('p');
  await page.getByLabel('Name').fill('Slackwater Cotton');
  await page.getByLabel('Maker').fill('Ragwater Mill');
  await page.getByLabel('Weight').fill('308');
  await page.getByLabel('Sheet width').fill('510');
  await page.getByLabel('Sheet height').fill('710');
  await page.getByLabel('Price a sheet').fill('6.40');
  await page.getByRole('button', { name: 'Add this paper' }).click();
  await expect(page.getByText('None left.')).toBeVisible();
  await opened(page, '/works/1/proof?sheet=rounds');
  await page.getByRole('button', { name: 'Note it as sent' }).click();
  await page.getByLabel('What was seen').fill('Close enough to forget the panel.');
  await page.getByRole('button', { name: 'Keep this verdict' }).click();
  await expect(page.getByText('is the reference')).toBeVisible();

  // Edition: an edition of 0 is refused at its field; of 3 it is declared, numbered, spoiled.
  await page.keyboard.press('5');
  await page.getByLabel('Edition of').fill('0');
  await page.getByRole('button', { name: 'Declare it' }).click();
  await page.getByRole('button', { name: 'Declare it for good' }).click();
  await expect(
    page.getByText(/a limited edition has at least one impression/).first(),
  ).toBeVisible();
  await page.getByLabel('Edition of').fill('3');
  await page.getByRole('button', { name: 'Declare it' }).click();
  await page.getByRole('button', { name: 'Declare it for good' }).click();
  for (const label of ['1/3', '2/3'])
    await page.getByRole('button', { name: `Number the next, ${label}` }).click();
  await page.getByRole('button', { name: '2/3, here' }).click();
  await page.getByLabel('What spoiled it').fill('a hair in the sky');
  await page.getByRole('button', { name: /record 2\/3 as spoiled/ }).click();
  await page.getByRole('button', { name: 'Print 2/3 again' }).click();
  await expect(page.getByText('Numbered again, printing 2.')).toBeVisible();
  await page.getByRole('button', { name: 'Check the ledger' }).click();
  await expect(page.getByText(/The ledger holds: 5 entries/).first()).toBeVisible();

  // Price: a margin of 100 % is refused at its field.
  await page.keyboard.press('6');
  await page.getByLabel('Printing').fill('9');
  await page.getByLabel('Target margin').fill('100');
  await expect(page.getByText(/Target margin: 100.% is too much/)).toBeVisible();
  await page.getByLabel('Target margin').fill('45');
  await page.getByRole('button', { name: 'Keep this price' }).click();
  await expect(page.getByText('Price kept.')).toBeVisible();

  // Finish.
  await opened(page, '/works/1/finish');
  await page.getByRole('button', { name: 'Keep this mat and frame' }).click();
  await expect(page.getByText('It holds: overlap 4')).toBeVisible();
  await expect(page.getByText('Mat and frame kept.')).toBeVisible();

  // The order.
  await opened(page, '/orders?new=1');
  await choose(page, 'Impression', 'Evening Tide, 1/3, 30 × 40 cm');
  await page.getByLabel('Name', { exact: true }).fill('Édouard Tillet-Ősz');
  await page.getByLabel('Street').fill('4 Capstan Row');
  await page.getByLabel('Postcode and town').fill('2180 Merrowstaithe');
  await page.getByLabel('Country').fill('Ulverreach');
  await page.getByLabel('Price').fill('0');
  await page.getByRole('button', { name: 'Take the order' }).click();
  await expect(page.getByText(/Price: €0.00 is too little/)).toBeVisible();
  await page.getByLabel('Price').fill('95');
  await page.getByRole('button', { name: 'Take the order' }).click();

  // Pack: counted twice, weighed, sealed, handed over. The material has a drawer of its own.
  await expect(page.getByRole('heading', { name: /Order 0401/ })).toBeVisible();
  await page.getByRole('link', { name: 'See the packing material' }).click();
  await page.getByRole('button', { name: 'Lay in the usual packing material' }).click();
  await expect(page.getByText('rigid mailer 32 × 43 cm').first()).toBeVisible();
  await opened(page, '/works/1/pack');
  await page.getByRole('link', { name: /0401/ }).first().click();
  await expect(page.getByRole('heading', { name: /Order 0401/ })).toBeVisible();
  const seal = page.getByRole('button', { name: 'Seal and label' });
  await expect(seal).toBeDisabled();
  await expect(page.getByRole('checkbox')).toHaveCount(12);
  await countTwice(page);
  await seal.click();
  await expect(page.getByRole('link', { name: 'certificate PDF' })).toBeVisible({
    timeout: 240_000,
  });

  const certificate = await saved(page, 'certificate PDF');
  const words = pdfText(certificate);
  for (const part of [
    'Evening Tide',
    'Senna Quillfeather',
    '1/3',
    'Slackwater Cotton',
    '30 × 40',
  ])
    expect(words.replace(/\s+/g, ' ')).toContain(part);
  const [numbered] = await ask<{ hash: string }>(
    "SELECT hash FROM ledger WHERE kind = 'assigned' AND number = 1",
  );
  const code = await pdfCode(certificate);
  expect(code).toBe(`PRINT/1/number/1/${numbered!.hash.slice(0, 20)}`);
  const slip = pdfText(await saved(page, 'packing slip PDF'));
  expect(slip).toContain('Packing slip, order 0401');
  expect(slip).toContain('Édouard Tillet-Ősz');
  const label = await saved(page, 'label PDF');
  const [w, h] = pdfSize(label);
  expect([Math.round(w), Math.round(h)]).toEqual([100, 150]);
  const tracking = /(LP|FF)\d{10}/.exec(pdfText(label))?.[0];
  expect(tracking).toBeTruthy();
  expect(await pdfCode(label)).toBe(tracking);

  await page.getByRole('button', { name: /mark as shipped/ }).click();
  await expect(page.getByRole('link', { name: 'Its whole story' })).toBeVisible();

  // Sold in the edition; the log book tells the whole story; the certificate holds.
  expect(
    await ask('SELECT kind, number FROM ledger WHERE number = 1 ORDER BY seq'),
  ).toMatchObject([{ kind: 'assigned' }, { kind: 'ordered' }, { kind: 'shipped' }]);
  await page.getByRole('link', { name: 'Its whole story' }).click();
  const told = async (lines: string[]) => {
    for (const line of lines) await expect(page.getByText(line).first()).toBeVisible();
  };
  await told(['Reserved for order 0401.', 'Order 0401 weighed', 'Sold with order 0401.']);
  await opened(page, '/log?impression=1:number:1');
  await told(['Numbered.', 'Reserved for order 0401.', 'Sold with order 0401.']);
  await opened(page, '/works/1/edition');
  await expect(page.getByRole('button', { name: '1/3, sold, order 0401' })).toBeVisible();
  await opened(page, `/editions?code=${encodeURIComponent(code ?? '')}`);
  await expect(page.getByText('Genuine: Evening Tide, 1/3, sold.')).toBeVisible();
  await expect(ask('UPDATE ledger SET number = 9')).rejects.toThrow(/append-only/);
});
