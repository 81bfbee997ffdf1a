import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase } from '../database';
import { readSettings } from '../settings/settings';

const HIRE = {
  feePerWork: 6000,
  equipment: 90000,
  hoursPerWork: 2,
  hourlyRate: 3000,
  works: 20,
};

/** A studio of before: what hiring costs was kept without its currency. */
async function before(kept: Record<string, unknown>): Promise<string> {
  const home = mkdtempSync(join(tmpdir(), 'hire-'));
  const db = await openDatabase(home);
  await db.write(async (tx) => {
    for (const [key, value] of Object.entries(kept))
      await tx.run(
        `INSERT INTO setting (key, value) VALUES ('${key}', '${JSON.stringify(value)}')`,
      );
    await tx.run("DELETE FROM carried WHERE step = 'currency of hire'");
  });
  db.close();
  return home;
}

it.each([
  [{ hire: HIRE, currency: 'CHF' }, 'CHF'],
  [{ hire: HIRE }, 'EUR'],
  [{ hire: { ...HIRE, currency: 'JPY' }, currency: 'CHF' }, 'JPY'],
  [{ currency: 'CHF' }, null],
])(
  '%j: what hiring costs is of %p, whatever the bench is set to later',
  async (kept, said) => {
    const home = await before(kept);
    const db = await openDatabase(home);
    expect((await readSettings(db.read)).hire.currency).toBe(said);
    await db.write(async (tx) => {
      await tx.run(
        "INSERT OR REPLACE INTO setting (key, value) VALUES ('currency', '\"GBP\"')",
      );
    });
    db.close();
    const again = await openDatabase(home);
    expect((await readSettings(again.read)).hire.currency).toBe(said);
    again.close();
    rmSync(home, { recursive: true });
  },
);
