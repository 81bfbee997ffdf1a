import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { listOf } from './support/choose';
import { opened } from './support/opened';
import { StudioServer } from './support/studioServer';
import { writeMaster } from './fixtures';
import { readFileSync } from 'node:fs';

const HOME = '/tmp/glassine-first-day';
/** Six in the evening of 23 November in Los Angeles: elsewhere the next day has begun. */
const EVENING = '2026-11-24T02:00:00.000Z';
const server = new StudioServer(HOME, 4182, {
  CLOCK_AT: EVENING,
  NODE_OPTIONS: `--import ${resolve('e2e/support/clockAt.mjs')}`,
});

test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await server.start();
});
test.afterAll(() => server.kill());

/** Files dropped on the window, wherever the hand is. */
async function drop(page: Page, files: { name: string; data: Buffer }[]): Promise<void> {
  const held = await page.evaluateHandle(
    (given) => {
      const transfer = new DataTransfer();
      for (const { name, data } of given)
        transfer.items.add(
          new File([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], name),
        );
      return transfer;
    },
    files.map(({ name, data }) => ({ name, data: data.toString('base64') })),
  );
  await page.dispatchEvent('body', 'dragover', { dataTransfer: held });
  await page.dispatchEvent('body', 'drop', { dataTransfer: held });
}

test.describe('on an American machine in Los Angeles', () => {
  test.use({ locale: 'en-US', timezoneId: 'America/Los_Angeles' });

  test('a new studio measures in inches, pays in dollars, and today is today', async ({
    page,
  }) => {
    await opened(page, server.url);
    await expect(listOf(page, 'Currency')).toHaveValue('US Dollar, USD');
    await expect(listOf(page, 'Time zone')).toHaveValue('Los Angeles, America');
    await expect(listOf(page, 'Country')).toHaveValue('United States, US');
    await expect(listOf(page, 'Lengths')).toContainText('inches');
    await expect(page.getByText('Nov\u00a023,\u00a02026, a new studio')).toBeVisible();
    await expect(page.getByText('$1,234.50')).toBeVisible();
    await page.getByLabel('Studio, as on labels').fill('Weir Lane Studio');
    await page.getByRole('button', { name: 'Keep this' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Kept.' })).toBeVisible();
    const kept = await server.rows('SELECT key, value FROM setting');
    const of = (key: string) =>
      JSON.parse(kept.find((r) => r.key === key)!.value as string) as unknown;
    expect(
      ['units', 'currency', 'locale', 'country', 'timeZone', 'studio'].map(of),
    ).toEqual(['inch', 'USD', 'en-US', 'US', 'America/Los_Angeles', 'Weir Lane Studio']);
  });

  test('five files are dropped: three works, and two sentences', async ({ page }) => {
    await opened(page, `${server.url}/papers`);
    const masters = await Promise.all(
      [
        ['low-sun.tif', 600, 400],
        ['tide_table.tif', 500, 700],
        ['weir.tif', 640, 480],
      ].map(async ([name, w, h]) => ({
        name: String(name),
        data: readFileSync(await writeMaster(String(name), Number(w), Number(h))),
      })),
    );
    await drop(page, [
      ...masters,
      { name: 'notes.docx', data: Buffer.from('PK\u0003\u0004 no picture') },
      { name: 'papers.csv', data: Buffer.from('colour,taste\nred,sweet\n') },
    ]);
    const brought = page.getByRole('region', { name: 'What was brought' });
    await expect(brought.getByRole('heading')).toHaveText('3 of 5 taken in');
    await expect(
      brought.getByText('“Low sun” is in the works drawer, 1 × 0.67'),
    ).toBeVisible();
    await expect(brought.locator('li[data-state=refused]')).toHaveCount(2);
    await expect(
      brought.locator('li[data-state=refused]').filter({ hasText: 'notes.docx' }),
    ).toContainText(/archive|picture/);
    await expect(
      brought.getByText(/columns that are not known here: “colour”, “taste”/),
    ).toBeVisible();
    // The page was never left.
    expect(page.url()).toBe(`${server.url}/papers`);
    expect(await server.rows('SELECT title FROM work ORDER BY id')).toMatchObject([
      { title: 'Low sun' },
      { title: 'Tide table' },
      { title: 'Weir' },
    ]);
    expect(await server.rows('SELECT count(*) AS n FROM master')).toMatchObject([{ n: 3 }]);
    expect(await server.rows('SELECT count(*) AS n FROM paper')).toMatchObject([{ n: 0 }]);
  });

  test('what is sent, placed and promised of an evening is of that day', async ({
    page,
  }) => {
    const made = await server.action(
      '/papers',
      'src/drawers/papers/actions.ts',
      'createPaper',
      {
        name: 'Slack Cotton',
        maker: 'Vatmill',
        base: 'cotton',
        surface: 'matte',
        weight: '300',
        thickness: '0.5',
        sheetWidth: '17 in',
        sheetHeight: '22 in',
        price: '7',
        reorderPoint: '5',
        printerSetting: '',
        acidFree: 'no',
        scuffs: 'no',
        note: '',
      },
    );
    expect(made).toMatchObject({ ok: true });
    const order = await server.action(
      '/orders',
      'src/drawers/orders/actions.ts',
      'takeOrder',
      {
        kind: 'goods',
        item: '',
        paperId: '',
        goods: 'ten cards',
        mass: '90',
        thickness: '6 mm',
        quantity: '1',
        price: '12.50',
        name: 'Ottoline Marsh',
        street: '4 Capstan Row',
        town: '2180 Saltreach',
        country: 'Elsewhere',
        channel: 'own site',
        wish: '',
        note: '',
        extras: '',
      },
    );
    expect(order).toMatchObject({ ok: true });
    // Three working days after Monday 23 November; Thursday the 26th is a holiday there.
    expect(await server.rows('SELECT due_on FROM orders')).toMatchObject([
      { due_on: '2026-11-27' },
    ]);
    await opened(page, `${server.url}/orders`);
    await expect(page.getByRole('row', { name: /0401/ })).toContainText(
      'Nov\u00a023,\u00a02026',
    );
    await expect(page.getByRole('row', { name: /0401/ })).toContainText('in 4 days');
  });

  test('a price is read as it is written in America, and asked about otherwise', async ({
    page,
  }) => {
    await opened(page, `${server.url}/works/1/edit`);
    const price = page.getByLabel('Price of the original');
    await price.fill('1.234,50');
    await page.getByLabel('Medium', { exact: true }).fill('Oil');
    await page.getByRole('group', { name: 'What is meant' }).getByRole('button').click();
    await expect(price).toHaveValue('1234.50');
    await price.fill('$1,450');
    await page.getByRole('button', { name: 'Keep the changes' }).click();
    await page.waitForURL(/works\/1\/(?!edit)/);
    expect(
      await server.rows('SELECT price_minor, currency FROM work WHERE id = 1'),
    ).toMatchObject([{ price_minor: 145_000, currency: 'USD' }]);
  });
});
