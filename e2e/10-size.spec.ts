import { choose } from './support/choose';
import { readFileSync, rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { writeMaster } from './fixtures';
import { opened } from './support/opened';
import { seedStudio } from './support/seedStudio';
import { StudioServer } from './support/studioServer';

const HOME = '/tmp/glassine-size';
const server = new StudioServer(HOME, 4186);

async function bring(name: string, width: number, height: number): Promise<void> {
  const answer = await fetch(`${server.url}/api/masters?work=1&name=${name}`, {
    method: 'PUT',
    body: readFileSync(await writeMaster(name, width, height)),
  });
  expect(answer.status).toBe(201);
  await expect
    .poll(
      async () =>
        (
          await server.rows(
            "SELECT state FROM job WHERE kind = 'read' ORDER BY id DESC LIMIT 1",
          )
        )[0]?.state,
      { timeout: 120_000 },
    )
    .toBe('done');
}

test.beforeAll(async () => {
  rmSync(HOME, { recursive: true, force: true });
  await seedStudio(HOME, { editionOf: 30, numbered: 0, orders: 0 });
  await server.start();
  await bring('scan.tif', 1800, 2400);
});
test.afterAll(() => server.kill());

const size = (sheet = '') => `${server.url}/works/1/size${sheet && `?sheet=${sheet}`}`;
const row = (page: Page, name: string) =>
  page.getByRole('table', { name: 'Ladder of sizes' }).getByRole('row', { name });
const offered = () =>
  server.rows(
    "SELECT size_key, kind FROM size_event WHERE id IN (SELECT event_id FROM size_now) AND kind = 'offered' ORDER BY size_key",
  );

/** Walks by Tab to the crop, as one does who has no mouse. */
async function tabTo(page: Page, testId: string): Promise<void> {
  for (let i = 0; i < 60; i += 1) {
    await page.keyboard.press('Tab');
    const here = await page.evaluate(() =>
      document.activeElement?.getAttribute('data-testid'),
    );
    if (here === testId) return;
  }
  throw new Error(`${testId} is not reached by Tab`);
}

test('what can I sell from this scan, cropped to 4:5 with 20 mm to sign on, and how does the biggest look from the sofa', async ({
  page,
}) => {
  await opened(page, size());
  await page.getByRole('button', { name: 'Frames, in' }).click();
  await page.getByText('Crop to fill').click();
  await page.getByLabel('Border, inside the size').fill('20 mm');
  await choose(page, 'Ratio', '4:5');
  // Nothing is asked of the server while the ladder changes (links to other places are fetched ahead).
  const asked: string[] = [];
  const note = (r: { url(): string }) => asked.push(r.url());
  page.on('request', note);
  // 24 x 30 cm: 1800 px on 20 cm are 229 ppi; 40 x 50: on 36 cm 127 ppi, enlarged 2.36 times.
  await expect(row(page, '24 × 30 cm')).toContainText('229');
  await expect(row(page, '24 × 30 cm')).toContainText('fits');
  await expect(row(page, '40 × 50 cm')).toContainText('127');
  await expect(row(page, '40 × 50 cm')).toContainText('2.36');
  await expect(row(page, '40 × 50 cm')).toContainText('leave out');
  await page.getByRole('slider').fill('3');
  await expect(page.getByText('3.0 × the diagonal').first()).toBeVisible();
  await page.getByText('One distance').click();
  await page.getByLabel('They stand at').fill('6 m');
  // Half of 6 m is 3 m, 10 times the hand: 1800 px are crisp from there at 29.1 ppi, 157.1 cm wide.
  const largest = page.locator('dl > div', { hasText: 'Where people stand, up to' });
  await expect(largest).toContainText(/157\.\d × 2/);
  await page.getByLabel('They stand at').fill('nowhere');
  await expect(page.getByText(/“nowhere” cannot be read/)).toBeVisible();
  await page.getByText('× diagonal').click();
  page.off('request', note);
  const elsewhere = (url: string) =>
    // The browser asks for the icon of the tab when it likes.
    /\/api\/(tiles|previews)|\/icon\.svg/.test(url) ||
    (/_rsc=/.test(url) && !/\/size/.test(url));
  expect(asked.filter((url) => !elsewhere(url))).toEqual([]);

  // All that pass are offered at once; what falls short later is withdrawn at once.
  await page.getByRole('button', { name: /^Offer all \d that pass$/ }).click();
  await expect(page.getByText('On offer.')).toBeVisible();
  const passing = (await offered()).map((r) => r.size_key);
  expect(passing).toContain('metricFrames-24x30');
  expect(passing).toContain('inchFrames-8x10');
  expect(passing).not.toContain('metricFrames-40x50');
  await row(page, '40 × 50 cm').click();
  await page.getByRole('button', { name: 'Offer this size' }).click();
  await expect(row(page, '40 × 50 cm')).toContainText('✓');
  await page.getByRole('button', { name: 'Withdraw the one that falls short' }).click();
  await page.getByLabel('Why 40 × 50 cm').fill('too soft at 127 ppi');
  await page.getByRole('button', { name: 'Withdraw', exact: true }).first().click();
  await expect(row(page, '40 × 50 cm')).not.toContainText('✓');
  expect(
    await server.rows('SELECT kind, reason FROM size_event ORDER BY id DESC LIMIT 1'),
  ).toMatchObject([{ kind: 'withdrawn', reason: 'too soft at 127 ppi' }]);
  await page.keyboard.press('z');
  await expect(row(page, '40 × 50 cm')).toContainText('✓');
  await page.getByRole('button', { name: 'Withdraw the one that falls short' }).click();
  await page.getByRole('button', { name: 'Withdraw', exact: true }).first().click();
  await expect(row(page, '40 × 50 cm')).not.toContainText('✓');

  // An own size in another unit; and one that cannot be.
  await page.getByLabel('Own', { exact: true }).fill('10 km x 3 cm');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByText(/Own size: “10 km x 3 cm” cannot be read/)).toBeVisible();
  await page.getByLabel('Own', { exact: true }).fill('9.6 x 12 in');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(row(page, '9.6 × 12 in')).toBeVisible();

  // There is room to sign: number left, title, signature; and the drawing of it is to be had.
  await row(page, '24 × 30 cm').click();
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await expect(page.getByText(/signature/).first()).toBeVisible();
  await expect(page.getByText('20 mm, 20 mm').first()).toBeVisible();
  const pdf = await page.getByRole('link', { name: 'PDF, one page' }).getAttribute('href');
  const made = await page.request.get(server.url + pdf!);
  expect(made.headers()['content-type']).toBe('application/pdf');
  const all = await page.request.get(`${server.url}/api/size-sheets/1`);
  expect(all.status()).toBe(200);

  // From the sofa, at the angle at which it hangs there.
  await page.getByRole('link', { name: 'On the wall' }).click();
  await page.getByRole('button', { name: 'From the sofa' }).click();
  const scale = (96 / 25.4) * (600 / 2500);
  await expect(page.getByTestId('wall')).toHaveAttribute('data-scale', scale.toFixed(4));
  await expect(page.getByTestId('angular')).toHaveAttribute('data-windows', 'there');
  await expect(page.getByText('Crisp from here')).toBeVisible();
  await page.keyboard.press('-');
  await expect(page.getByTestId('wall')).toHaveAttribute(
    'data-scale',
    ((96 / 25.4) * (600 / 3000)).toFixed(4),
  );
  // The screen is held against a ruler: one pixel an inch is none.
  await page.getByRole('button', { name: 'Calibrate' }).click();
  await page.getByLabel('The line measures').fill('10.16 m');
  await expect(page.getByText(/makes 1\.0 ppi, which no screen has/)).toBeVisible();
  await page.getByLabel('The line measures').fill('100 mm');
  await page.getByRole('button', { name: 'It does' }).click();
  await expect(page.getByTestId('wall')).toHaveAttribute(
    'data-scale',
    (4 * (600 / 3000)).toFixed(4),
  );
  await page.reload();
  await expect(page.getByRole('button', { name: 'Calibrate anew' })).toBeVisible();

  // How it enlarges: four enlargements of one spot, out of the master's own pixels.
  await page.getByRole('link', { name: 'How it enlarges' }).click();
  for (const factor of ['1', '1.5', '2', '3'])
    await expect
      .poll(() =>
        page
          .getByTestId(`enlarged-${factor}`)
          .evaluate((image) => (image as HTMLImageElement).naturalWidth),
      )
      .toBeGreaterThan(300);
});

test('a crop is slid, scaled and kept by keyboard alone, and holds what must stay', async ({
  page,
}) => {
  await opened(page, `${size('fit')}&size=metricFrames-24x30`);
  await expect(page.getByRole('heading', { name: /on 4:5|to 4:5/ })).toBeVisible();
  // The foot of the picture, where the signature is, must stay.
  await page.getByRole('button', { name: 'Mark what must stay' }).focus();
  await page.keyboard.press('Enter');
  await page.getByTestId('crop').focus();
  for (let i = 0; i < 45; i += 1) await page.keyboard.press('ArrowDown');
  await page.getByRole('button', { name: 'Mark it', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('checkbox', { name: 'Hold it inside' })).toBeChecked();
  expect(await server.rows('SELECT area FROM kept_area')).toMatchObject([
    { area: expect.stringContaining('"top":0.8') },
  ]);
  const fill = page.getByRole('radio', { name: 'Crop to fill' });
  if (!(await fill.isChecked())) {
    await fill.focus();
    await page.keyboard.press('Space');
  }
  await page.getByRole('link', { name: 'Crop', exact: true }).focus();
  await tabTo(page, 'crop');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('-');
  for (let i = 0; i < 30; i += 1) await page.keyboard.press('Shift+ArrowUp');
  // Held: it slides up no farther than the marked part lets it.
  await expect(page.getByText('What must stay is cut')).toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Crop kept.')).toBeVisible();
  const [kept] = await server.rows(
    'SELECT ratio, choice FROM crop_choice ORDER BY id DESC LIMIT 1',
  );
  expect(kept!.ratio).toBe('4:5');
  const { y, zoom } = JSON.parse(kept!.choice as string) as { y: number; zoom: number };
  expect(zoom).toBeCloseTo(1 / 1.02 ** 4, 3);
  // Its lower edge is that of the marked part, at the foot of the picture: 200 x 260 mm of a
  // 3:4 picture take 0.975 of its height at most.
  expect(y + (0.975 * zoom) / 2).toBeCloseTo(1, 3);
  // Every size of the ratio uses it.
  await page.getByRole('link', { name: 'Ladder' }).focus();
  await page.keyboard.press('Enter');
  const lost = async (name: string) =>
    Number(await row(page, name).locator('td').nth(9).textContent());
  await expect.poll(() => lost('24 × 30 cm')).toBeGreaterThan(15);
  expect(Math.abs((await lost('24 × 30 cm')) - (await lost('40 × 50 cm')))).toBeLessThan(3);
});

test('by mouse the crop is dragged and scaled; by two fingers too', async ({ page }) => {
  await opened(page, `${size('fit')}&size=metricFrames-13x18`);
  const fill = page.getByText('Crop to fill').first();
  await fill.click();
  const crop = page.getByTestId('crop');
  const label = () => crop.getAttribute('aria-label');
  const before = await label();
  const box = (await crop.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  // A corner is pulled in: the crop is scaled about its middle.
  await page.mouse.move(box.x + box.width - 8, box.y + box.height - 8);
  await crop.evaluate((svg) => svg.scrollIntoView());
  const handle = crop.locator('rect[data-handle]').last();
  const at = (await handle.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(x + box.width * 0.3, y + box.height * 0.3, { steps: 6 });
  await page.mouse.up();
  await expect.poll(label).not.toBe(before);
  const scaled = await label();
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y, { steps: 5 });
  await page.mouse.up();
  await expect.poll(label).not.toBe(scaled);
  await expect(page.getByRole('button', { name: 'Keep this crop' })).toBeEnabled();

  // Two fingers that close on one another take the crop with them.
  const touch = await page.context().newCDPSession(page);
  await touch.send('Emulation.setTouchEmulationEnabled', {
    enabled: true,
    maxTouchPoints: 2,
  });
  const fingers = (type: 'touchStart' | 'touchMove', apart: number) =>
    touch.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: [
        { x: x - apart, y, id: 0 },
        { x: x + apart, y, id: 1 },
      ],
    });
  const slidTo = await label();
  await fingers('touchStart', 120);
  for (const apart of [110, 100, 90, 80]) await fingers('touchMove', apart);
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  const lost = (said: string | null) =>
    Number(/([\d.]+)\s*% of the picture/.exec(said ?? '')?.[1]);
  await expect.poll(async () => lost(await label())).toBeGreaterThan(lost(slidTo) + 3);
});

test('a newer, smaller master opens sizes again, and says so', async ({ page }) => {
  await bring('smaller.tif', 700, 933);
  await opened(page, size());
  await page.getByRole('button', { name: '24 × 30 cm' }).click();
  await expect(row(page, '24 × 30 cm')).toContainText('open again');
  await expect(
    page.getByText(/Open again: .* when it was offered, .* since a newer master/),
  ).toBeVisible();
  const before = await server.rows(
    "SELECT layout FROM size_event WHERE size_key = 'metricFrames-24x30' ORDER BY id DESC LIMIT 1",
  );
  await page.getByRole('button', { name: 'Offer it again' }).click();
  await expect(row(page, '24 × 30 cm')).not.toContainText('open again');
  // As it was: cropped to fill, whatever the ladder is laid out like now.
  expect(
    await server.rows(
      "SELECT layout FROM size_event WHERE size_key = 'metricFrames-24x30' ORDER BY id DESC LIMIT 1",
    ),
  ).toEqual(before);
});
