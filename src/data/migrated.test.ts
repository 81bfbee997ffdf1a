import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { plainLayout } from '@/core/sizing';
import { mm } from '@/core/units';
import { openDatabase } from './database';
import { offeredSizes } from './repositories/sizes';
import { undoStep } from './repositories/undo';

const home = mkdtempSync(join(tmpdir(), 'glassine-old-'));
afterAll(() => rmSync(home, { recursive: true }));

interface Journal {
  entries: { tag: string }[];
}

/** A studio as it was before a migration. */
async function before(tag: string): Promise<void> {
  const folder = join(home, 'migrations');
  cpSync('drizzle', folder, { recursive: true });
  const path = join(folder, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(path, 'utf8')) as Journal;
  const place = journal.entries.findIndex((e) => e.tag === tag);
  expect(place).toBeGreaterThan(0);
  writeFileSync(
    path,
    JSON.stringify({ ...journal, entries: journal.entries.slice(0, place) }),
  );
  process.env.GLASSINE_MIGRATIONS = folder;
  (await openDatabase(home)).close();
  delete process.env.GLASSINE_MIGRATIONS;
}

it('sizes offered with one border and their undo steps are the same sizes after', async () => {
  await before('0009_sizes');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, '${at}');
    INSERT INTO size_event (work_id, size_key, kind, fit, border_mm, reason, at)
      VALUES (1, 'isoA-A3', 'offered', 'fill', 12.5, NULL, '${at}'),
        (1, 'isoA-A2', 'offered', 'within', 25.4, NULL, '${at}');
    INSERT INTO undo_step (at, label, step) VALUES ('${at}', 'withdrawing A4',
      '{"kind":"sizes","workId":1,"before":[{"sizeKey":"isoA-A4","kind":"offered","fit":"cut","border":8}]}');
  `);
  client.close();
  const db = await openDatabase(home);
  await db.write((tx) => undoStep(tx, null, at));
  expect(await offeredSizes(db.read, 1)).toMatchObject([
    { sizeKey: 'isoA-A3', layout: plainLayout('fill', mm(12.5)), judged: null },
    { sizeKey: 'isoA-A2', layout: plainLayout('within', mm(25.4)) },
    { sizeKey: 'isoA-A4', layout: plainLayout('cut', mm(8)) },
  ]);
  // Facts are as safe as before.
  await expect(db.read.run("UPDATE size_event SET reason = 'other'")).rejects.toThrow();
  db.close();
});
