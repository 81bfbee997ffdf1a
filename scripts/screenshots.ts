import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { choose } from '../e2e/support/choose';

/** Takes a picture of each main view of a running demo studio, 1280 x 800, into a folder. */
const VIEWS: Record<string, string> = {
  table: '/',
  works: '/works',
  capture: '/works/1/capture',
  size: '/works/1/size?size=metricFrames-50x70',
  sheet: '/works/1/size?sheet=sheet&size=metricFrames-50x70',
  wall: '/works/1/size?sheet=view&size=metricFrames-50x70',
  prepare: '/works/1/prepare?size=metricFrames-70x100',
  proof: '/works/10/proof?paper=4',
  measured: '/works/1/proof?sheet=measured&size=metricFrames-70x100',
  edition: '/works/1/edition?size=metricFrames-50x70&impression=number:12',
  price: '/works/1/price?sheet=ladder&size=metricFrames-50x70',
  finish: '/works/1/finish?size=metricFrames-50x70',
  pack: '/orders/0461?parcel=62',
  papers: '/papers?paper=5',
  sheets: '/sheets/1',
  printers: '/printers?ink=3',
  profiles: '/papers/profiles',
  editions: '/editions',
  log: '/log?factor=0.9&source=painting',
};

/** What is pressed before the picture is taken. */
const BEFORE: Record<string, (page: Page) => Promise<void>> = {
  async prepare(page) {
    const made = '[data-testid=patch][aria-busy=false]:not([data-made="0"])';
    await page.waitForSelector(made);
  },
  async proof(page) {
    await page.keyboard.press('m');
    await page.getByText('holds it best').waitFor();
    await page.waitForTimeout(6000);
  },
  async profiles(page) {
    await choose(page, 'Drawn over it, in blue', 'Old Pier Etching');
    await page.waitForURL(/beside=/);
    await page.waitForLoadState('networkidle');
  },
};

const [folder = 'docs/screenshots', base = 'http://127.0.0.1:4173', ...only] =
  process.argv.slice(2);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
});
const page = await browser.newPage({
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  timezoneId: 'UTC',
});
page.on(
  'console',
  (m) => m.type() === 'error' && console.log('console:', m.text().slice(0, 300)),
);
page.on('pageerror', (e) => console.log('page error:', e.message.slice(0, 300)));
for (const [name, path] of Object.entries(VIEWS)) {
  if (only.length > 0 && !only.includes(name)) continue;
  await page.goto(base + path);
  await page.waitForTimeout(['capture', 'wall', 'prepare'].includes(name) ? 2500 : 900);
  await BEFORE[name]?.(page);
  await page.waitForTimeout(BEFORE[name] ? 900 : 0);
  await page.screenshot({ path: `${folder}/${name}.png` });
}
await browser.close();
