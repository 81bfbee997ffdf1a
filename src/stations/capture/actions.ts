'use server';
import { fitFlatField } from '@/core/capture/evenness';
import type { Derivation } from '@/core/capture/derivation';
import { SPECK_VERDICTS } from '@/core/capture/specks';
import {
  addMaster,
  addPrintWish,
  addSignature,
  addSpeckVerdict,
  boardShotOf,
  currentMaster,
  getDevice,
  masterReading,
} from '@/data';
import type { Master, Writing } from '@/data';
import { act, noteJob, pictureKey, queueJob, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import type { ActionTools } from '@/studio';
import { choice, decimal, defineForm, whole } from '@/core/input';
import { receiveNamedFile } from './intake';
import { namedForm, spaceForm, wishForm } from './wishForm';

const workId = whole('Work', { min: 1 });
const NO_MASTER = 'There is no master to say this of. Bring the file first.';

/** Takes a file named on this machine as the master. */
export async function takeNamedFile(typed: unknown): Promise<Answer<null>> {
  return act(namedForm, typed, {}, async ({ workId, path }) => {
    const answer = await receiveNamedFile(String(workId), path);
    if (answer.ok) return null;
    return refuse(answer.message, { path: answer.message });
  });
}

type Change = Partial<Pick<Master, 'assumedSpace' | 'derivation'>>;

/**
 * Appends a master row that differs from the one inside the write in its space or in what is
 * derived from it, and makes its picture. Null, or why not.
 */
async function changeMaster(
  { studio, write, at }: ActionTools,
  workId: number,
  what: 'master.space' | 'master.derived',
  changeOf: (master: Master, tx: Writing) => Promise<Change | Answer<never>>,
): Promise<null | Answer<never>> {
  const job = await write(async (tx) => {
    const master = await currentMaster(tx, workId);
    if (!master) return refuse(NO_MASTER);
    const change = await changeOf(master, tx);
    if ('ok' in change) return change;
    const { sha256, name, file } = master;
    const { assumedSpace, derivation } = { ...master, ...change };
    const picture = pictureKey(sha256, derivation, assumedSpace);
    const row = { workId, sha256, name, assumedSpace, derivation, picture, at };
    await addMaster(tx, row, file, what);
    const spec = { sha256, assumedSpace, derivation, picture: picture ?? sha256, workId };
    return noteJob(tx, { kind: 'read', workId, spec, at });
  });
  if ('ok' in job) return job;
  void queueJob(studio, job);
  return null;
}

/** A derivation with one part of it changed; null when nothing is left of it. */
function derived(master: Master, change: Partial<Derivation>): Pick<Master, 'derivation'> {
  const next = { corners: null, flatField: null, ...master.derivation, ...change };
  return { derivation: next.corners || next.flatField ? next : null };
}

/** Notes which colour space an untagged master was saved in, and cuts its tiles anew. */
export async function sayColourSpace(typed: unknown): Promise<Answer<null>> {
  return act(spaceForm, typed, {}, ({ workId, space: assumedSpace }, tools) =>
    changeMaster(tools, workId, 'master.space', () => Promise.resolve({ assumedSpace })),
  );
}

const ofWork = defineForm({ workId });

/** Takes the crop that the reading proposes; the file stays as it is. */
export async function acceptCrop(typed: unknown): Promise<Answer<null>> {
  return act(ofWork, typed, {}, ({ workId }, tools) =>
    changeMaster(tools, workId, 'master.derived', async (master, tx) => {
      const corners = (await masterReading(tx, master.sha256))?.geometry.proposal;
      return corners
        ? derived(master, { corners })
        : refuse('No crop is proposed for this master.');
    }),
  );
}

const drop = (typed: unknown, change: Partial<Derivation>): Promise<Answer<null>> =>
  act(ofWork, typed, {}, ({ workId }, tools) =>
    changeMaster(tools, workId, 'master.derived', (master) =>
      Promise.resolve(
        master.derivation ? derived(master, change) : refuse('It was taken back already.'),
      ),
    ),
  );

/** Prints are made from the whole file again. */
export async function dropCrop(typed: unknown): Promise<Answer<null>> {
  return drop(typed, { corners: null });
}

/** The change that divides by the newest board shot; or why there is none. */
async function byBoardShot(master: Master, tx: Writing): Promise<Change | Answer<never>> {
  const shot = await boardShotOf(tx, master.workId);
  if (!shot) return refuse('There is no board shot yet. Bring one first.');
  const proportion = shot.width / shot.height / (master.file.width / master.file.height);
  if (Math.abs(proportion - 1) > 0.02)
    return refuse(
      'The board shot has another proportion than the master: it is not of the same framing. Photograph the board as the work was photographed, uncropped.',
    );
  const light = Float64Array.from(shot.grid.light);
  const fitted = fitFlatField({ ...shot.grid, light });
  if (!fitted.ok)
    return refuse(
      fitted.because === 'dark'
        ? 'The board shot is all but black: there is no light in it to divide by.'
        : 'The board shot is not of a plain board: something else is in it. Photograph the bare board.',
    );
  return derived(master, { flatField: fitted.field });
}

/** Divides by the newest board shot, in linear light. */
export async function acceptFlatField(typed: unknown): Promise<Answer<null>> {
  return act(ofWork, typed, {}, ({ workId }, tools) =>
    changeMaster(tools, workId, 'master.derived', byBoardShot),
  );
}

/** Prints are made in the light as it was again. */
export async function dropFlatField(typed: unknown): Promise<Answer<null>> {
  return drop(typed, { flatField: null });
}

const place = (title: string) => decimal(title, { min: 0, max: 1e6 });
const speck = defineForm({
  workId,
  x: place('Place across'),
  y: place('Place down'),
  diameter: decimal('Diameter', { above: 0, max: 1e4 }),
  verdict: choice('Verdict', SPECK_VERDICTS),
});

/** Notes what a speck is. */
export async function judgeSpeck(typed: unknown): Promise<Answer<null>> {
  return act(speck, typed, {}, async ({ workId, ...said }, { studio, write, at }) => {
    const master = await currentMaster(studio.db.read, workId);
    if (!master) return refuse(NO_MASTER);
    const { sha256 } = master;
    await write((tx) => addSpeckVerdict(tx, { workId, sha256, ...said, at }));
    return null;
  });
}

const signature = defineForm({
  workId,
  present: choice('Signature', ['inPicture', 'absent', 'removed']),
});

/** Notes whether the artist's signature is in the picture. */
export async function noteSignature(typed: unknown): Promise<Answer<null>> {
  return act(signature, typed, {}, async ({ workId, present }, { write, at }) => {
    await write((tx) => addSignature(tx, { workId, present, at }));
    return null;
  });
}

/** Keeps the largest print that is wanted, and with what it is to be captured. */
export async function keepPrintWish(typed: unknown): Promise<Answer<null>> {
  return act(wishForm, typed, {}, async (value, { write, at }) =>
    write(async (tx) => {
      const { deviceId } = value;
      if (deviceId !== null && !(await getDevice(tx, deviceId))) {
        const message = 'Device: it is not on the list any more. Choose another.';
        return refuse(message, { deviceId: message });
      }
      await addPrintWish(tx, { ...value, at });
      return null;
    }),
  );
}
