import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { expect } from '@playwright/test';
import { plainRecipe } from '@/core/prepare';
import type { StudioServer } from './studioServer';

export const PACK = 'src/stations/pack/actions.ts';
export const PREPARE = 'src/stations/prepare/actions.ts';

/** Lines of the pick list of a print sent flat. */
export const PICK_LINES = ['print', 'wrap0', 'wrap1', 'wrap2', 'certificate', 'note'];

/** What is sent to order a print file of a size. */
export const printOrder = (workId: number, sizeKey: string, ppi = 300) => {
  const recipe = plainRecipe(ppi, 0.8);
  recipe.convert.target = 'srgb';
  return {
    workId: String(workId),
    sizeKeys: JSON.stringify([sizeKey]),
    recipe: JSON.stringify(recipe),
    recipeId: '',
    pair: '',
  };
};

/** Brings a file as the master of work 1; answers with the status. */
export async function upload(server: StudioServer, path: string): Promise<number> {
  const url = `${server.url}/api/masters?work=1&name=${basename(path)}`;
  return (await fetch(url, { method: 'PUT', body: readFileSync(path) })).status;
}

/** Orders a print file of work 1 and waits until it is written and checked. */
export async function printFile(server: StudioServer, sizeKey: string): Promise<void> {
  const order = printOrder(1, sizeKey);
  const asked = await server.action<number[]>(
    '/works/1/prepare',
    PREPARE,
    'orderPrintFiles',
    order,
  );
  expect(asked).toMatchObject({ ok: true });
  await expect
    .poll(async () => (await server.rows('SELECT count(*) AS n FROM print_file'))[0]!.n, {
      timeout: 240_000,
    })
    .toBe(1);
}

/** Counts, weighs, seals and ships one order of work 1. */
export async function packOrder(server: StudioServer, order: string): Promise<void> {
  const step = async (name: string, typed: Record<string, string> = {}) =>
    expect(
      await server.action('/works/1/pack', PACK, name, { order, ...typed }),
    ).toMatchObject({ ok: true });
  for (const count of ['first', 'second'])
    for (const line of PICK_LINES) await step('tickLine', { line, count, on: 'yes' });
  await step('weigh', { grams: '' });
  await step('seal', { carrier: 'Lantern Post', service: 'flat, tracked' });
  await step('ship');
}
