import { colourDifference } from '@/core/colour';
import { seenGrade } from '@/core/proof';
import type { PlacedPhotograph, Proof, Reading } from '@/data';
import { getMaster } from '@/data';
import type { SeenPicture } from '@/engine';
import { photographedOrGone, studio } from '@/studio';
import type { ToldByPhotograph } from '@/studio';
import { basisWords } from '@/studio/words/photographWords';

/** A photograph of a round, as it is listed. */
export interface ListedPhotograph {
  id: number;
  name: string;
  at: string;
}

/** A map of how much each part of a picture differs: grades as of `seenGrade`, -1 where nothing is told. */
export interface DifferenceGrades {
  columns: number;
  rows: number;
  grades: number[];
}

/** What lies in a photograph, and what that says. */
export interface PhotographView extends ListedPhotograph {
  width: number;
  height: number;
  /** The picture that it is held against. */
  master: { preview: string; width: number; height: number } | null;
  placing: Pick<
    PlacedPhotograph['placing'],
    'proof' | 'original' | 'proofAt' | 'card' | 'byHand'
  >;
  /** How well it lies there; null: its file, or the master, is gone. */
  seen: Pick<SeenPicture, 'parts' | 'same' | 'alike' | 'off' | 'mostOff'> | null;
  /** Null: nothing can be told. */
  said:
    | (Pick<ToldByPhotograph, 'drift' | 'change'> & {
        white: ToldByPhotograph['regions']['white'];
        falloff: number;
        basis: string;
        map: DifferenceGrades;
      })
    | null;
}

/** Parts along each side that are drawn as one. */
const DRAWN = 2;

function gradesOf({ regions }: ToldByPhotograph): DifferenceGrades {
  const [columns, rows] = [regions.columns, regions.rows].map((n) => Math.ceil(n / DRAWN));
  const sums = new Float64Array(columns! * rows!);
  const counts = new Float64Array(columns! * rows!);
  for (const { column, row, master, printed } of regions.regions) {
    const at = Math.floor(row / DRAWN) * columns! + Math.floor(column / DRAWN);
    sums[at]! += colourDifference(master, printed);
    counts[at]! += 1;
  }
  const grades = Array.from(sums, (sum, i) =>
    counts[i] === 0 ? -1 : seenGrade(sum / counts[i]!),
  );
  return { columns: columns!, rows: rows!, grades };
}

/** The photographs of a round, and what the one that is looked at says. */
export async function photographedOf(
  db: Reading,
  round: Proof | null,
  photographs: readonly PlacedPhotograph[],
  asked: number,
): Promise<{
  photographs: ListedPhotograph[];
  photograph: PhotographView | null;
  photographable: boolean;
}> {
  const own = photographs.filter((p) => p.roundId === round?.id);
  const listed = own.map(({ id, name, at }) => ({ id, name, at }));
  const master = round?.masterId ? await getMaster(db, round.masterId) : undefined;
  const picked = own.find((p) => p.id === asked) ?? own[0];
  if (!round || !picked)
    return { photographs: listed, photograph: null, photographable: Boolean(master) };
  const { id, name, at, width, height, placing } = picked;
  const found = await photographedOrGone(await studio(), db, round, picked);
  const told = found?.told ?? null;
  return {
    photographs: listed,
    photographable: Boolean(master),
    photograph: {
      id,
      name,
      at,
      width,
      height,
      master: master
        ? {
            preview: `/api/previews/${master.picture}`,
            width: master.facts.width,
            height: master.facts.height,
          }
        : null,
      placing: {
        // Where the light fits best, near to where it was placed.
        proof: found?.seen.proof.corners ?? placing.proof,
        original: found?.seen.original?.corners ?? placing.original,
        proofAt: placing.proofAt,
        card: placing.card,
        byHand: placing.byHand,
      },
      seen: found && found.seen.proof,
      said: told && {
        drift: told.drift,
        change: told.change,
        white: told.regions.white,
        falloff: told.regions.falloff,
        basis: basisWords(told.regions.white),
        map: gradesOf(told),
      },
    },
  };
}
