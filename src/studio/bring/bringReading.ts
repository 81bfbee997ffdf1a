import { readFile } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { namedAsStrip, readAgainstPaper } from '@/core/proof';
import type { PatchReading } from '@/core/proof';
import { addProofReading, proofsOf } from '@/data';
import type { Proof } from '@/data';
import { stripOfRound } from '../reads/measuredProof';
import { patchesIn } from '../reads/stripFiles';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';
import { no, receiveFile } from '../wayIn/received';
import type { IntakeAnswer } from '../wayIn/received';
import { rowId } from '../wayIn/rowId';
import { stripFaultWords } from '../words/stripWords';

/** Readings are some kilobytes; spectra of a large chart some megabytes. */
const MOST_BYTES = 8_000_000;

/** What is said where a strip is to be read that was never printed. */
export const NO_STRIP =
  'There is no control strip on what was sent. Send a proof sheet with one on it (Prepare, Proof sheet).';

/** A round of a work by their numbers; undefined where there is none. */
export const roundOf = async (
  open: Studio,
  workId: number,
  roundId: number,
): Promise<Proof | undefined> =>
  (await proofsOf(open.db.read, workId)).find((p) => p.id === roundId);

/** Keeps what was read of a round's strip; a sentence where it is no reading of it. */
export async function keepReading(
  open: Studio,
  round: Proof,
  { patches, source, name }: { patches: PatchReading[]; source: string; name: string },
): Promise<string | null> {
  const strip = await stripOfRound(open.db.read, round);
  if (!strip) return NO_STRIP;
  const read = readAgainstPaper(strip, patches);
  if ('code' in read) return stripFaultWords(name, read);
  const at = now();
  const named = namedAsStrip(strip, patches);
  await open.db.write((tx) => addProofReading(tx, { patches: named, source, at }, round));
  return null;
}

/** Takes the readings of a round's strip from a CGATS file. */
export const receiveReading = (
  work: string,
  round: string,
  givenName: string,
  source: Readable,
): Promise<IntakeAnswer> =>
  receiveFile(
    givenName,
    source,
    { mostBytes: MOST_BYTES },
    async ({ open, name, received }) => {
      const of = await roundOf(open, rowId(work), rowId(round));
      if (!of) return no('This round is not there. Open the proof station anew.');
      const patches = patchesIn(await readFile(received.path, 'utf8'), name);
      if (typeof patches === 'string') return no(patches);
      const fault = await keepReading(open, of, { patches, source: name, name });
      return fault ? no(fault) : { ok: true, name };
    },
  );
