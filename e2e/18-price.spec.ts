import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { MasterFacts } from '@/core/image';
import { plainRecipe } from '@/core/prepare';
import { addMaster, addPrintFile, addRoute, openDatabase } from '@/data';
import { storePaths } from '@/engine';
import { writeMaster } from './fixtures';
import { serious } from './support/axe';
import { choose } from './support/choose';
import { opened } from './support/opened';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-price';
const at = '2026-11-20T10:00:00.000Z';
const server = new StudioServer(HOME, 4172);

/** A master that was there when the print was written. */
const BEFORE: MasterFacts = {
  ...{ format: 'tiff', width: 3543, height: 4724, bitsPerChannel: 8, channels: 3 },
  ...{ colourModel: 'rgb', ppiTag: 300, iccDescription: 'sRGB', orientation: 1, bytes: 1 },
};

/** A written print as it lies in the store: what is handed over is its bytes. */
async function printFileIn(home: string) {
  const bytes = readFileSync(await writeMaster('print.tif', 300, 400));
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const path = storePaths(home).file(sha256);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, bytes);
  return { sha256, bytes: bytes.length };
}

const printFile = (stored: { sha256: string; bytes: number }) => ({
  ...{ workId: 1, sizeKey: 'metricFrames-30x40', masterId: 1, version: 1, at },
  ...stored,
  ...{ name: '30x40cm_slack-water_300ppi_v1.tif', width: 3543, height: 4724 },
  ...{
    kind: 'print' as const,
    channels: 3 as const,
    factor: 1,
    recipeId: null,
    checks: [],
  },
  recipe: plainRecipe(300, 1),
});

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 4, orders: 0 });
  const db = await openDatabase(HOME);
  const wants = { leastPpi: 0, target: 'srgb', press: '', bits: 8, format: 'tiff' };
  const own = { name: 'Own printer', kind: 'ownPrinter', folder: '', inkSet: '' };
  await db.write((tx) => addRoute(tx, { ...own, wants, at } as never));
  const lab = { ...own, name: 'Tidewrack', kind: 'onlineLab' };
  await db.write((tx) => addRoute(tx, { ...lab, wants, at } as never));
  const stored = await printFileIn(HOME);
  await db.write(async (tx) => {
    const master = { workId: 1, name: 'before.tif', assumedSpace: null, at };
    await addMaster(tx, { ...master, sha256: 'a'.repeat(64) }, BEFORE);
    await addPrintFile(tx, printFile(stored));
  });
  db.close();
  await server.start();
  const answer = await fetch(`${server.url}/api/masters?work=1&name=slack.tif`, {
    method: 'PUT',
    body: readFileSync(await writeMaster('slack.tif', 900, 1200)),
  });
  expect(answer.status).toBe(201);
});
test.afterAll(() => server.kill());
test.describe.configure({ mode: 'serial' });

const slip = (page: Page, name: string) =>
  page.getByRole('complementary', { name, exact: true });

/** Writes a list down by hand, as somebody reads it off a page. */
async function writeList(
  page: Page,
  name: string,
  kind: string,
  over: Record<string, string>,
) {
  await opened(page, `${server.url}/prices?new=1`);
  const form = slip(page, 'A price list');
  await form.getByLabel('Who prints').first().fill(name);
  await page.keyboard.press('Tab');
  await choose(form, 'What they are', kind);
  for (const [label, text] of Object.entries(over))
    await form.getByLabel(label, { exact: true }).fill(text);
  await form.getByRole('button', { name: 'Keep this list' }).click();
  await expect(slip(page, name)).toBeVisible();
}

test('who prints twenty of 30 × 40, over four routes', async ({ page }) => {
  // What one costs here, so that the own printer is compared, too.
  await opened(page, `${server.url}/works/1/price`);
  await page.getByLabel('Printing', { exact: true }).fill('2.40');
  await page.getByLabel('Paper', { exact: true }).fill('13.00');
  await page.getByLabel('Spoilage', { exact: true }).fill('0');
  await page.getByRole('button', { name: 'Keep this price' }).click();
  await expect
    .poll(() => server.rows('SELECT count(*) AS n FROM price'))
    .toEqual([{ n: 1 }]);

  await writeList(page, 'Quayside Studio', 'print studio', {
    Prices: 'm²; ; ; ; 150.00',
    'Set-up of a batch': '12.00',
    'Here after': '8',
  });
  await writeList(page, 'Tidewrack', 'online lab', {
    Prices:
      '30 x 40 cm; ; 1; ; 24.00\n30 x 40 cm; ; 10; ; 17.00\n30 x 40 cm; ; 25; ; 11.50',
    'Set-up of a batch': '15.00',
    'Postage of a batch': '5; 6.90\n; 9.90',
    'Here after': '6',
    'What is lost there': 'colour a little muted',
  });
  await writeList(page, 'Marrow Lab', 'online lab', { Prices: 'A3; ; ; ; 19.00' });

  await opened(page, `${server.url}/works/1/price?sheet=routes`);
  const who = slip(page, 'Who prints it');
  const many = page.getByRole('table', { name: 'Who prints so many' });
  await expect(many.getByRole('row')).toHaveCount(4);
  await expect(page.getByText('Marrow Lab is not compared')).toBeVisible();
  await expect(who.getByText('Own printer prints them for €308.00')).toBeVisible();
  await expect(
    who.getByText('25 cost less than 20, €312.40 instead of €364.90'),
  ).toBeVisible();
  await expect(many.getByText('colour a little muted')).toBeVisible();
  // With the real steps: from 28 on the lab is the cheapest.
  await who.getByLabel('How many at once').fill('30');
  await expect(who.getByText('cheapest: Tidewrack')).toBeVisible();
  await expect(
    page.getByText(/cheapest: Own printer from 1, Tidewrack from \d+/),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Figures of Who prints, over how many' }).click();
  await expect(page.getByRole('dialog').getByRole('cell', { name: '364.90' })).toHaveCount(
    0,
  );
  await expect(
    page.getByRole('dialog').getByRole('columnheader', { name: 'Tidewrack, each' }),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  expect(await serious(page)).toEqual([]);
});

test('twenty are ordered where they were compared; what came stands beside what was promised', async ({
  page,
}) => {
  await opened(page, `${server.url}/works/1/price?sheet=routes`);
  const who = slip(page, 'Who prints it');
  await who.getByRole('link', { name: 'Order 20 of Tidewrack' }).click();
  const hand = slip(page, 'Hand over');
  await expect(
    hand.getByText('20 prints of 30 × 40 cm from Tidewrack, as compared at Price.'),
  ).toBeVisible();
  await hand.getByRole('button', { name: 'Lay them ready' }).click();
  await hand.getByRole('button', { name: 'Hand over 1 file' }).click();
  await page.getByRole('button', { name: 'H-0001 came' }).click({ timeout: 60_000 });
  await page.getByLabel('Paid for all of it').fill('364.90');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('for €364.90, nothing faulty')).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await opened(page, `${server.url}/works/1/price?sheet=routes`);
  await expect(
    who.getByText(
      'came once, 6 days earlier than promised, at its price, none of 20 faulty',
    ),
  ).toBeVisible();
});

test('how many pay best, gone through a thousand times, and stopped by nobody', async ({
  page,
}) => {
  await opened(page, `${server.url}/works/1/price?sheet=many`);
  const many = slip(page, 'How many');
  await expect(many.getByText('too little to tell')).toBeVisible();
  await many.getByLabel('Price asked').fill('80');
  await many.getByLabel('At the least').fill('6');
  await many.getByLabel('Likely').fill('12');
  await many.getByLabel('At the most').fill('20');
  await expect(many.getByText(/\d+ from Own printer leave €/)).toBeVisible();
  await page.getByRole('button', { name: /Go through 12 months/ }).click();
  const ways = page.getByRole('table', { name: 'Ways of keeping stock' });
  await expect(ways.getByRole('row')).toHaveCount(5, { timeout: 30_000 });
  await many.getByLabel('Price asked').fill('90');
  await expect(page.getByText('Of before something was changed')).toBeVisible();
  // A guess out of order is said at its field, and the drawing stays.
  await many.getByLabel('Likely').fill('30');
  await expect(many.getByText('it is less than what is likely')).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('a price side by side on every channel, with what the gallery really asks', async ({
  page,
}) => {
  await opened(page, `${server.url}/works/1/price?sheet=channels`);
  const side = page.getByRole('table', { name: 'Side by side' });
  await slip(page, 'Channels').getByLabel('Price asked').fill('100');
  await expect(side.getByRole('row', { name: /^gallery 40\.00/ })).toBeVisible();
  await page.getByRole('button', { name: 'Change what gallery asks' }).click();
  const terms = slip(page, 'What gallery asks');
  await terms.getByLabel('Commission').fill('50');
  await terms.getByLabel('Framing a piece for it').fill('12');
  await terms.getByRole('button', { name: 'Keep these terms' }).click();
  await slip(page, 'Channels').getByLabel('Price asked').fill('100');
  await expect(side.getByRole('row', { name: /^gallery 62\.00/ })).toBeVisible();
  await expect
    .poll(() => server.rows('SELECT channel FROM channel_terms'))
    .toEqual([{ channel: 'gallery' }]);
  expect(await serious(page)).toEqual([]);
});

test('the ladder is priced by hand, kept, and stands there again', async ({ page }) => {
  await opened(page, `${server.url}/works/1/price?sheet=ladder`);
  const ladder = slip(page, 'The ladder');
  await choose(ladder, 'The ladder follows', 'hand');
  await ladder.getByLabel('Price of 30 × 40 cm, EUR').fill('84');
  await ladder.getByLabel('up by').fill('10');
  await choose(ladder, 'Rounded up to', '.95');
  await expect(ladder.getByText('84.95', { exact: true })).toBeVisible();
  await expect(
    ladder.getByText(/After number 8 the price steps from €84\.95/),
  ).toBeVisible();
  await ladder.getByRole('button', { name: 'Keep this ladder' }).click();
  await expect(page.getByText('Kept: one price is new.')).toBeVisible();
  await opened(page, `${server.url}/works/1/price`);
  await expect(
    slip(page, 'The price').getByText('€84.95', { exact: false }).first(),
  ).toBeVisible();
  expect(
    await server.rows('SELECT price_minor AS price FROM price ORDER BY id DESC LIMIT 1'),
  ).toEqual([{ price: 8495 }]);
  expect(await serious(page)).toEqual([]);
});

/** What lies in the parcel of an order is given into a hand. */
async function giveInHand(page: Page) {
  await page.getByRole('button', { name: 'Given in hand' }).click();
  await expect(page.getByRole('heading', { name: 'Given in hand' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'certificate PDF' })).toBeVisible();
}

test('two are sold at a gallery and one at the fair: what stays is what each channel really took', async ({
  page,
}) => {
  await opened(page, `${server.url}/consignments?new=1`);
  const lend = slip(page, 'Lend prints out');
  await lend.getByLabel('With whom', { exact: true }).fill('Gallery at the Weir');
  await page.keyboard.press('Escape');
  await lend.getByLabel('Street').fill('3 Sluice Lane');
  await lend.getByLabel('Postcode and town').fill('2180 Merrowstaithe');
  await lend.getByLabel('Country').fill('Ulverreach');
  for (const n of [1, 2]) {
    await lend.getByRole('checkbox', { name: `Slack Water, ${n}/30` }).check();
    await lend.getByLabel(`Asked for Slack Water, ${n}/30, EUR`).fill('120');
  }
  // The share is the one that was kept of galleries.
  await expect(lend.getByLabel('Their share of a sale')).toHaveValue('50');
  await expect(lend.getByText('2 prints go, asked €240.00 in all.')).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await lend.getByRole('button', { name: 'Lend them out' }).click();
  const hangs = slip(page, 'Gallery at the Weir');
  // Twice what one costs, 31.90, and its framing, 12.00.
  await expect(hangs.getByText('€87.80 of yours lie there in 2 prints.')).toBeVisible();
  await expect(hangs.getByText('€120.00 come to you')).toBeVisible();
  const note = await page.request.get(`${server.url}/api/consignments/C-0001`);
  expect(note.headers()['content-type']).toBe('application/pdf');
  expect(await serious(page)).toEqual([]);

  // What hangs there is offered to no other order.
  await opened(page, `${server.url}/orders?new=1`);
  await expect(page.getByText('Slack Water, 3/30, 30 × 40 cm').first()).toBeVisible();
  for (const n of [1, 2]) {
    await opened(page, `${server.url}/consignments?of=C-0001`);
    await hangs.getByRole('button', { name: `Slack Water, ${n}/30 was sold` }).click();
    await hangs.getByRole('button', { name: 'Take its order' }).click();
    await expect(page.getByText('gallery', { exact: false }).first()).toBeVisible();
    await giveInHand(page);
  }
  await opened(page, `${server.url}/orders?new=1`);
  await choose(page, 'Impression', 'Slack Water, 3/30, 30 × 40 cm');
  const order = slip(page, 'New order');
  for (const [label, text] of [
    ['Name', 'Ottoline Marsh'],
    ['Street', '4 Capstan Row'],
    ['Postcode and town', '2180 Merrowstaithe'],
    ['Country', 'Ulverreach'],
    ['Price', '100'],
  ] as const)
    await order.getByLabel(label, { exact: label === 'Name' }).fill(text);
  await choose(order, 'Channel', 'fair');
  await order.getByRole('button', { name: 'Take the order' }).click();
  await giveInHand(page);

  await opened(page, `${server.url}/accounts?paid=1`);
  const paid = slip(page, 'Paid beside sales');
  await choose(paid, 'What was paid', 'a day there');
  await choose(paid, 'For selling through', 'fair');
  await paid.getByLabel('Paid', { exact: true }).fill('30');
  await paid.getByRole('button', { name: 'Note it' }).click();
  const channels = page.getByRole('table', { name: 'Channel by channel' });
  // 120.00 less half, less 12.00 of framing, less 31.90, twice.
  await expect(
    channels.getByRole('row', { name: /^gallery 32\.20 0\.00 32\.20/ }),
  ).toBeVisible();
  // 100.00 less 1.75, less 31.90; the stall cost 30.00.
  await expect(
    channels.getByRole('row', { name: /^fair 66\.35 30\.00 36\.35/ }),
  ).toBeVisible();
  const all = slip(page, 'Accounts');
  await expect(all.getByText('340.00', { exact: true })).toBeVisible();
  await expect(all.getByText('98.55', { exact: true })).toBeVisible();
  expect(await serious(page)).toEqual([]);
});
