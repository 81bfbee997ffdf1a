'use server';
import { readdir } from 'node:fs/promises';
import {
  act,
  backupFolder,
  changeSettings,
  dropAllUnnamed,
  folderFault,
  namedFile,
  refuse,
  startBackup,
  startJob,
} from '@/studio';
import type { Answer } from '@/core/input';
import { defineForm } from '@/core/input';
import { placeForm, restoreForm } from './placeForm';

const nothing = defineForm({});

/** Why backups cannot go to a folder, in a sentence; null when they can. */
async function placeFault(home: string, folder: string): Promise<string | null> {
  const fault = await folderFault(home, folder);
  return fault && `Backups go to: ${fault}`;
}

/** Starts a backup of everything into the backup folder, or joins the one that is under way. */
export async function makeBackup(): Promise<Answer<number>> {
  return act(nothing, {}, {}, async (_, { studio, at }) => {
    const folder = await backupFolder(studio);
    const problem = await placeFault(studio.home, folder);
    return problem ? refuse(problem) : startBackup(studio, folder, at);
  });
}

/** Starts the check of every stored file and of the ledger. */
export async function checkStore(): Promise<Answer<number>> {
  return act(nothing, {}, {}, async (_, { studio, at }) => {
    const job = await startJob(studio, { kind: 'check', workId: null, spec: {}, at });
    return job.id;
  });
}

/** Takes the stored files away that belong to nothing any more; answers how many. */
export async function takeUnnamedAway(): Promise<Answer<number>> {
  return act(nothing, {}, {}, (_, { studio }) => dropAllUnnamed(studio));
}

/** Sets the folder that backups go to; empty for one beside the data. */
export async function setBackupFolder(typed: unknown): Promise<Answer<null>> {
  return act(placeForm, typed, {}, async ({ folder }, tools) => {
    const problem = folder === '' ? null : await placeFault(tools.studio.home, folder);
    if (problem) return refuse(problem, { folder: problem });
    return changeSettings(tools, 'the folder of backups', () => ({ backupFolder: folder }));
  });
}

/** Restores a backup into a new folder beside the studio; answers the number of the job. */
export async function restoreHere(typed: unknown): Promise<Answer<number>> {
  return act(restoreForm, typed, {}, async ({ archive, into }, { studio, at }) => {
    const wrong = (field: 'archive' | 'into', fault: string) => {
      const message = `${restoreForm.titles[field]}: ${fault}`;
      return refuse(message, { [field]: message });
    };
    const found = await namedFile(studio.home, archive);
    if ('fault' in found) return wrong('archive', found.fault);
    const fault = await folderFault(studio.home, into);
    if (fault) return wrong('into', fault);
    if ((await readdir(into)).length > 0)
      return wrong(
        'into',
        `${into} is not empty, and nothing is ever restored over something. Name a new folder.`,
      );
    const spec = { archive, into };
    return (await startJob(studio, { kind: 'restore', workId: null, spec, at })).id;
  });
}
