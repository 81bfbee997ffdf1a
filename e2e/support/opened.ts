import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

/**
 * Opens a view and waits until it is there itself, not only the word that it is coming, and
 * until the page listens to keys.
 */
export async function opened(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await expect(page.locator('html[data-keys=on]')).toHaveCount(1);
  await expect(page.locator('main [aria-busy=true]')).toHaveCount(0);
  await page.locator('main h1, main h2').first().waitFor();
}
