import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { writeMaster } from './fixtures';
import { opened } from './support/opened';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-everyday';
const server = new StudioServer(HOME, 4171);

test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await server.start();
});
test.afterAll(() => server.kill());

/** What has the focus, as it is called. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const e = document.activeElement as HTMLInputElement;
    const label = e.labels?.[0]?.textContent ?? '';
    return e.getAttribute('aria-label') ?? (label || (e.textContent ?? ''));
  });

/** Tab until what is called so has the focus. */
async function reach(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 150; i += 1) {
    await page.keyboard.press('Tab');
    if (name.test(await focused(page))) return;
  }
  throw new Error(`never reached ${name}`);
}

async function type(page: Page, label: RegExp, words: string): Promise<void> {
  await reach(page, label);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(words);
}

/** A single key, once the page listens. */
const press = (page: Page, key: string, address: RegExp) =>
  expect(async () => {
    await page.keyboard.press(key);
    await page.waitForURL(address, { timeout: 4000 });
  }).toPass();

test('by keyboard alone, from an empty studio to a print file', async ({ page }) => {
  await opened(page, server.url);
  await type(page, /^Studio, as on labels/, 'Sluice House');
  await reach(page, /^Keep this$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Kept.' })).toBeVisible();

  // A command, found by its words.
  await page.keyboard.press('Escape');
  await page.keyboard.press('ControlOrMeta+k');
  await expect(page.getByRole('dialog').locator('input:focus')).toHaveCount(1);
  await page.keyboard.type('New work');
  await expect(page.getByRole('menuitem', { name: /New work/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.waitForURL(/works\/new/);
  await type(page, /^Title/, 'Grey Heron');
  await type(page, /^Artist/, 'Senna Quillfeather');
  await type(page, /^Medium/, 'Pastel');
  await type(page, /^Width/, '10 cm');
  await type(page, /^Height/, '13.3 cm');
  await type(page, /^Price of the original/, '120');
  await page.keyboard.press('Enter');
  await page.waitForURL(/works\/1\/capture/);

  const file = await writeMaster('heron.tif', 2360, 3140);
  await opened(page, page.url());
  await reach(page, /^Choose a file$/);
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.keyboard.press('Enter'),
  ]);
  await chooser.setFiles(file);
  await expect(page.getByTestId('deep-zoom')).toBeVisible({ timeout: 120_000 });

  await press(page, '2', /works\/1\/size/);
  await reach(page, /^Offer this size$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'On offer' })).toBeVisible();
  await press(page, '3', /works\/1\/prepare/);
  await reach(page, /^Write files by it$/);
  await page.keyboard.press('Enter');
  await reach(page, /^Write the print file$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/all \d+ checks passed/)).toBeVisible({ timeout: 180_000 });
  expect(await server.rows('SELECT count(*) AS n FROM print_file')).toMatchObject([
    { n: 1 },
  ]);

  // What can be taken back, in one list; what something depends on by now stays.
  await press(page, 'y', /sheet=back/);
  const row = (name: RegExp) => page.getByRole('row', { name });
  await expect(row(/Taking in “Grey Heron”/)).toContainText('something depends on it');
  await reach(page, /^Take back: who the studio is$/);
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('status').filter({ hasText: 'Taken back: who the studio is' }),
  ).toBeVisible();
  await expect(row(/Who the studio is/)).toHaveCount(0);

  // The help, at the chapter of the view.
  await press(page, 'h', /help\/log/);
  await expect(page.getByRole('heading', { level: 1, name: /Log book/ })).toBeVisible();
  await reach(page, /^Glossary$/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/help\/glossary/);
  await expect(page.getByRole('cell', { name: 'chest', exact: true })).toBeVisible();
});

test('a sample is painted, outlives a restart, takes nothing that was meant for the studio, and goes without a trace', async ({
  page,
}) => {
  const before = readdirSync(HOME).sort();
  const rows = () =>
    server.rows(
      'SELECT (SELECT count(*) FROM work) AS w, (SELECT count(*) FROM file) AS f',
    );
  const own = await rows();
  // A form that was opened before, in another tab.
  const form = await page.context().newPage();
  await opened(form, `${server.url}/papers?new=1`);
  const entered = await server.action<number>(
    '/',
    'src/drawers/table/actions.ts',
    'trySample',
    {},
  );
  const workId = entered?.ok ? entered.value : 0;
  await opened(page, `${server.url}/works/${workId}/capture`);
  await expect(page.getByRole('heading', { name: 'Half Moon, Low Water' })).toBeVisible();
  await form.getByLabel('Name').fill('Mine');
  await form.getByLabel('Maker').fill('A mill');
  await form.getByLabel('Weight').fill('300');
  await form.getByLabel('Sheet width').fill('400');
  await form.getByLabel('Sheet height').fill('500');
  await form.getByLabel('Price a sheet').fill('3');
  await form.getByRole('button', { name: 'Add this paper' }).click();
  await expect(
    form.getByText(/the studio that is open were changed elsewhere/),
  ).toBeVisible();
  await expect(form.getByLabel('Name')).toHaveValue('Mine');
  expect(await rows()).toEqual(own);

  await server.kill();
  await server.start();
  await opened(page, `${server.url}/works/${workId}/size`);
  await page.getByRole('button', { name: 'Offer this size' }).click();
  await expect(page.getByRole('button', { name: 'On offer' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await page.waitForURL(`${server.url}/`);
  await expect(page.getByText('This is a sample.')).toHaveCount(0);
  expect(existsSync(join(HOME, 'sample'))).toBe(false);
  expect(readdirSync(HOME).sort()).toEqual(before);
  expect(await rows()).toEqual(own);
  await opened(page, `${server.url}/works/${workId}/size`);
  await expect(page.getByText('There is nothing under this address')).toBeVisible();
});

test('a backup is restored from the page into a new folder, beside the studio', async ({
  page,
}) => {
  const place = mkdtempSync(join(tmpdir(), 'glassine-back-'));
  await opened(page, `${server.url}/safekeeping`);
  await page.getByRole('button', { name: 'Make a backup' }).click();
  await expect(page.getByRole('cell', { name: /^glassine-.*zip$/ })).toBeVisible();
  await opened(page, `${server.url}/safekeeping`);
  // Nothing is restored over something.
  await page.getByLabel('Into a new folder').fill(HOME);
  await page.getByRole('button', { name: 'Restore it there' }).click();
  await expect(page.getByText(/lies in the data folder/).first()).toBeVisible();
  const into = join(place, 'again');
  await page.getByLabel('Into a new folder').fill(into);
  await page.getByRole('button', { name: 'Restore it there' }).click();
  await expect(page.getByText(`npx glassine serve --home ${into}`)).toBeVisible();
  const again = new StudioServer(into, 4170);
  await again.start();
  try {
    const works = 'SELECT id, title FROM work';
    expect(await again.rows(works)).toEqual(await server.rows(works));
  } finally {
    await again.kill();
  }
});

test('days on which the studio is closed are pieces of a list, put in and taken out by keyboard', async ({
  page,
}) => {
  await opened(page, `${server.url}/settings`);
  const field = page.getByRole('textbox', { name: 'Closed, too' });
  await field.focus();
  await page.keyboard.type('12-24, 12-25');
  await page.keyboard.press('Enter');
  await page.keyboard.type('04-31');
  await page.keyboard.press('Enter');
  const pieces = page.getByRole('grid', { name: 'Closed, too' }).getByRole('row');
  await expect(pieces).toHaveText(['12-24', '12-25', '04-31']);
  // Nothing was sent by that, and a day that is none is refused at its field, with all of it kept.
  await page.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(
    page.getByText(/Closed, too: “12-24, 12-25, 04-31” cannot be read/),
  ).toBeVisible();
  await pieces.last().focus();
  await page.keyboard.press('Delete');
  await expect(pieces).toHaveText(['12-24', '12-25']);
  await page.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(page.getByText(/cannot be read/)).toHaveCount(0);
  await expect
    .poll(async () => {
      const [row] = await server.rows("SELECT value FROM setting WHERE key = 'closedDays'");
      return JSON.parse((row?.value as string | undefined) ?? '[]') as unknown;
    })
    .toEqual([
      { from: '12-24', to: '12-24' },
      { from: '12-25', to: '12-25' },
    ]);
});
