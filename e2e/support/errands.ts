import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { expect } from '@playwright/test';
import { plainRecipe } from '@/core/prepare';
import type { StudioServer } from './studioServer';

export const PACK = 'src/drawers/orders/bench/parcelActions.ts';
export const PREPARE = 'src/stations/prepare/actions.ts';

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

/** Counts, weighs, seals and ships the one parcel of an order of work 1, with one line sent flat. */
export async function packOrder(server: StudioServer, order: string): Promise<void> {
  const { parcel, line } = await parcelOf(server, order);
  const step = async (name: string, typed: Record<string, string> = {}) => {
    const sent = { order, parcel: String(parcel), ...typed };
    expect(await server.action(`/orders/${order}`, PACK, name, sent)).toMatchObject({
      ok: true,
    });
  };
  for (const count of ['first', 'second'])
    for (const part of await flatParts(server, line))
      await step('tickPart', { part, count, on: 'yes' });
  await step('weigh', { grams: '' });
  await step('seal', { carrier: 'Lantern Post', service: 'flat, tracked', cost: '500' });
  await step('ship');
}

/** Keys of the parts of one 30 x 40 cm print sent flat, out of the usual material. */
export async function flatParts(server: StudioServer, line: number): Promise<string[]> {
  const rows = await server.rows<{ kind: string; id: number }>(
    "SELECT kind, id FROM material WHERE name LIKE '% 30.5 × 40.5 cm' OR name LIKE '% 30.6 × 40.6 cm' OR name LIKE '% 32 × 43 cm'",
  );
  const of = (kind: string) => rows.find((r) => r.kind === kind)!.id;
  return [
    `print:${line}`,
    `sleeve:${line}:${of('sleeve')}`,
    `board:${of('board')}`,
    `mailer:${of('mailer')}`,
    `certificate:${line}`,
    'note',
  ];
}

/** The first parcel of an order, and its first line. */
export async function parcelOf(
  server: StudioServer,
  order: string,
): Promise<{ parcel: number; line: number }> {
  const [row] = await server.rows<{ parcel: number; line: number }>(
    `SELECT p.id AS parcel, l.id AS line FROM orders o JOIN parcel p ON p.order_id = o.id
     JOIN order_line l ON l.order_id = o.id WHERE o.number = '${order}'`,
  );
  return row!;
}
