import { colourDifference } from '@/core/colour';
import { dayIn } from '@/core/days';
import { slug } from '@/core/prepare';
import { readAgainstPaper, writeCgats } from '@/core/proof';
import { getProofReading, getWork, proofsOf, readSettings } from '@/data';
import { csvText } from '@/documents';
import { studio } from '../open/open';
import { rowId } from '../wayIn/rowId';
import { stripOfRound } from './measuredProof';

const encode = (text: string) => new TextEncoder().encode(text);

/** Readings of a round as a file: CGATS text as it was measured, or a table beside the master; null where there are none. */
export async function readingFile(
  id: string,
  form: 'cgats' | 'csv',
): Promise<{ bytes: Uint8Array; type: string; name: string } | null> {
  const open = await studio();
  const db = open.db.read;
  const reading = await getProofReading(db, rowId(id));
  if (!reading) return null;
  const round = (await proofsOf(db, reading.workId)).find((p) => p.id === reading.roundId)!;
  const [work, settings] = await Promise.all([getWork(db, round.workId), readSettings(db)]);
  const day = dayIn(reading.at, settings.timeZone);
  const named = `${slug(work?.title ?? 'proof')}_round-${round.round}_${day}`;
  if (form === 'cgats') {
    const text = writeCgats(reading.patches, { originator: reading.source, created: day });
    return { bytes: encode(text), type: 'text/plain; charset=utf-8', name: `${named}.txt` };
  }
  const strip = (await stripOfRound(db, round)) ?? [];
  const read = readAgainstPaper(strip, reading.patches);
  const over = new Map(
    'code' in read ? [] : read.patches.map((p) => [p.name, p.lab] as const),
  );
  const rounded = (v: number) => Number(v.toFixed(3));
  const rows = strip.map(({ name, kind, lab }) => {
    const found = over.get(name);
    return [
      name,
      kind,
      ...lab.map(rounded),
      ...(found ? found.map(rounded) : [null, null, null]),
      found ? rounded(colourDifference(lab, found)) : null,
    ];
  });
  const heads = ['patch', 'kind', 'L* master', 'a* master', 'b* master'];
  heads.push('L* print over its paper', 'a* print', 'b* print', 'dE00');
  return {
    bytes: encode(csvText([heads, ...rows])),
    type: 'text/csv; charset=utf-8',
    name: `${named}.csv`,
  };
}
