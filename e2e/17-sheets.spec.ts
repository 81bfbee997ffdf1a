import { readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { minor } from '@/core/units';
import { addRoute, openDatabase, receiveLot, takeOrder } from '@/data';
import { pdfText, scratch, writeMaster } from './fixtures';
import { serious } from './support/axe';
import { choose } from './support/choose';
import { opened } from './support/opened';
import { roll } from './support/paperLots';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-sheets';
const SIZE = 'metricFrames-30x40';
const at = '2026-11-20T10:00:00.000Z';
const server = new StudioServer(HOME, 4171);

/** Three orders of unnumbered prints, a roll, and the studio's own printer. */
async function trade(): Promise<void> {
  const db = await openDatabase(HOME);
  await db.write(async (tx) => {
    const wants = { leastPpi: 0, target: 'srgb', press: '', bits: 8, format: 'tiff' };
    const own = { name: 'Own printer', kind: 'ownPrinter', folder: '', inkSet: '' };
    await addRoute(tx, { ...own, wants, at } as never);
    await receiveLot(tx, roll(1, 610, 8000, at));
    const line = { kind: 'openPrint', workId: 1, sizeKey: SIZE, paperId: 1, quantity: 1 };
    const priced = { ...line, price: minor(4000), currency: 'EUR' };
    for (const day of [4, 2, 3]) {
      const customer = {
        name: `Tamsin ${day}`,
        street: 'Lane',
        town: 'Weir',
        country: 'DE',
      };
      const order = { customer, channel: 'own site', wish: '', note: '', extras: [] };
      const dates = { placedAt: at, dueOn: `2026-12-0${day}` };
      await takeOrder(tx, { ...order, ...dates }, priced as never);
    }
  });
  db.close();
}

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 0, orders: 0 });
  await trade();
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
const pieces = (page: Page) => page.getByRole('button', { name: /on sheet \d/ });

test('three orders and a proof are planned on one roll, a piece of them by hand', async ({
  page,
}) => {
  await opened(page, `${server.url}/works/1/prepare?sheet=files`);
  await page.getByRole('button', { name: 'Write the print file' }).click();
  await expect
    .poll(() => server.rows('SELECT count(*) AS n FROM print_file'), { timeout: 120_000 })
    .toEqual([{ n: 1 }]);

  await opened(page, `${server.url}/papers?paper=1`);
  await page.getByRole('button', { name: 'Plan sheets' }).click();
  await expect(page.getByRole('heading', { name: 'Sheets to cut' })).toBeVisible();
  // What orders wait for is on it by itself, what is due first at the front; it is planned at once.
  await expect(pieces(page)).toHaveCount(3);
  await page.getByRole('link', { name: 'Pieces and paper' }).click();
  await page.getByRole('button', { name: /Add Slack Water.*as proof/ }).click();
  await expect(pieces(page)).toHaveCount(4);
  await page.getByRole('button', { name: /Add Slack Water.*as edition/ }).click();
  await expect(pieces(page)).toHaveCount(5);
  await page
    .getByLabel(/How many of Slack Water.*/)
    .nth(4)
    .fill('2');
  await page.keyboard.press('Enter');
  await expect(pieces(page)).toHaveCount(6);
  await page.getByRole('link', { name: 'Sheets', exact: true }).click();
  await expect(slip(page, 'Sheets')).toContainText('of roll');
  expect(await serious(page)).toEqual([]);

  // By key: it stays, it lies across, it is let go; what is tried in vain leaves all as it was.
  const proof = page.getByRole('button', { name: /, proof, on sheet/ });
  await proof.focus();
  await page.keyboard.press('k');
  await expect(proof).toHaveAccessibleName(/, locked$/);
  const across = /, turned/.test((await proof.getAttribute('aria-label'))!);
  await page.keyboard.press('x');
  await expect(proof).toHaveAccessibleName(across ? /top, locked$/ : /, turned, locked$/);
  await page.getByRole('button', { name: 'Let go' }).click();
  await expect(proof).not.toHaveAccessibleName(/, locked$/);
  const locks = () =>
    server.rows(
      "SELECT json_array_length(state, '$.locks') AS n FROM sheet_plan_state ORDER BY id DESC LIMIT 1",
    );
  await expect.poll(locks).toEqual([{ n: 0 }]);
  await proof.focus();
  await page.keyboard.press('k');
  await expect.poll(locks).toEqual([{ n: 1 }]);
  await page.reload();
  await expect(proof).toHaveAccessibleName(/locked$/);
  await expect(pieces(page)).toHaveCount(6);
});

test('the sheet goes to the printer as one file, with its list of cuts', async ({
  page,
}) => {
  await opened(page, `${server.url}/sheets/1`);
  const list = await page.request.get(`${server.url}/api/sheet-plans/1?form=pdf`);
  writeFileSync(join(scratch, 'cuts.pdf'), await list.body());
  const text = pdfText(join(scratch, 'cuts.pdf'));
  expect(text).toContain('Cuts, in order');
  expect(text).toMatch(/Slack Water · 30 × 40.cm · order 0402/);
  await page.getByRole('button', { name: /Print file of sheet 1/ }).click();
  await expect(slip(page, 'Sheets')).toContainText('all passed', { timeout: 120_000 });
  await page.getByRole('button', { name: 'Hand over' }).click();
  await expect(slip(page, 'Sheets')).toContainText('H-0001 to Own printer');
  const folder = join(HOME, 'drop/own-printer/H-0001');
  const [name] = readdirSync(folder).filter((f) => f.endsWith('.tif'));
  // Each piece in it is its own print file, pixel for pixel.
  const [row] = await server.rows(
    'SELECT state FROM sheet_plan_state ORDER BY id DESC LIMIT 1',
  );
  const { plan, rules } = JSON.parse(row!.state as string) as {
    plan: { sheets: { places: { x: number; y: number; turned: boolean }[] }[] };
    rules: { margin: { left: number; top: number } };
  };
  const [file] = await server.rows('SELECT sha256 FROM print_file');
  const sha = file!.sha256 as string;
  const stored = join(HOME, 'files', sha.slice(0, 2), sha);
  const options = { limitInputPixels: false } as const;
  for (const { x, y, turned } of plan.sheets[0]!.places.slice(0, 2)) {
    const single = sharp(stored, options).keepIccProfile();
    const { data, info } = await (turned ? single.rotate(90) : single)
      .raw()
      .toBuffer({ resolveWithObject: true });
    const px = (mm: number) => Math.round((mm / 25.4) * 300);
    const left = px(x - rules.margin.left);
    const top = px(y - rules.margin.top);
    const lying = await sharp(join(folder, name!), options)
      .extract({ left, top, width: info.width, height: info.height })
      .keepIccProfile()
      .raw()
      .toBuffer();
    expect(Buffer.compare(lying, data)).toBe(0);
  }
});

test('printed, it takes its length of the roll; orders, proof and numbers go on from there', async ({
  page,
}) => {
  const left = async () =>
    Number((await server.rows('SELECT "left" AS n FROM lot_now WHERE lot_id = 1'))[0]!.n);
  await opened(page, `${server.url}/sheets/1`);
  const before = await left();
  const sheets = await page
    .getByRole('radiogroup', { name: 'Sheet' })
    .getByRole('radio')
    .count();
  for (let i = Math.max(1, sheets); i > 0; i -= 1) {
    await page.getByRole('button', { name: 'It is printed' }).click();
    await expect
      .poll(() => server.rows('SELECT count(*) AS n FROM printed_sheet'))
      .toEqual([{ n: Math.max(1, sheets) - i + 1 }]);
    await opened(page, `${server.url}/sheets/1`);
  }
  await expect(page.getByText('Nothing is on the plan yet')).toBeVisible();
  expect(before - (await left())).toBeGreaterThan(800);
  await opened(page, `${server.url}/orders/0402`);
  await expect(page.getByText('1 of 1 printed')).toBeVisible();
  expect(await server.rows('SELECT count(*) AS n FROM proof_round')).toEqual([{ n: 1 }]);

  await opened(page, `${server.url}/sheets/1?show=printed`);
  await page.getByRole('link', { name: 'give it its number' }).first().click();
  const edition = slip(page, 'The edition');
  await expect(edition).toContainText('2 prints wait for their numbers');
  await edition
    .getByLabel('Numbered all the same, because')
    .fill('the proof is on this sheet');
  const length = await left();
  for (const number of ['1/30', '2/30']) {
    await edition.getByRole('button', { name: `Number the next, ${number}` }).click();
    await expect(edition).not.toContainText(`The next free number is ${number}`);
  }
  await expect(edition).not.toContainText('for their numbers');
  expect(await left()).toBe(length);
  expect(
    await server.rows(
      "SELECT what, paper, route FROM print_entry WHERE kind = 'impression' ORDER BY id",
    ),
  ).toMatchObject(
    ['1/30', '2/30'].map((n) => ({
      what: `impression ${n}`,
      paper: 'Linen 300',
      route: 'Own printer',
    })),
  );
  await opened(page, `${server.url}/sheets/1?show=printed`);
  await expect(page.getByText('has its number')).toHaveCount(2);
});

test('an ink that runs out stands on the table by its day, and is bought', async ({
  page,
}) => {
  await opened(page, `${server.url}/printers`);
  await page.getByLabel('Name').fill('Heron 24');
  await page.getByLabel('Delivery takes').fill('5');
  await choose(page, 'Inks', 'four inks');
  await page.getByLabel('One holds').fill('6');
  await page.getByLabel('One costs').fill('12.50');
  await page.getByRole('button', { name: 'Add this printer' }).click();
  // What was printed before it was described counts, and the picture of it is looked at.
  await expect(slip(page, 'Heron 24')).toContainText('Note when its inks were put in');
  await expect
    .poll(() => server.rows('SELECT count(*) AS n FROM ink_demand'), { timeout: 60_000 })
    .toEqual([{ n: 1 }]);
  await page.getByRole('link', { name: 'Note the first set' }).click();
  const first = new Date(Date.now() - 60 * 86_400_000).toISOString().slice(0, 10);
  const [year, month, day] = first.split('-');
  await page.getByRole('spinbutton').first().click();
  await page.keyboard.type(`${day}${month}${year}`);
  await page.getByRole('button', { name: 'Note the first set' }).click();
  const heron = slip(page, 'Heron 24');
  await expect(heron).toContainText('First set, apart');
  expect(await server.rows('SELECT DISTINCT day, first_fill AS f FROM ink_event')).toEqual([
    { day: first, f: 1 },
  ]);
  expect(await serious(page)).toEqual([]);
  await page.getByRole('link', { name: 'Cleaned' }).click();
  await page.getByLabel('Counts as').fill('3');
  await page.getByRole('button', { name: 'Note the cleaning' }).click();
  await expect(heron).toContainText('Buy Cyan now');

  // What was ordered is neither on the table nor to be ordered, until it does not come.
  const onTable = page.getByRole('link', { name: /^Cyan of Heron 24.*Buy ink$/ });
  await opened(page, server.url);
  await expect(onTable).toBeVisible();
  await opened(page, `${server.url}/purchases`);
  await page.getByRole('link', { name: 'Cyan, Heron 24 was ordered', exact: true }).click();
  await expect(page.getByLabel('How many')).toHaveValue('1');
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Note the order' }).click();
  const coming = page.getByRole('table', { name: 'On its way' });
  await expect(coming).toContainText('Cyan, Heron 24');
  await expect(page.getByRole('link', { name: /Cyan, .* was ordered/ })).toHaveCount(0);
  expect(await serious(page)).toEqual([]);
  await opened(page, server.url);
  await expect(page.getByRole('link', { name: /^Black of Heron 24/ })).toBeVisible();
  await expect(onTable).toBeHidden();
  await opened(page, `${server.url}/purchases`);
  await page.getByRole('button', { name: 'Cyan, Heron 24 does not come' }).click();
  await expect(coming).toBeHidden();

  await opened(page, server.url);
  await onTable.click();
  await slip(page, 'Cyan').getByRole('link', { name: 'Bought' }).click();
  await page.getByRole('textbox', { name: 'Cartridges' }).fill('40');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(heron).toContainText('+40');
  await opened(page, server.url);
  await expect(page.getByRole('link', { name: /^Black of Heron 24/ })).toBeVisible();
  await expect(onTable).toBeHidden();
});

test('long planning is stopped with the best so far, which is kept', async ({ page }) => {
  await opened(page, `${server.url}/papers?paper=1`);
  await page.getByRole('button', { name: 'Plan sheets' }).click();
  await expect(page.getByRole('heading', { name: 'Sheets to cut' })).toBeVisible();
  const plan = Number(/sheets\/(\d+)/.exec(page.url())![1]);
  await page.getByRole('link', { name: 'Pieces and paper' }).click();
  await page.getByRole('button', { name: /Add Slack Water.*as edition/ }).click();
  await page.getByLabel(/How many of Slack Water.*/).fill('800');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/the best so far is/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop with the best so far' }).click();
  await expect(page.getByText(/the best so far is/)).toBeHidden();
  const kept = () =>
    server.rows(`SELECT json_extract(state, '$.stopped') AS stopped,
      json_array_length(state, '$.plan.sheets[0].places') > 5 AS lying,
      json_array_length(state, '$.plan.sheets[0].places')
        + json_array_length(state, '$.plan.unplaced') AS pieces
      FROM sheet_plan_state WHERE plan_id = ${plan} ORDER BY id DESC LIMIT 1`);
  await expect.poll(kept).toEqual([{ stopped: 1, lying: 1, pieces: 800 }]);
  await opened(page, `${server.url}/sheets/${plan}`);
  await expect(pieces(page).first()).toBeVisible();
  await expect(page.getByText(/the best so far is/)).toBeHidden();
});
