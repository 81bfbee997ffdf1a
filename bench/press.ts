import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { median } from './folder';
import { moved } from './sliders';

const PAPERS = 5;
/** Until a view is at rest, ms: all papers are measured by then. */
const REST = 6000;

/** Milliseconds from the press of a paper until the glass shows other pixels than before. */
const untilShown = (page: Page, link: string): Promise<number> =>
  page.evaluate(async (selector) => {
    const glass = document.querySelector<HTMLCanvasElement>(
      '[data-testid=proof-glass] canvas',
    )!;
    const pen = glass.getContext('2d')!;
    let [before, from] = [NaN, 0];
    for (;;) {
      const { width, height } = glass;
      const { data } = pen.getImageData(width >> 1, 0, width >> 1, height);
      let sum = 0;
      for (let i = 0; i < data.length; i += 4) sum += data[i]! + 3 * data[i + 2]!;
      if (Number.isNaN(before)) {
        [before, from] = [sum, performance.now()];
        document.querySelector<HTMLElement>(selector)!.click();
      } else if (sum !== before || performance.now() - from > 5000)
        return performance.now() - from;
      await new Promise(requestAnimationFrame);
    }
  }, link);

/**
 * `npm run bench -- press URL WORK`: from the press of a paper until it is seen, and from a move of the
 * threshold until the marks are drawn.
 */
export async function measurePress(url: string, work: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/works/${work}/proof`);
  await page.waitForTimeout(REST);
  const links = await page.$$eval('a[href*="sheet=paper&paper="]', (all) =>
    all
      .filter((a) => a.getAttribute('aria-current') !== 'true')
      .map((a) => a.getAttribute('href')!),
  );
  console.log('\nFrom the press of a paper until its first pixels are seen, ms');
  const times: number[] = [];
  for (const href of links.slice(0, PAPERS)) {
    times.push(await untilShown(page, `a[href="${href}"]`));
    await page.waitForTimeout(REST);
  }
  console.log(`median ${median(times).toFixed(0)}   most ${Math.max(...times).toFixed(0)}`);
  await page.keyboard.press('m');
  console.log('From a move of the threshold until the marks are drawn, ms');
  const marks = await moved(page, 0, '[data-testid=proof-marks][data-scale]');
  console.log(`median ${median(marks).toFixed(1)}   most ${Math.max(...marks).toFixed(1)}`);
  await browser.close();
}
