import { doubledNames } from '@/core/prepare';
import type { Answer } from '@/core/input';
import type { JobRow } from '@/data';
import type { PrintTarget } from '@/engine';
import { refuse } from '../wayIn/action';
import type { ActionTools } from '../wayIn/action';
import { nameOfFile, nameTaken } from './kinds/printFile';
import type { PrintFileOrder } from './kinds/printFile';
import { noteJob, queueJob } from './startJob';

/** A file to be written, and the colours that it is in. */
export interface FileToWrite {
  order: PrintFileOrder;
  into: Pick<PrintTarget, 'name' | 'channels'>;
}

/**
 * Notes the jobs of some files, each with the name that it will carry, in one write; then they
 * run. Answers their numbers, or why not.
 */
export async function orderFiles(
  { studio, write, at }: ActionTools,
  files: readonly FileToWrite[],
): Promise<number[] | Answer<never>> {
  const noted = await write(async (tx) => {
    const jobs: JobRow[] = [];
    const here: string[] = [];
    for (const { order, into } of files) {
      const { taken, ...named } = await nameOfFile(tx, order, into, at);
      if (taken)
        return refuse(
          doubledNames([...here, named.name]).length > 0
            ? `File name: two of these files would both be called ${named.name}. Put {space} or {ppi} into the name, then write them again.`
            : nameTaken(named.name),
        );
      here.push(named.name);
      const { workId } = order;
      const job = { kind: 'printFile', workId, spec: { ...order, named }, at } as const;
      jobs.push(await noteJob(tx, job));
    }
    return jobs;
  });
  if (!Array.isArray(noted)) return noted;
  for (const row of noted) void queueJob(studio, row);
  return noted.map((row) => row.id);
}
