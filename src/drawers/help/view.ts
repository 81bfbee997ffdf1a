import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { CHAPTERS, chapterOf } from './chapters';

/** A chapter of the help, as it lies in `docs`; null where there is none of that name. */
export async function loadHelp(id: string) {
  const chapter = chapterOf(id);
  if (!chapter) return null;
  const root = process.env.GLASSINE_ROOT ?? process.cwd();
  const text = await readFile(
    join(/* turbopackIgnore: true */ root, 'docs', chapter.file),
    'utf8',
  );
  return { chapter, parts: CHAPTERS, text };
}

export type HelpView = NonNullable<Awaited<ReturnType<typeof loadHelp>>>;
