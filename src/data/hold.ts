import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import type { Transaction } from '@libsql/client';
import type { Role } from './schema';

/** A process that holds a folder. */
export interface Holder {
  pid: number;
  host: string;
  /** ISO 8601 instant. */
  since: string;
}

/** What somebody holds of a folder: the place of the server or of the command, or a restore into it. */
export type Held = Role | 'restore';

/** Thrown where another process holds a folder; `holder` is null where it left no word. */
export class FolderHeld extends Error {
  constructor(
    readonly home: string,
    readonly holder: Holder | null,
  ) {
    super(
      `${home} is in use by ${holder ? `process ${holder.pid} on ${holder.host}, since ${holder.since}` : 'another process'}`,
    );
  }
}

const held = globalThis as { glassineHeld?: Map<string, Transaction> };
/** What this process holds; once, however often this file is loaded into it. */
const ours = (): Map<string, Transaction> =>
  (held.glassineHeld ??= new Map<string, Transaction>());

const running = (home: string) => join(home, 'running');

const holderOf = (home: string, what: Held): Holder | null => {
  try {
    return JSON.parse(readFileSync(join(running(home), `${what}.json`), 'utf8')) as Holder;
  } catch {
    return null;
  }
};

/** The lock itself: a write that is begun and not ended. The system lifts it when the process dies. */
async function lock(home: string, what: Held): Promise<Transaction | null> {
  const client = createClient({
    url: `file:${join(running(home), `${what}.lock`)}`,
    timeout: 0,
  });
  try {
    return await client.transaction('write');
  } catch (error) {
    client.close();
    if (!(error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw error;
    return null;
  }
}

/**
 * Holds a folder until this process ends, however it ends: whoever else asks for the same is
 * told who has it. Asked again by the same process, it holds it already. Throws FolderHeld.
 */
export async function holdFolder(home: string, what: Held, at: string): Promise<void> {
  const key = `${what} ${home}`;
  if (ours().has(key)) return;
  mkdirSync(running(home), { recursive: true });
  const taken = await lock(home, what);
  if (!taken) throw new FolderHeld(home, holderOf(home, what));
  ours().set(key, taken);
  const holder: Holder = { pid: process.pid, host: hostname(), since: at };
  writeFileSync(join(running(home), `${what}.json`), JSON.stringify(holder));
}

/** Lets a folder go again. */
export function letGo(home: string, what: Held): void {
  const key = `${what} ${home}`;
  ours().get(key)?.close();
  ours().delete(key);
}

/** The process that holds a folder now, this one or another; null when none does. */
export async function whoHolds(home: string, what: Held): Promise<Holder | null> {
  mkdirSync(running(home), { recursive: true });
  const free = ours().has(`${what} ${home}`) ? null : await lock(home, what);
  free?.close();
  return free ? null : holderOf(home, what);
}
