'use server';
import { SPACE_IDS } from '@/core/colour';
import { addMaster, currentMaster } from '@/data';
import { act, noteJob, pictureKey, queueJob, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import { choice, defineInput, text, whole } from '@/studio/input';
import { receiveNamedFile } from './intake';

const named = defineInput({
  workId: whole('Work', { min: 1 }),
  path: text('File on this machine', { max: 4000 }),
});

/** Takes a file named on this machine as the master. */
export async function takeNamedFile(typed: unknown): Promise<ActionResult<null>> {
  return act(named, typed, {}, async ({ workId, path }) => {
    const answer = await receiveNamedFile(String(workId), path);
    if (answer.ok) return null;
    return refuse(answer.message, { path: answer.message });
  });
}

const space = defineInput({
  workId: whole('Work', { min: 1 }),
  space: choice('Colour space', SPACE_IDS),
});

/** Notes which colour space an untagged master was saved in, and cuts its tiles anew. */
export async function sayColourSpace(typed: unknown): Promise<ActionResult<null>> {
  return act(
    space,
    typed,
    {},
    async ({ workId, space: assumedSpace }, { studio, write, at }) => {
      const master = await currentMaster(studio.db.read, workId);
      if (!master)
        return refuse('There is no master to say this of. Bring the file first.');
      const { sha256, name, file, derivation } = master;
      const picture = pictureKey(sha256, derivation, assumedSpace);
      const job = await write(async (tx) => {
        const row = { workId, sha256, name, assumedSpace, derivation, picture, at };
        await addMaster(tx, row, file, 'master.space');
        const spec = { sha256, assumedSpace, derivation, picture: picture ?? sha256, workId };
        return noteJob(tx, { kind: 'read', workId, spec, at });
      });
      void queueJob(studio, job);
      return null;
    },
  );
}
