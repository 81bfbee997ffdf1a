import { execFile } from 'node:child_process';

/** Runs the command line on a data folder; answers what it wrote and how it ended. */
export const glassine = (args: string[], home: string) =>
  new Promise<{ code: number; said: string }>((done) =>
    execFile(
      process.execPath,
      ['--import', 'tsx', 'scripts/glassine.ts', ...args],
      { env: { ...process.env, GLASSINE_HOME: home } },
      (error, out, err) =>
        done({ code: error ? Number(error.code ?? 1) : 0, said: `${out}${err}` }),
    ),
  );
