import type { Corners } from '@/core/capture/geometry';
import { isSeen } from '@/core/proof';
import type { Side } from '@/core/proof';
import { fileFaultWords } from '@/studio/reads/inspectFiles';
import { NotThatPicture, comparePhotographFile } from '@/studio/reads/photographFiles';
import { Stop, said, saying } from './command';
import type { Command, Flags } from './command';

const HOW_CORNERS = 'eight numbers, x,y of top left, top right, bottom right, bottom left';

/** Numbers as they are typed into a flag, apart by commas. */
function numbersOf(typed: string, count: number, what: string): number[] {
  const numbers = typed.split(',').map((v) => v.trim());
  if (numbers.length !== count || numbers.some((v) => !/^-?\d+(\.\d+)?$/.test(v)))
    throw new Stop(`“${typed}” is not ${what}.`);
  return numbers.map(Number);
}

function cornersOf(flag: Flags[string]): Corners | null {
  if (typeof flag !== 'string') return null;
  const n = numbersOf(flag, 8, HOW_CORNERS);
  const corners = [0, 2, 4, 6].map((i) => ({ x: n[i]!, y: n[i + 1]! })) as Corners;
  if (!isSeen(corners))
    throw new Stop(`“${flag}” are not four corners of a picture: ${HOW_CORNERS}.`);
  return corners;
}

function cardOf(flag: Flags[string]) {
  if (typeof flag !== 'string') return null;
  const what = 'x,y of a grey card and the part of the light it throws back, 0 to 1';
  const [x, y, reflectance] = numbersOf(flag, 3, what) as [number, number, number];
  if (reflectance <= 0.01 || reflectance > 1) throw new Stop(`“${flag}” is not ${what}.`);
  return { x, y, reflectance };
}

function sideOf(flag: Flags[string]): Side {
  if (flag === undefined || flag === 'right') return 'right';
  if (flag === 'left') return 'left';
  throw new Stop(`“${String(flag)}”: the proof lies left or right.`);
}

export const proofCompare: Command = {
  name: 'proof-compare',
  takes: 'MASTER PHOTO',
  does: 'holds a photograph or scan of a print against the picture: one JSON object',
  flags: {
    corners: { type: 'string', does: `corners placed by hand: ${HOW_CORNERS}` },
    proof: { type: 'string', does: 'left or right, where it lies beside the original' },
    grey: { type: 'string', does: 'a grey card: x,y,reflectance, such as 310,220,0.18' },
    json: { type: 'boolean', does: 'one JSON object (always so)' },
  },
  words: [2, 2],
  async run([master, photo], flags) {
    const given = {
      corners: cornersOf(flags.corners),
      proofAt: sideOf(flags.proof),
      card: cardOf(flags.grey),
    };
    const never = new AbortController().signal;
    let file = photo!;
    try {
      const report = await comparePhotographFile(
        master!,
        photo!,
        given,
        saying(`${photo!}: `),
        never,
        (path) => (file = path),
      );
      said();
      console.log(JSON.stringify(report));
    } catch (error) {
      said();
      if (error instanceof NotThatPicture) {
        console.log(JSON.stringify({ code: error.code, error: error.message }));
        throw new Stop(error.message);
      }
      throw new Stop(fileFaultWords(file, error));
    }
  },
};
