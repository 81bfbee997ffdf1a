import { choose, listOf } from './support/choose';
import { rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { countTwice } from './support/countTwice';
import { opened } from './support/opened';
import { seedStudio } from './support/seedStudio';
import { seedWorks } from './support/seedWorks';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-orders';
const server = new StudioServer(HOME, 4184);

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 4, orders: 0 });
  await seedWorks(HOME, [
    { title: 'Two Weirs', sizeKey: 'metricFrames-70x100' },
    { title: 'Osier Beds', sizeKey: 'metricFrames-30x40' },
  ]);
  await server.start();
});
test.afterAll(() => server.kill());
test.describe.configure({ mode: 'serial' });

const view = (page: Page, path: string) => opened(page, server.url + path);
const lines = (page: Page) =>
  page.getByRole('table', { name: 'Lines of the order' }).locator('tbody tr');

async function takeFirst(page: Page, impression: string): Promise<void> {
  await view(page, '/orders?new=1');
  await choose(page, 'Impression', impression);
  await page.getByLabel('Name', { exact: true }).fill('Ottoline Marsh');
  await page.getByLabel('Street').fill('4 Capstan Row');
  await page.getByLabel('Postcode and town').fill('2180 Merrowstaithe');
  await page.getByLabel('Country').fill('Ulverreach');
  await page.getByLabel('Price').fill('95');
  await page.getByRole('button', { name: 'Take the order' }).click();
}

async function addImpression(page: Page, impression: string): Promise<void> {
  await page.getByRole('link', { name: 'Add a line' }).click();
  await choose(page, 'Impression', impression);
  await page.getByLabel('Price').fill('120');
  await page.getByRole('button', { name: 'Add this line' }).click();
}

/** Counts the parcel on the table twice, weighs it, seals it. */
async function packParcel(page: Page): Promise<void> {
  await countTwice(page);
  await page.getByRole('button', { name: 'Seal and label' }).click();
  await expect(page.getByRole('link', { name: 'packing slip PDF' })).toBeVisible({
    timeout: 60_000,
  });
}

test('an order of four lines of three works goes out in two parcels', async ({ page }) => {
  await takeFirst(page, 'Slack Water, 1/30, 30 × 40 cm');
  await expect(page.getByRole('heading', { name: 'Order 0401' })).toBeVisible();
  await addImpression(page, 'Two Weirs, 1/20, 70 × 100 cm');
  await expect(lines(page)).toHaveCount(2);
  await addImpression(page, 'Osier Beds, 1/20, 30 × 40 cm');
  await expect(lines(page)).toHaveCount(3);
  await page.getByRole('link', { name: 'Add a line' }).click();
  await choose(page, 'What', 'plain goods');
  await page.getByLabel('What they are').fill('ten cards');
  await page.getByLabel('Weight of one').fill('90');
  await page.getByLabel('Thickness of one').fill('6 mm');
  await page.getByLabel('Price, of all of them').fill('12.50');
  await page.getByRole('button', { name: 'Add this line' }).click();
  await expect(lines(page)).toHaveCount(4);

  // By the rule: what is large is rolled, the rest lies flat together.
  const parcels = page.getByRole('navigation', { name: 'Parcels' }).getByRole('link');
  await expect(parcels).toHaveText([
    /Parcel 1: flat, 3 lines/,
    /Parcel 2: rolled, 1 line$/,
  ]);
  // By hand: one goes into the tube, and back.
  await choose(page, 'Parcel of Osier Beds 1/20', 'parcel 2');
  await expect(parcels).toHaveText([
    /Parcel 1: flat, 2 lines/,
    /Parcel 2: rolled, 2 lines/,
  ]);
  await page.getByRole('button', { name: 'Split by rule' }).click();
  await expect(parcels).toHaveText([
    /Parcel 1: flat, 3 lines/,
    /Parcel 2: rolled, 1 line$/,
  ]);

  for (const place of [0, 1]) {
    await parcels.nth(place).click();
    await expect(parcels.nth(place)).toHaveAttribute('aria-current', /page|true/);
    await packParcel(page);
    await page.getByRole('button', { name: /mark as shipped/ }).click();
    await expect(page.getByRole('link', { name: 'Its whole story' })).toBeVisible();
  }
  await expect(lines(page).filter({ hasText: '✓ shipped' })).toHaveCount(4);
  expect(
    await server.rows(
      'SELECT kind, count(*) AS n FROM document GROUP BY kind ORDER BY kind',
    ),
  ).toMatchObject([
    { kind: 'certificate', n: 3 },
    { kind: 'label', n: 2 },
    { kind: 'packing slip', n: 2 },
  ]);
  expect(
    await server.rows("SELECT count(*) AS n FROM impression_now WHERE state = 'sold'"),
  ).toMatchObject([{ n: 3 }]);
  // Station 8 of each work shows the order in which it went out.
  await view(page, '/works/2/pack');
  await expect(page.getByRole('row', { name: /0401/ })).toContainText('1/20');
});

test('another is cancelled: its number is free again', async ({ page }) => {
  await takeFirst(page, 'Slack Water, 2/30, 30 × 40 cm');
  await expect(page.getByRole('heading', { name: 'Order 0402' })).toBeVisible();
  await page.getByRole('link', { name: 'Cancel the order' }).click();
  await expect(page.getByText('Slack Water 2/30 goes back to the edition.')).toBeVisible();
  await page.getByLabel('Why').fill('the wall is too small');
  await page.getByRole('button', { name: 'Cancel it for good' }).click();
  await expect(page.getByText('Its numbers are back with their editions.')).toBeVisible();
  expect(
    await server.rows('SELECT kind FROM ledger WHERE number = 2 ORDER BY seq DESC LIMIT 1'),
  ).toMatchObject([{ kind: 'released' }]);
  await view(page, '/orders?new=1');
  await expect(listOf(page, 'Impression')).toContainText('Slack Water, 2/30');
  // The same customer, not a second one.
  await view(page, '/orders/customers');
  await expect(page.getByRole('row', { name: /Ottoline Marsh/ })).toHaveCount(1);
});

test('one that left comes back damaged: it is not for sale, and the accounts know it', async ({
  page,
}) => {
  await view(page, '/accounts');
  await expect(page.getByText('347.50', { exact: true }).first()).toBeVisible();
  await view(page, '/orders/0401');
  await page.getByRole('link', { name: 'It came back: Osier Beds 1/20' }).click();
  await choose(page, 'It came back', 'damaged: it is here, and not for sale');
  await page.getByLabel('What was said').fill('a corner is bent');
  await page.getByRole('button', { name: 'Note how it came back' }).click();
  await expect(lines(page).filter({ hasText: 'came back damaged' })).toHaveCount(1);
  expect(
    await server.rows("SELECT count(*) AS n FROM impression_now WHERE state = 'damaged'"),
  ).toMatchObject([{ n: 1 }]);
  await view(page, '/accounts');
  await expect(page.getByText('227.50', { exact: true }).first()).toBeVisible();
});
