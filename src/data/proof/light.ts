import { desc } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { lightSetUps } from '../schema';
import { record } from '../log/log';

export type LightRow = typeof lightSetUps.$inferSelect;

/** Keeps how screen and light are set up. */
export async function addLight(tx: Writing, light: Omit<LightRow, 'id'>): Promise<number> {
  const row = await record(tx, lightSetUps, light, {
    at: light.at,
    what: 'light.kept',
    detail: {
      lux: Math.round(light.lux),
      luminance: light.luminance,
      calibratedOn: light.calibratedOn,
    },
  });
  return row.id;
}

/** How screen and light are set up now; undefined where that was never said. */
export const lightNow = async (db: Reading): Promise<LightRow | undefined> =>
  (await db.select().from(lightSetUps).orderBy(desc(lightSetUps.id)).limit(1))[0];
