import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { AxeResults } from 'axe-core';

const source = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

/** What is seriously wrong with a page for those who see, hear or move otherwise; a line each. */
export async function serious(page: Page): Promise<string[]> {
  // While a page gives way to the next one it has no title.
  await page
    .waitForFunction(() => document.title !== '', null, { timeout: 5000 })
    .catch(() => undefined);
  await page.evaluate(source);
  const { violations } = await page.evaluate(() =>
    (window as unknown as { axe: { run(options: object): Promise<AxeResults> } }).axe.run({
      resultTypes: ['violations'],
    }),
  );
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => {
      const where = v.nodes.slice(0, 3).map((n) => n.html.slice(0, 140));
      return `${v.id}: ${where.join(' | ')}`;
    });
}
