import { rmSync, readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { writeMaster } from './fixtures';
import sharp from 'sharp';
import { serious } from './support/axe';
import { listOf } from './support/choose';
import { figuresUnsaid } from './support/drawing';
import { opened } from './support/opened';
import { SENT } from './support/proofs';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-everyone';
const SIZE = 'metricFrames-30x40';
const VIEWS = [
  '/',
  '/works',
  '/works/new',
  '/works/1/edit',
  '/works/1/capture',
  '/works/1/size',
  '/works/1/size?sheet=fit',
  '/works/1/size?sheet=sheet',
  '/works/1/size?sheet=view',
  '/works/1/size?sheet=enlarge',
  '/works/1/capture?sheet=plan',
  '/works/1/capture?sheet=specks',
  '/works/1/capture?sheet=tone',
  '/works/1/capture?sheet=light',
  '/works/1/capture?sheet=versions',
  '/works/1/prepare',
  '/works/1/prepare?sheet=proof',
  '/works/1/prepare?sheet=settings',
  '/works/1/prepare?sheet=files',
  '/works/1/prepare?sheet=handOver',
  '/works/1/proof',
  '/works/1/proof?sheet=rounds',
  '/works/1/edition',
  '/works/1/price',
  '/works/1/finish',
  '/works/1/pack',
  '/papers',
  '/papers?paper=1&life=1',
  '/papers/compare',
  '/printers',
  '/purchases?within=90',
  '/papers?new=1',
  '/papers?bring=1',
  '/papers?paper=1&edit=1',
  '/papers/profiles',
  '/proofs/light',
  '/proofs',
  '/editions',
  '/orders',
  '/orders?new=1',
  '/orders/0401',
  '/orders/0401?do=add',
  '/orders/0401?do=address',
  '/orders/0401?do=cancel',
  '/orders/0401?do=line&line=1',
  '/orders/customers',
  '/materials',
  '/materials?new=1',
  '/accounts',
  '/log',
  '/log?factor=1.5&source=painting',
  '/log?sheet=lines',
  '/log?sheet=back',
  '/orders?bring=1',
  '/help/size',
  '/help/glossary',
  '/settings',
  '/safekeeping',
];

let server: StudioServer;
/** One tab that goes from view to view, with what it has fetched already; and one for links. */
let visitor: Page;
let second: Page;

test.beforeAll(async ({ browser }) => {
  const context = await browser.newContext();
  // What is copied is kept where the test finds it: a clipboard that is read makes every view wait.
  await context.addInitScript(() => {
    navigator.clipboard.writeText = (text) => Promise.resolve(void (window.name = text));
  });
  [visitor, second] = [await context.newPage(), await context.newPage()];
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 6, orders: 3 });
  server = new StudioServer(HOME, 4193);
  await server.start();
  const body = readFileSync(await writeMaster('everyone.tif', 1800, 2400));
  const answer = await fetch(`${server.url}/api/masters?work=1&name=everyone.tif`, {
    method: 'PUT',
    body,
  });
  expect(answer.status).toBe(201);
  const sent = await server.action(
    '/works/1/proof',
    'src/stations/proof/actions.ts',
    'sendProof',
    {
      ...SENT,
      workId: '1',
      sizeKey: SIZE,
      paperId: '1',
      route: 'own printer',
      cost: '12',
      sentOn: '2026-11-02',
      remarks: 'first look',
    },
  );
  expect(sent).toMatchObject({ ok: true });
  await expect
    .poll(
      async () =>
        (
          await server.rows(
            "SELECT count(*) AS n FROM job WHERE state IN ('queued', 'running')",
          )
        )[0]?.n,
    )
    .toBe(0);
});
test.afterAll(async () => {
  await visitor.context().close();
  await server.kill();
});

/** The link to the view that is open, as the key hands it out. */
async function linkOf(page: Page): Promise<string> {
  await page.evaluate(() => {
    (document.activeElement as HTMLElement | null)?.blur();
    window.name = '';
  });
  await page.keyboard.press('c');
  await page.waitForFunction(() => window.name !== '');
  return page.evaluate(() => window.name);
}

/** What is read on a view, what stands in its fields, what is chosen on it. */
const asSeen = (page: Page) =>
  page.locator('main').evaluate((main) => ({
    title: document.title,
    // How long it took is no part of what it shows.
    words: (main as HTMLElement).innerText.replace(/made in \d+/, ''),
    fields: [...main.querySelectorAll('input, textarea')].map(
      (field) => (field as HTMLInputElement).value,
    ),
    picked: [
      ...main.querySelectorAll('[aria-selected=true], [aria-current], :checked'),
    ].map((e) => e.textContent),
  }));

const open = (page: Page, view: string) => opened(page, server.url + view);

test('what is wrong with a page is found', async ({ page }) => {
  await page.setContent(
    '<title>Slack</title><main style="color: #777; background: #888">Slack<button>',
  );
  const found = (await serious(page)).map((words) => words.split(':')[0]);
  expect(found).toEqual(expect.arrayContaining(['button-name', 'color-contrast']));
});

for (const view of VIEWS)
  test(`${view}: nothing serious is wrong for anyone`, async () => {
    const page = visitor;
    const errors: string[] = [];
    page.on('pageerror', (e) => errors.push(e.message));
    page.on('console', (m) => m.type() === 'error' && errors.push(m.text()));
    await page.setViewportSize({ width: 1280, height: 800 });
    await open(page, view);
    // Its link, opened in a new tab, shows it as it is.
    await opened(second, await linkOf(page));
    await expect(async () =>
      expect(await asSeen(second)).toEqual(await asSeen(page)),
    ).toPass();
    // A tab that lies behind another is drawn once a second.
    await page.bringToFront();
    expect(await serious(page)).toEqual([]);
    // Every drawing says in words the figures that it shows.
    for (const drawing of await page.locator('main svg[aria-label]').all()) {
      const said = (await drawing.getAttribute('aria-label'))!;
      expect(said.length).toBeGreaterThan(8);
      const drawn = await drawing
        .locator('text:not([data-axis] *)')
        .evaluateAll((texts) =>
          texts.map((t) => [...t.childNodes].map((n) => n.textContent).join(' ')),
        );
      expect(figuresUnsaid(drawn, said)).toEqual([]);
    }
    // Smaller windows: 1024 px wide, and twice the size of everything.
    for (const size of [
      { width: 1024, height: 768 },
      { width: 640, height: 400 },
    ]) {
      await page.setViewportSize(size);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, `${size.width} px`).toBeLessThanOrEqual(0);
    }
    const first = page
      .locator('main')
      .locator('button, a, input:not([type=range], [type=radio]), textarea')
      .filter({ visible: true })
      .last();
    await first.scrollIntoViewIfNeeded();
    await expect(first).toBeInViewport();
    expect(errors).toEqual([]);
    page.removeAllListeners();
  });

test('what lies on a desk goes along in its link, to a browser that never saw it', async ({
  browser,
}) => {
  const stranger = await browser.newPage();
  const [change, look] = [visitor, stranger];
  await change.setViewportSize({ width: 1280, height: 800 });
  const border = 'Border, inside the size';
  await open(change, `/works/1/size?size=${SIZE}`);
  // While a page comes in piece by piece, what the server drew lies beside what the browser draws.
  await expect(change.getByLabel(border)).toHaveCount(1);
  await change.getByLabel(border).fill('33 mm');
  await change.getByLabel(border).blur();
  await opened(look, await linkOf(change));
  await expect(look.getByLabel(border)).toHaveValue('33 mm');
  // The address is that of the view alone, and a reload finds the desk as it was.
  expect(look.url()).not.toContain('#');
  await opened(look, look.url());
  await expect(look.getByLabel(border)).toHaveValue('33 mm');
  await open(change, `/works/1/price?size=${SIZE}`);
  await change.getByRole('textbox', { name: 'Printing' }).fill('7.35');
  await change.getByRole('textbox', { name: 'Printing' }).blur();
  await opened(look, await linkOf(change));
  await expect(look.getByRole('textbox', { name: 'Printing' })).toHaveValue('7.35');
  // A link that was cut carries nothing, and does no harm.
  await opened(look, `${server.url}/works/1/price?size=${SIZE}#desk=bm90IGpzb24`);
  await expect(look.getByRole('textbox', { name: 'Printing' })).toHaveValue('7.35');
  await stranger.close();
});

test('what lies open over a page is for everyone, too', async () => {
  const page = visitor;
  const here = async (what: string) =>
    expect({ what, wrong: await serious(page) }).toEqual({ what, wrong: [] });
  // While a searched list is open the rest is hidden from readers; Tab closes it before it goes on.
  const besideList = async () =>
    expect(
      (await serious(page)).filter((words) => !words.startsWith('aria-hidden-focus')),
    ).toEqual([]);
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, '/settings');
  // What is typed before the page hears it opens no list: typed again then.
  const currency = page.getByRole('combobox', { name: 'Currency' });
  await expect(async () => {
    await currency.fill('');
    await currency.fill('fra');
    await expect(page.getByRole('option').first()).toBeVisible({ timeout: 3000 });
  }).toPass();
  await besideList();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('option')).toHaveCount(0);
  await listOf(page, 'Lengths').click();
  await expect(page.getByRole('option').first()).toBeVisible();
  await here('a list');
  await page.keyboard.press('Escape');
  await open(page, '/works');
  for (const [key, name] of [
    ['f', 'Find'],
    ['?', 'Keys'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await here(name);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  // The figures of a chart, by its key; and the chart as a file.
  await open(page, '/works/1/capture?sheet=tone');
  await page.keyboard.press('=');
  const figures = page.getByRole('dialog', { name: /Histogram/ });
  await expect(figures.getByRole('row')).toHaveCount(17);
  await here('figures of a chart');
  await page.keyboard.press('Escape');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Save Histogram.* as SVG/ }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^capture-tone-.*histogram.*\.svg$/);
  const svg = readFileSync(await file.path(), 'utf8');
  const facts = await sharp(Buffer.from(svg)).metadata();
  expect([facts.format, facts.width]).toEqual(['svg', 770]);
  expect(svg).toMatch(/<title>Histogram over encoded light · /);
  // Nothing in it needs the page: no style of its own, no address.
  expect(svg).not.toMatch(/var\(--|class=|href="\//);
  // Charts and drawings of one page share no name within them.
  const ids = await page.locator('svg [id]').evaluateAll((all) => all.map((e) => e.id));
  expect(new Set(ids).size).toBe(ids.length);
});

test('in every grey of the table, and in forced colours, text can be read', async ({
  page,
}) => {
  await open(page, '/works/1/size');
  for (const tone of ['dark', 'light', 'middle']) {
    await page.keyboard.press('g');
    await expect(page.locator('html')).toHaveAttribute('data-tone', tone);
    expect(await serious(page)).toEqual([]);
  }
  await page.emulateMedia({ forcedColors: 'active' });
  for (const view of ['/works/1/size', '/works/1/edition', '/', '/orders']) {
    await open(page, view);
    expect(await serious(page)).toEqual([]);
  }
});

test('whoever wants no motion gets none', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await open(page, '/works/1/capture');
  const moving = await page.evaluate(
    () =>
      [...document.querySelectorAll('*')].filter((e) => {
        const style = getComputedStyle(e);
        return (
          style.transitionDuration.split(',').some((d) => parseFloat(d) > 0) &&
          style.transitionProperty !== 'none'
        );
      }).length,
  );
  expect(moving).toBe(0);
});

test('by keyboard alone: find a work, go to its sizes, withdraw one, take that back', async ({
  page,
}) => {
  await open(page, '/');
  const dialog = page.getByRole('dialog');
  await expect(async () => {
    if (!(await dialog.isVisible())) await page.keyboard.press('f');
    await expect(dialog).toBeVisible({ timeout: 3000 });
  }).toPass();
  await expect(dialog.locator('input:focus')).toHaveCount(1);
  await page.keyboard.type('slack');
  await expect(dialog.getByRole('menuitem', { name: /Slack Water/ })).toBeVisible();
  await expect(dialog.getByRole('status')).toContainText('found');
  await page.keyboard.press('Enter');
  await page.waitForURL(/works\/1\//);
  await expect(async () => {
    await page.keyboard.press('2');
    await page.waitForURL(/works\/1\/size/, { timeout: 5000 });
  }).toPass();
  await open(page, `/works/1/size?size=${SIZE}`);
  // Tab through the page: what has focus shows it.
  const focusOn = async (name: RegExp, most = 200) => {
    for (let i = 0; i < most; i += 1) {
      await page.keyboard.press('Tab');
      const found = await page.evaluate(() => {
        const e = document.activeElement as HTMLElement;
        const style = getComputedStyle(e);
        const ring = style.outlineStyle !== 'none' && parseFloat(style.outlineWidth) > 0;
        // The ring may be around what the field is the inside of.
        let parentRing = false;
        for (let a = e.parentElement, i = 0; a && i < 4; a = a.parentElement, i += 1) {
          const around = getComputedStyle(a);
          parentRing ||=
            around.outlineStyle !== 'none' && parseFloat(around.outlineWidth) > 0;
        }
        return {
          text: e.getAttribute('aria-label') ?? e.textContent ?? '',
          isPage: e === document.body,
          ring: ring || parentRing,
        };
      });
      // At the end of the page the focus goes through the document to its beginning.
      if (found.isPage) continue;
      expect(found.ring, `focus on “${found.text.slice(0, 40)}” is visible`).toBe(true);
      if (name.test(found.text)) return;
    }
    throw new Error(`never reached ${name}`);
  };
  await focusOn(/^Withdraw/);
  await page.keyboard.press('Enter');
  // It asks why, proposes a reason, and takes it with Enter.
  await expect(page.getByLabel(/^Why 30 × 40 cm/)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText('Withdrawn from sale');
  expect(
    (await server.rows(`SELECT kind FROM size_now WHERE size_key = '${SIZE}'`))[0]?.kind,
  ).toBe('withdrawn');
  await page.keyboard.press('z');
  await expect(page.getByRole('status')).toContainText('Taken back: withdrawing');
  expect(
    (await server.rows(`SELECT kind FROM size_now WHERE size_key = '${SIZE}'`))[0]?.kind,
  ).toBe('offered');
});

test('two tabs: the second sees what happened, and keeps what was typed', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  await open(page, '/works/1/edit');
  await open(other, '/works/1/edit');
  await page.getByLabel('Medium', { exact: true }).fill('Gouache on linen');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await page.waitForURL(/works\/1\/(?!edit)/);
  await other.getByLabel('Medium', { exact: true }).fill('Casein');
  await other.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(other.getByText('now “Gouache on linen”, changed elsewhere')).toBeVisible();
  await expect(other.getByLabel('Medium', { exact: true })).toHaveValue('Casein');
  await other.getByRole('button', { name: 'Keep the changes' }).click();
  await other.waitForURL(/works\/1\/(?!edit)/);
  expect((await server.rows('SELECT medium FROM work WHERE id = 1'))[0]?.medium).toBe(
    'Casein',
  );
});

test('two tabs number at once: each number once, and the loser sees what is next', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  const edition = `/works/1/edition?size=${SIZE}`;
  for (const tab of [page, other]) await open(tab, edition);
  await page
    .getByLabel('Numbered all the same, because')
    .fill('printed before proofs were kept');
  await page.getByRole('button', { name: 'Number the next, 7/30' }).click();
  await expect(page.getByText('The next free number is 8/30.')).toBeVisible();
  await other.getByRole('button', { name: 'Number the next, 7/30' }).click();
  await expect(other.getByText(/^7\/30 was given out elsewhere meanwhile/)).toBeVisible();
  // The page has read anew what there is, and offers that.
  await other.getByRole('button', { name: 'Number the next, 8/30' }).click();
  await expect(other.getByText('The next free number is 9/30.')).toBeVisible();
  expect(
    await server.rows(
      "SELECT number, count(*) AS n FROM ledger WHERE kind = 'assigned' AND number > 6 GROUP BY number",
    ),
  ).toMatchObject([
    { number: 7, n: 1 },
    { number: 8, n: 1 },
  ]);
});

test('what is typed before the page has come alive is not lost', async ({ page }) => {
  // Scripts come late, as on a slow machine.
  await page.route('**/_next/static/**/*.js', async (route) => {
    await new Promise((r) => setTimeout(r, 1500));
    await route.continue();
  });
  await page.goto(`${server.url}/works/1/edit`, { waitUntil: 'commit' });
  await page.getByLabel('Medium', { exact: true }).fill('Gouache, gold leaf');
  await page.waitForLoadState('load');
  await page.unrouteAll({ behavior: 'wait' });
  // A press that comes before the page is alive has to be made again.
  await expect(async () => {
    if (page.url().includes('/edit'))
      await page.getByRole('button', { name: 'Keep the changes' }).click({ timeout: 2000 });
    await page.waitForURL(/works\/1\/(?!edit)/, { timeout: 10_000 });
  }).toPass();
  expect(await server.rows('SELECT medium FROM work WHERE id = 1')).toMatchObject([
    { medium: 'Gouache, gold leaf' },
  ]);
});
