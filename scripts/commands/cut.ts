import { planCutFile } from '@/studio/reads/cutFile';
import { BadJob } from '@/studio/reads/jobFile';
import { Stop, said, saying } from './command';
import type { Command } from './command';

export const cut: Command = {
  name: 'cut',
  takes: 'JOB.json',
  does: 'which pieces are cut from which sheets and rolls, and how: one JSON object',
  flags: {
    svg: { type: 'string', does: 'a folder that each sheet is drawn into, 1 : 1' },
    json: { type: 'boolean', does: 'one JSON object (always so)' },
  },
  words: [1, 1],
  async run([job], { svg }) {
    const say = saying(`${job!}: `);
    try {
      const plan = await planCutFile(job!, typeof svg === 'string' ? svg : null, (share) =>
        say('planned', share),
      );
      said();
      console.log(JSON.stringify(plan));
    } catch (error) {
      said();
      if (error instanceof BadJob) throw new Stop(error.message);
      throw error;
    }
  },
};
