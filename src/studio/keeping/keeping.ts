import { rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { isNamed } from '@/data';
import { keep, receive, storePaths } from '@/engine';
import type { Received } from '@/engine';
import { oneAtATime } from '../running/oneAtATime';
import type { Studio } from '../running/studio';

/** How many writes are under way that will name a stored file, by its hash. */
const awaited = new Map<string, number>();

/** Puts files into the store for the rows that are about to name them. */
export interface Keeper {
  keep: (received: Received) => Promise<void>;
  /** The same for what was made in memory; answers its hash. */
  keepBytes: (bytes: Uint8Array) => Promise<string>;
}

/** Takes a stored file away that no row names and no write is about to name. */
export const dropUnnamed = ({ home, db }: Studio, sha256: string): Promise<void> =>
  oneAtATime(sha256, async () => {
    if (awaited.has(sha256) || (await isNamed(db.read, sha256))) return;
    await rm(storePaths(home).file(sha256), { force: true });
  });

/**
 * Runs work that keeps files and then writes down what they are. Where it throws, what it kept
 * is taken away again, unless a row names it or other work is about to.
 */
export async function keeping<T>(
  open: Studio,
  work: (keeper: Keeper) => Promise<T>,
): Promise<T> {
  const kept: string[] = [];
  const keepOne = (received: Received) =>
    oneAtATime(received.sha256, async () => {
      const { sha256 } = received;
      awaited.set(sha256, (awaited.get(sha256) ?? 0) + 1);
      kept.push(sha256);
      await keep(open.home, received);
    });
  const keepBytes = async (bytes: Uint8Array) => {
    const received = await receive(open.home, Readable.from([bytes]), {
      mostBytes: Infinity,
    });
    await keepOne(received);
    return received.sha256;
  };
  let written = false;
  try {
    const answer = await work({ keep: keepOne, keepBytes });
    written = true;
    return answer;
  } finally {
    for (const sha256 of kept) {
      const others = awaited.get(sha256)! - 1;
      if (others > 0) awaited.set(sha256, others);
      else awaited.delete(sha256);
      // What cannot be taken away now is found at a start.
      if (!written) await dropUnnamed(open, sha256).catch(() => undefined);
    }
  }
}
