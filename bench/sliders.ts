import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { median } from './folder';

const MOVES = 60;

/** Milliseconds that script and layout take for one move of a slider, to the next frame asked for. */
async function moved(page: Page, slider: number): Promise<number[]> {
  await page.waitForSelector('[data-testid=overlay][data-scale]');
  return page.evaluate(
    async ([index, moves]) => {
      const input = document.querySelectorAll<HTMLInputElement>('input[type=range]')[index!]!;
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      const [low, high] = [Number(input.min), Number(input.max)];
      const frame = () => new Promise((done) => requestAnimationFrame(done));
      const times: number[] = [];
      for (let k = 0; k < moves!; k += 1) {
        await frame();
        const from = performance.now();
        set.call(input, String(low + ((high - low) * ((k * 7) % moves!)) / moves!));
        input.dispatchEvent(new Event('input', { bubbles: true }));
        await Promise.resolve();
        // Drawing asked for by the move is done in the frame that follows: wait for that too.
        await frame();
        void document.body.offsetHeight;
        times.push(performance.now() - from);
      }
      return times;
    },
    [slider, MOVES],
  );
}

/** `npm run bench -- sliders URL WORK`: from a move of a threshold to the frame that shows it. */
export async function measureSliders(url: string, work: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  console.log('\nFrom a move of a slider to the frame that shows it, ms (a frame is 16.7)');
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
