import { currentMaster, getWork } from '@/data';
import { refuse } from '@/studio';
import type { ActionTools } from '@/studio';

/** The work and its master, or why nothing can be written from them. */
export async function sourceOf(workId: number, { studio }: Pick<ActionTools, 'studio'>) {
  const db = studio.db.read;
  const [work, master] = await Promise.all([
    getWork(db, workId),
    currentMaster(db, workId),
  ]);
  if (!work || !master)
    return refuse('There is no master to print from. Bring the file at Capture.');
  if (master.facts.iccDescription === null && master.assumedSpace === null)
    return refuse(
      'The master carries no colour profile. Say at Capture which space it was saved in; colours are never guessed.',
    );
  return { work, master };
}
