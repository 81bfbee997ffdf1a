import type { NotedStation } from '@/core/paper';
import { addPaperNote } from '@/data';
import type { Studio } from '@/studio/open/open';
import { daysAgo } from './tradeSteps';

/** What was heard and tried of papers: its place among them, station, days ago, for what, what was printed, how it came out. */
const NOTED: readonly (readonly [number, NotedStation, number, string, string, string])[] =
  [
    [5, 'heard', 310, '', '', 'At the Saltreach print fair.'],
    [5, 'asked', 302, '', '', ''],
    [
      5,
      'tried',
      288,
      'photographs',
      'Causeway, Fog Lifting, and Feather Weed',
      'Sharp, but its shine lies on the fog like a lid.',
    ],
    [
      3,
      'tried',
      330,
      'ink drawings, watercolours',
      'Coiled Lines, A4',
      'Washes glow; lines under 0.2 mm drown in the tooth.',
    ],
    [
      0,
      'tried',
      341,
      'watercolours, gouache',
      'a strip of five colour fields',
      'Flat and quiet; blacks a little grey. The one to begin with.',
    ],
    [1, 'tried', 325, 'photographs', 'The Buoy Yard, A4', 'The deepest black of all.'],
  ];

/** The lives of papers before they lay in stock. */
export async function paperLives(open: Studio, papers: readonly number[]): Promise<void> {
  await open.db.write(async (tx) => {
    for (const [place, station, days, triedFor, printed, words] of NOTED) {
      const at = daysAgo(days, 15);
      await addPaperNote(tx, {
        paperId: papers[place]!,
        station,
        triedFor,
        printed,
        setting: '',
        words,
        photograph: null,
        day: at.slice(0, 10),
        at,
      });
    }
  });
}
