import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { ParseArgsConfig } from 'node:util';
import { FolderHeld } from '@/data';
import { attachStudio, beTheStudio } from '@/studio/open/open';
import type { Studio } from '@/studio/open/open';

/** What ends a command with a sentence instead of a trace. */
export class Stop extends Error {}

export type Flags = Record<string, string | boolean | undefined>;

/** One command: how it is called, what it does, what it takes. */
export interface Command {
  name: string;
  /** What stands behind the name: `FILE.zip FOLDER`. */
  takes: string;
  does: string;
  /** Its flags, with a line for each; beside `--home` and `--help`, which all have. */
  flags?: Record<
    string,
    { does: string } & NonNullable<ParseArgsConfig['options']>[string]
  >;
  /** Words at least and at most. */
  words: readonly [number, number];
  run(words: string[], flags: Flags): Promise<void>;
}

/** The data folder of a command: what was said, else GLASSINE_HOME, else ./var. */
export const homeOf = (flags: Flags): string =>
  resolve(
    typeof flags.home === 'string' ? flags.home : (process.env.GLASSINE_HOME ?? './var'),
  );

/** The studio, beside a server that may be at work in it; one command that `writes` at a time. */
export async function existing(flags: Flags, writes: boolean): Promise<Studio> {
  const home = homeOf(flags);
  if (!existsSync(join(home, 'studio.db')))
    throw new Stop(
      `There is no studio in ${home}. Name its data folder: --home FOLDER, or set GLASSINE_HOME.`,
    );
  const open = await attachStudio(home, writes).catch((error: unknown) => {
    if (!(error instanceof FolderHeld)) throw error;
    throw new Stop(
      `Another command is at work here: ${error.message}. Wait until it has ended.`,
    );
  });
  beTheStudio(open);
  return open;
}

/** Tells how far work is, on a terminal; nothing where the words go into a file. */
export const saying = (what: string) => (stage: string, share: number) => {
  if (process.stderr.isTTY)
    process.stderr.write(`\r${what}${stage} ${Math.round(share * 100)} %      `);
};

/** Takes what was said of progress off the line. */
export const said = (): void => {
  if (process.stderr.isTTY) process.stderr.write('\r');
};
