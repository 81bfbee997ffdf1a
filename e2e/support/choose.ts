import type { Locator, Page } from '@playwright/test';

/** The list of that name: its face, whether it is looked over or searched. */
export const listOf = (scope: Page | Locator, label: string): Locator =>
  scope.locator(
    `button[aria-haspopup="listbox"][aria-label="${label}"], input[role="combobox"][aria-label="${label}"]`,
  );

/** Chooses one of a list by what it is called, as people do. */
export async function choose(
  scope: Page | Locator,
  label: string,
  option: string,
): Promise<void> {
  const page = 'page' in scope ? scope.page() : scope;
  const face = listOf(scope, label);
  await face.waitFor();
  if ((await face.getAttribute('role')) === 'combobox') await face.fill(option);
  else await face.click();
  await page.getByRole('option', { name: option, exact: true }).click();
}
