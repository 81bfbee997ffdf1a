/** How soon a patch of 1000 x 800 pixels follows a number that is moved, in a browser. */
import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';

const TIMES = 12;

const median = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1]!;

/** Types one value after another and waits until the patch is made anew. */
async function moved(page: Page, label: string, values: number[]): Promise<number[]> {
  const field = page.getByRole('textbox', { name: label });
  const took: number[] = [];
  for (const value of values) {
    await page.waitForFunction(
      () =>
        document.querySelector('[data-testid=patch]')?.getAttribute('aria-busy') ===
        'false',
    );
    const before = await page.getByTestId('patch').getAttribute('data-made');
    const from = performance.now();
    await field.fill(String(value));
    await page.waitForFunction(
      (made) =>
        document.querySelector('[data-testid=patch]')?.getAttribute('data-made') !== made,
      before,
    );
    took.push(performance.now() - from);
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
  console.log(
    `\n${size}: a patch of ${shown}, from the key to the picture (what the worker says in brackets)`,
  );
  const steps: [string, string, number[]][] = [
    [
      'Sharpen for the print',
      'amount, %',
      Array.from({ length: TIMES }, (_, i) => 50 + 5 * i),
    ],
    [
      'Sharpen for the print',
      'radius, px',
      Array.from({ length: TIMES }, (_, i) => 0.6 + i / 10),
    ],
    ['Adjust by eye', 'lightness', Array.from({ length: TIMES }, (_, i) => 3 + i)],
    [
      'Sharpen the capture',
      'amount, %',
      Array.from({ length: TIMES }, (_, i) => 30 + 5 * i),
    ],
  ];
  for (const [step, label, values] of steps) {
    const head = page.getByRole('button', { name: new RegExp(step) }).first();
    if ((await head.getAttribute('aria-expanded')) !== 'true') await head.click();
    const took = await moved(page, label, values);
    const ms = await page.getByTestId('patch').getAttribute('data-ms');
    console.log(
      `${`${step}, ${label}`.padEnd(40)} median ${median(took).toFixed(0)} ms, most ${Math.max(...took).toFixed(0)} (${Number(ms).toFixed(0)})`,
    );
  }
  await browser.close();
}
