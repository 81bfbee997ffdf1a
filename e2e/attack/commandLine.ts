import { execFile } from 'node:child_process';

/** Runs the command line on a data folder; answers what it wrote and how it ended. */
export const glassine = (args: string[], home: string) =>
  new Promise<{ code: number; said: string }>((done) =>
    execFile(
      process.execPath,
      ['scripts/bin.mjs', ...args],
      { env: { ...process.env, GLASSINE_AS_BUILT: '1', GLASSINE_HOME: home } },
      (error, out, err) =>
        done({ code: error ? Number(error.code ?? 1) : 0, said: `${out}${err}` }),
    ),
  );
