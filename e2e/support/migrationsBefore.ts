import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

interface Journal {
  entries: { tag: string }[];
}

/** Runs something with the migrations as they were before one of them; `folder` holds a copy. */
export async function migrationsBefore<T>(
  tag: string,
  folder: string,
  run: () => Promise<T>,
): Promise<T> {
  cpSync('drizzle', folder, { recursive: true });
  const path = join(folder, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(path, 'utf8')) as Journal;
  const place = journal.entries.findIndex((e) => e.tag === tag);
  if (place <= 0) throw new Error(`there is no migration ${tag} with others before it`);
  const entries = journal.entries.slice(0, place);
  writeFileSync(path, JSON.stringify({ ...journal, entries }));
  process.env.GLASSINE_MIGRATIONS = folder;
  try {
    return await run();
  } finally {
    delete process.env.GLASSINE_MIGRATIONS;
  }
}
