import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { median } from './folder';

const MOVES = 40;
const PANS = 12;

const line = (name: string, times: number[]) => {
  const sorted = [...times].sort((a, b) => a - b);
  const p95 = sorted[Math.floor(0.95 * sorted.length)] ?? 0;
  console.log(
    `${name.padEnd(34)} median ${median(times).toFixed(1)}   p95 ${p95.toFixed(1)}   most ${sorted.at(-1)!.toFixed(1)}`,
  );
};

/** Milliseconds from each change of a field until the ladder stands anew and is laid out. */
const changed = (page: Page, selector: string, values: string[]): Promise<number[]> =>
  page.evaluate(
    async ([field, all]) => {
      const input = document.querySelector<HTMLInputElement>(field)!;
      const table = document.querySelector('table[aria-label="Ladder of sizes"]')!;
      const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!;
      const times: number[] = [];
      for (const next of all) {
        await new Promise(requestAnimationFrame);
        const from = performance.now();
        const done = new Promise<number>((resolve) => {
          const watch = new MutationObserver(() => {
            // Laid out as well, as the frame would be.
            table.getBoundingClientRect();
            watch.disconnect();
            resolve(performance.now() - from);
          });
          watch.observe(table, { subtree: true, childList: true, characterData: true });
          setTimeout(() => resolve(Number.NaN), 1000);
        });
        value.set!.call(input, next);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        times.push(await done);
      }
      return times.filter((t) => !Number.isNaN(t));
    },
    [selector, values] as const,
  );

/** Milliseconds until the wall's pixels are there: `pixels`, the print's `windows`, or all of either. */
const until = (page: Page, attribute: string, holds: string): Promise<number> =>
  page.evaluate(
    async ([name, wanted]) => {
      const from = performance.now();
      for (;;) {
        const wall = document.querySelector('[data-testid=angular]');
        if (wall?.getAttribute(name)?.includes(wanted)) break;
        if (performance.now() - from > 20_000) break;
        await new Promise((done) => setTimeout(done, 1));
      }
      return performance.now() - from;
    },
    [attribute, holds] as const,
  );

/** Over the next 1.5 s, the longest time in one go that something in sight was missing, ms: of the picture, of the print's windows. */
const longestGaps = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const wall = document.querySelector('[data-testid=angular]')!;
    const words = ['pixels', 'windows'];
    const since: (number | null)[] = [null, null];
    const longest = [0, 0];
    const end = performance.now() + 1500;
    while (performance.now() < end) {
      const said = wall.getAttribute('data-whole') ?? '';
      words.forEach((word, i) => {
        if (said.includes(word)) since[i] = null;
        else {
          since[i] ??= performance.now();
          longest[i] = Math.max(longest[i]!, performance.now() - since[i]);
        }
      });
      await new Promise((done) => setTimeout(done, 4));
    }
    return longest;
  });

async function ladderOf60(page: Page, url: string, work: string) {
  await page.goto(`${url}/works/${work}/size`);
  await page.waitForTimeout(1500);
  for (const family of ['ISO A', 'Frames, in', '2:3, in', 'Squares', 'Own'])
    await page.getByRole('button', { name: family, exact: true }).click();
  await page.waitForTimeout(500);
  const ladder = page.getByRole('table', { name: 'Ladder of sizes' });
  const sizes = Number(await ladder.getAttribute('aria-rowcount')) - 1;
  console.log(
    `\nA ladder of ${sizes} sizes, from a change until it stands anew, ms (a frame is 16.7)`,
  );
  const factors = Array.from({ length: MOVES }, (_, k) =>
    (0.6 + ((k * 7) % 24) / 10).toFixed(1),
  );
  line('where people stand', await changed(page, 'input[type=range]', factors));
  const borders = Array.from({ length: MOVES }, (_, k) => `${5 + ((k * 7) % 30)} mm`);
  line('border', await changed(page, 'input[name=border]', borders));
}

/** Presses on the sheet of the wall; milliseconds until the first pixels of the picture are there, and as they print. */
const fromThePress = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const links = [...document.querySelectorAll('a')];
    const from = performance.now();
    links.find((a) => a.textContent === 'On the wall')!.click();
    const times: number[] = [];
    for (const mark of ['pixels', 'windows'])
      for (;;) {
        const seen = document.querySelector<HTMLElement>('[data-testid=angular]');
        const now = performance.now() - from;
        if (seen?.dataset[mark] || now > 20_000) {
          times.push(now);
          break;
        }
        await new Promise((done) => setTimeout(done, 1));
      }
    return times;
  });

async function wall(page: Page, url: string, work: string) {
  const first: number[] = [];
  const print: number[] = [];
  for (let k = 0; k < 6; k += 1) {
    await page.goto(`${url}/works/${work}/size`);
    await page.waitForTimeout(1200);
    const [ofPicture, ofPrint] = await fromThePress(page);
    first.push(ofPicture!);
    print.push(ofPrint!);
  }
  console.log('\nOn the wall, ms from the press on the sheet');
  line('first pixels of the picture', first);
  line('first pixels as they print', print);
  await page.getByRole('button', { name: 'In the hand' }).click();
  await until(page, 'data-whole', 'windows');
  const box = (await page.getByTestId('angular').boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const picture: number[] = [];
  const windows: number[] = [];
  for (let k = 0; k < PANS; k += 1) {
    const [dx, dy] = [(k % 2 === 0 ? -1 : 1) * 260, (k % 3) * 90 - 90];
    const gaps = longestGaps(page);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps: 8 });
    await page.mouse.up();
    const [ofPicture, ofWindows] = await gaps;
    picture.push(ofPicture!);
    windows.push(ofWindows!);
  }
  console.log(
    '\nPanned across a third of the wall, in the hand: longest that something is missing, ms',
  );
  line('the picture', picture);
  line('as it prints', windows);
}

/** `npm run bench -- sizes URL WORK`: the ladder re-computed, and the wall's pixels. */
export async function measureSizes(url: string, work: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await ladderOf60(page, url, work);
  await wall(page, url, work);
  await browser.close();
}
