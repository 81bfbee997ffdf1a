'use server';
import { access, constants, mkdir } from 'node:fs/promises';
import { isAbsolute, join } from 'node:path';
import { saveSettings } from '@/data';
import { act, backupFolder, backupName, refuse, startJob } from '@/studio';
import type { Answer } from '@/core/input';
import { defineForm } from '@/core/input';
import { placeForm } from './placeForm';

const nothing = defineForm({});

/** Makes the folder where it is not there yet; answers in words why it cannot be used. */
async function unusable(folder: string): Promise<string | null> {
  try {
    await mkdir(folder, { recursive: true });
    await access(folder, constants.W_OK);
    return null;
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return `Backups go to: ${folder} cannot be written to (${code}). Connect the disk, or name another folder.`;
  }
}

/** Starts a backup of everything into the backup folder. */
export async function makeBackup(): Promise<Answer<number>> {
  return act(nothing, {}, {}, async (_, { studio, at }) => {
    const folder = await backupFolder(studio);
    const problem = await unusable(folder);
    if (problem) return refuse(problem);
    const spec = { target: join(folder, backupName(at)), made: at };
    return (await startJob(studio, { kind: 'backup', workId: null, spec, at })).id;
  });
}

/** Starts the check of every stored file and of the ledger. */
export async function checkStore(): Promise<Answer<number>> {
  return act(nothing, {}, {}, async (_, { studio, at }) => {
    const job = await startJob(studio, { kind: 'check', workId: null, spec: {}, at });
    return job.id;
  });
}

/** Sets the folder that backups go to; empty for one beside the data. */
export async function setBackupFolder(typed: unknown): Promise<Answer<null>> {
  return act(placeForm, typed, {}, async ({ folder }, { write }) => {
    if (folder !== '' && !isAbsolute(folder)) {
      const message = `Backups go to: “${folder}” is not a full path. Give it from the root, such as /media/disk/glassine.`;
      return refuse(message, { folder: message });
    }
    const problem = folder === '' ? null : await unusable(folder);
    if (problem) return refuse(problem, { folder: problem });
    await write((tx) => saveSettings(tx, { backupFolder: folder }));
    return null;
  });
}
