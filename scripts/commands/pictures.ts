import { createReadStream } from 'node:fs';
import { basename } from 'node:path';
import { IN_ADDRESSES, length, readField } from '@/core/input';
import { bringWork } from '@/studio/bring/bringWork';
import { ruleReports } from '@/studio/pixels/ruleChange';
import { filesIn, inspectFile } from '@/studio/reads/inspectFiles';
import { Stop, existing, said, saying } from './command';
import type { Command } from './command';

const found = async (words: string[]): Promise<string[]> => {
  const files = await filesIn(words);
  if (files.length === 0) throw new Stop('There is no TIFF, JPEG or PNG there.');
  return files;
};

/** An answer that programs read, one JSON object a line; without it the same is said. */
const JSON_FLAG = {
  json: { type: 'boolean', does: 'one JSON object a line (always so)' },
} as const;

export const inspect: Command = {
  name: 'inspect',
  takes: 'PATH ...',
  does: 'reads masters, or all in a folder: one JSON object a line',
  flags: JSON_FLAG,
  words: [1, Infinity],
  async run(words) {
    const never = new AbortController().signal;
    for (const file of await found(words)) {
      const report = await inspectFile(file, saying(`${file}: `), never);
      said();
      if ('error' in report) process.exitCode = 1;
      console.log(JSON.stringify(report));
    }
  },
};

export const rules: Command = {
  name: 'rules',
  takes: '',
  does: 'how far the newest print files of an earlier rule of recipes are from the same by the rule of now: one JSON object a line',
  flags: JSON_FLAG,
  words: [0, 0],
  async run(_words, flags) {
    const open = await existing(flags, false);
    const never = new AbortController().signal;
    for await (const report of ruleReports(open, never))
      console.log(JSON.stringify(report));
  },
};

const wide = length('--width', { above: 0, max: 20_000 });

export const intake: Command = {
  name: 'intake',
  takes: 'PATH ...',
  does: 'takes pictures, or all in a folder, in as masters of new works: one JSON object a line',
  flags: {
    width: {
      type: 'string',
      does: 'how wide the originals are, such as 30cm or 12in, where the files do not say',
    },
  },
  words: [1, Infinity],
  async run(words, flags) {
    const given =
      typeof flags.width === 'string' ? readField(wide, flags.width, IN_ADDRESSES) : null;
    if (given && !given.ok) throw new Stop(given.fault);
    const files = await found(words);
    const open = await existing(flags, true);
    for (const file of files) {
      const brought = await bringWork(basename(file), createReadStream(file), {
        width: given?.value ?? null,
      });
      if (!brought.ok) process.exitCode = 1;
      console.log(
        JSON.stringify(
          brought.ok
            ? { file, work: Number(/\d+/.exec(brought.href)?.[0]), said: brought.words }
            : { file, error: brought.message },
        ),
      );
    }
    // What follows a master, its tiles and its reading, is done before the command ends.
    await new Promise<void>((done) => {
      const left = () => open.jobs.list().length === 0 && done();
      open.jobs.follow(() => void left());
      left();
    });
  },
};
