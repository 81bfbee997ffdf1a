import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { median } from './folder';

const MOVES = 60;

/** Milliseconds from each move of a slider until the overlay is drawn anew. */
export async function moved(
  page: Page,
  slider: number,
  overlay = '[data-testid=overlay][data-scale]',
): Promise<number[]> {
  await page.waitForSelector(overlay);
  await page.waitForTimeout(1500);
  return page.evaluate(
    async ([index, moves]) => {
      const input =
        document.querySelectorAll<HTMLInputElement>('input[type=range]')[index!]!;
      const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!;
      const { prototype } = CanvasRenderingContext2D;
      const clear = Object.getOwnPropertyDescriptor(prototype, 'clearRect')!.value as (
        this: CanvasRenderingContext2D,
        ...box: number[]
      ) => void;
      let drawn = 0;
      prototype.clearRect = function (...box) {
        drawn = performance.now();
        clear.apply(this, box);
      };
      const [low, high] = [Number(input.min), Number(input.max)];
      const times: number[] = [];
      for (let k = 0; k < moves!; k += 1) {
        await new Promise(requestAnimationFrame);
        const from = performance.now();
        drawn = 0;
        value.set!.call(input, String(low + ((high - low) * ((k * 7) % moves!)) / moves!));
        input.dispatchEvent(new Event('input', { bubbles: true }));
        while (drawn === 0 && performance.now() - from < 500)
          await new Promise((done) => setTimeout(done, 0));
        times.push((drawn || performance.now()) - from);
      }
      return times;
    },
    [slider, MOVES],
  );
}

/** `npm run bench -- sliders URL WORK`: from a move of a threshold until the overlay is drawn. */
export async function measureSliders(url: string, work: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  console.log('\nFrom a move of a slider until its overlay is drawn, ms (a frame is 16.7)');
  for (const [sheet, slider] of [
    ['specks', 0],
    ['tone', 0],
    ['tone', 1],
  ] as const) {
    await page.goto(`${url}/works/${work}/capture?sheet=${sheet}`);
    const times = await moved(page, slider);
    const worst = [...times].sort((a, b) => a - b)[Math.floor(0.95 * times.length)]!;
    console.log(
      `${sheet} ${slider + 1}`.padEnd(12) +
        `median ${median(times).toFixed(1)}   p95 ${worst.toFixed(1)}`,
    );
  }
  await browser.close();
}
