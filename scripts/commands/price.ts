import { BadJob } from '@/studio/reads/jobFile';
import { priceOfFile } from '@/studio/reads/priceFile';
import { Stop, said, saying } from './command';
import type { Command } from './command';

export const price: Command = {
  name: 'price',
  takes: 'JOB.json',
  does: 'who prints it cheapest, how many, what is left on each channel: one JSON object',
  flags: { json: { type: 'boolean', does: 'one JSON object (always so)' } },
  words: [1, 1],
  async run([job]) {
    const say = saying(`${job!}: `);
    try {
      const answer = await priceOfFile(job!, (share) => say('simulated', share));
      said();
      console.log(JSON.stringify(answer));
    } catch (error) {
      said();
      if (error instanceof BadJob) throw new Stop(error.message);
      throw error;
    }
  },
};
