import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { schemaFaults } from '../wayIn/validate';

/** A sentence instead of an answer. */
export class BadJob extends Error {}

/** Reads a job of the command line and holds it against its schema. Throws BadJob, in words; `doc` names every key. */
export async function readJobFile<T>(
  path: string,
  schema: object,
  doc: string,
): Promise<T> {
  const name = basename(path);
  const text = await readFile(path, 'utf8').catch(() => null);
  if (text === null)
    throw new BadJob(`${path}: there is no such file, or it cannot be read.`);
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch (error) {
    throw new BadJob(`${name}: it is not JSON (${(error as Error).message}).`);
  }
  const [fault] = schemaFaults(schema, read);
  if (fault) throw new BadJob(`${name}: ${fault}. ${doc} names every key.`);
  return read as T;
}
