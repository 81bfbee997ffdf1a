'use server';
import { saveSettings } from '@/data';
import {
  act,
  backupFolder,
  dropAllUnnamed,
  folderFault,
  refuse,
  startBackup,
  startJob,
} from '@/studio';
import type { Answer } from '@/core/input';
import { defineForm } from '@/core/input';
import { placeForm } from './placeForm';

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
  return act(placeForm, typed, {}, async ({ folder }, { studio, write }) => {
    const problem = folder === '' ? null : await placeFault(studio.home, folder);
    if (problem) return refuse(problem, { folder: problem });
    await write((tx) => saveSettings(tx, { backupFolder: folder }));
    return null;
  });
}
