import { inkOfFile } from '@/studio/reads/inkFile';
import { inkOfPictureFile } from '@/studio/reads/inkPictureFile';
import { BadJob } from '@/studio/reads/jobFile';
import { Stop } from './command';
import type { Command } from './command';

const inWords = async (answer: Promise<unknown>): Promise<void> => {
  try {
    console.log(JSON.stringify(await answer));
  } catch (error) {
    if (error instanceof BadJob) throw new Stop(error.message);
    throw error;
  }
};

export const ink: Command = {
  name: 'ink',
  takes: 'JOB.json',
  does: 'what inks are used by, how long they last, what gauges are worth: one JSON object',
  flags: { json: { type: 'boolean', does: 'one JSON object (always so)' } },
  words: [1, 1],
  run: ([job]) => inWords(inkOfFile(job!)),
};

export const inkDemand: Command = {
  name: 'ink-demand',
  takes: 'PICTURE',
  does: 'what a picture takes of each ink when it is printed: one JSON object',
  flags: {
    profile: { type: 'string', does: 'an ICC profile that it is printed through' },
    inks: {
      type: 'string',
      does: 'the inks of the printer, with commas (cyan,lightCyan,grey); else the four',
    },
    json: { type: 'boolean', does: 'one JSON object (always so)' },
  },
  words: [1, 1],
  run: ([picture], { profile, inks }) =>
    inWords(
      inkOfPictureFile(
        picture!,
        typeof profile === 'string' ? profile : null,
        typeof inks === 'string' ? inks : null,
      ),
    ),
};
