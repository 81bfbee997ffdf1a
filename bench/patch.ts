/** How soon a patch of 1000 x 800 pixels follows a number that is moved, in a browser. */
import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';

const TIMES = 12;

const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!;

/** Notes in the page when a number was typed, and when the patch made of it was on the screen. */
async function watch(page: Page): Promise<void> {
  await page.evaluate(() => {
    const patch = document.querySelector('[data-testid=patch]')!;
    let typed: number | null = null;
    document.addEventListener('input', () => (typed = performance.now()), true);
    const made = new MutationObserver(() => {
      const from = typed;
      typed = null;
      if (from !== null)
        requestAnimationFrame(() =>
          patch.setAttribute('data-took', String(performance.now() - from)),
        );
    });
    made.observe(patch, { attributes: true, attributeFilter: ['data-made'] });
  });
}

interface Took {
  /** From the key to the picture. */
  seen: number;
  worker: number;
}

/** Types one value after another and waits until the patch is made anew. */
async function moved(page: Page, label: string, values: number[]): Promise<Took[]> {
  const field = page.getByRole('textbox', { name: label });
  const patch = page.getByTestId('patch');
  const took: Took[] = [];
  for (const value of values) {
    await patch.evaluate((p) => p.removeAttribute('data-took'));
    await field.fill(String(value));
    await page.waitForSelector('[data-testid=patch][data-took][aria-busy=false]');
    const of = (name: string) => patch.getAttribute(name).then(Number);
    took.push({ seen: await of('data-took'), worker: await of('data-ms') });
  }
  return took;
}

export async function measurePatch(
  url: string,
  work: string,
  size = 'metricFrames-70x100',
): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update'],
  });
  const page = await browser.newPage({ viewport: { width: 1600, height: 1170 } });
  await page.goto(`${url}/works/${work}/prepare?sheet=recipe&size=${size}`);
  await page.waitForSelector('html[data-keys=on]');
  await page.waitForSelector('[data-testid=patch][aria-busy=false]:not([data-made="0"])');
  const shown = await page
    .getByRole('img', { name: 'Patch, as it prints' })
    .evaluate((c: HTMLCanvasElement) => `${c.width} x ${c.height} px`);
  await watch(page);
  console.log(
    `\n${size}: a patch of ${shown}, from the key to the picture on the screen (what the workers took in brackets)`,
  );
  const from = (first: number, by: number) => (i: number) => first + by * i;
  const steps: [string, string, (i: number) => number][] = [
    ['Sharpen for the print', 'amount, %', from(50, 3)],
    ['Sharpen for the print', 'radius, px', from(0.6, 0.05)],
    ['Adjust by eye', 'lightness', from(3, 1)],
    ['Sharpen the capture', 'amount, %', from(30, 3)],
  ];
  const line = page.getByRole('slider', { name: /^Line between/ });
  for (const [round, seen] of ['half of it in sight', 'all of it in sight'].entries()) {
    console.log(seen);
    if (round === 1) for (let i = 0; i < 10; i += 1) await line.press('ArrowLeft');
    for (const [step, label, value] of steps) {
      const head = page.getByRole('button', { name: new RegExp(step) }).first();
      if ((await head.getAttribute('aria-expanded')) !== 'true') await head.click();
      const values = Array.from({ length: TIMES }, (_, i) => value(i + round * TIMES));
      const [first, ...then] = await moved(page, label, values);
      const ms = then.map((t) => t.seen);
      const worker = then.map((t) => t.worker);
      // The first makes what the next ones find kept.
      console.log(
        `  ${`${step}, ${label}`.padEnd(36)} first ${first!.seen.toFixed(0)} ms, then median ${median(ms).toFixed(0)}, most ${Math.max(...ms).toFixed(0)} (${median(worker).toFixed(0)})`,
      );
    }
  }
  await browser.close();
}
