'use server';
import { dayIn } from '@/core/days';
import { SPACE_IDS } from '@/core/colour';
import { answersErrands } from '@/core/prepare';
import type { TargetId } from '@/core/prepare';
import {
  addArrival,
  addErrandAnswer,
  addRoute,
  getErrand,
  getPrintFile,
  getRoute,
  profilesNow,
} from '@/data';
import { TIDEWRACK } from '@/standins';
import { act, dropFault, refuse, startJob } from '@/studio';
import type { Answer } from '@/core/input';
import { defineForm, json, whole } from '@/core/input';
import { arrivalForm, routeForm } from './prepareForms';

/** Keeps who prints, and what they ask for. */
export async function keepRoute(typed: unknown): Promise<Answer<number>> {
  return act(routeForm, typed, {}, async (v, { studio, write, at }) => {
    const known = new Set<string>([
      ...SPACE_IDS,
      ...(await profilesNow(studio.db.read)).map((p) => `icc:${p.sha256}`),
    ]);
    for (const [field, value] of [
      ['target', v.target],
      ['press', v.press],
    ] as const)
      if (value !== '' && !known.has(value)) {
        const message =
          'Colours: this profile is not in the store any more. Choose another.';
        return refuse(message, { [field]: message });
      }
    const refused = await dropFault(studio.home, v);
    if (refused) return refuse(refused, { folder: refused });
    const wants = {
      leastPpi: v.leastPpi,
      target: v.target as TargetId,
      press: v.press as TargetId | '',
      bits: v.bits === '16' ? (16 as const) : (8 as const),
      format: v.format,
    };
    const { name, kind, folder, inkSet } = v;
    return write((tx) => addRoute(tx, { name, kind, folder, inkSet, wants, at }));
  });
}

/** Notes what came of an errand: when, for how much, how much of it was faulty. */
export async function noteArrival(typed: unknown): Promise<Answer<null>> {
  return act(arrivalForm, typed, {}, async (v, { studio, settings, write, at, today }) => {
    const { errandId, ...came } = v;
    const errand = await getErrand(studio.db.read, errandId);
    if (!errand) return refuse('This errand is not there any more. Open Prepare anew.');
    const refused = (field: string, message: string) =>
      refuse(message, { [field]: message });
    if (came.onDay > today)
      return refused('onDay', 'Here on: it is still to come. Note it once it is here.');
    if (came.onDay < dayIn(errand.at, settings.timeZone))
      return refused('onDay', 'Here on: it is before it was handed over. Look at the day.');
    const printed = errand.manifest.items.reduce((sum, i) => sum + i.quantity, 0);
    if (came.faulty > printed)
      return refused(
        'faulty',
        `Faulty: only ${printed} were ordered. Give so many or fewer.`,
      );
    const { currency } = settings;
    await write((tx) => addArrival(tx, errand, { ...came, currency, at }));
    return null;
  });
}

interface Item {
  printFileId: number;
  paperId: number | null;
  quantity: number;
  remarks: string;
}

const hand = defineForm({
  workId: whole('Work', { min: 1 }),
  routeId: whole('Route', { min: 1 }),
  items: json<Item[]>('Files', {
    type: 'array',
    minItems: 1,
    maxItems: 60,
    items: {
      type: 'object',
      additionalProperties: false,
      required: ['printFileId', 'paperId', 'quantity', 'remarks'],
      properties: {
        printFileId: { type: 'integer' },
        paperId: { anyOf: [{ type: 'integer' }, { type: 'null' }] },
        quantity: { type: 'integer', minimum: 1, maximum: 1000 },
        remarks: { type: 'string', maxLength: 300 },
      },
    },
  }),
});

/** Queues a hand-over: files, checked again while they are copied, and a manifest. */
export async function handOverFiles(typed: unknown): Promise<Answer<number>> {
  return act(hand, typed, {}, async ({ workId, routeId, items }, { studio, at }) => {
    const db = studio.db.read;
    const to = await getRoute(db, routeId);
    if (!to) return refuse('Route: it is not there any more. Choose another.');
    const refused = await dropFault(studio.home, to);
    if (refused) return refuse(refused);
    const names = new Set<string>();
    for (const item of items) {
      const file = await getPrintFile(db, item.printFileId);
      if (!file)
        return refuse('A file of this list is not there any more. Open Hand over anew.');
      const failed = file.checks.filter((c) => !c.passed).length;
      if (failed > 0)
        return refuse(
          `${file.name} did not pass ${failed} of its checks. Write it again before it is handed over.`,
        );
      if (names.has(file.name))
        return refuse(
          `Two of the files are called ${file.name}. Hand them over one after the other, or write one anew under another name.`,
        );
      names.add(file.name);
    }
    const spec = { workId, routeId, items };
    return (await startJob(studio, { kind: 'handOver', workId, spec, at })).id;
  });
}

const ask = defineForm({ errandId: whole('Errand', { min: 1 }) });

/** Asks the lab what became of an errand, and notes the answer. */
export async function askLab(typed: unknown): Promise<Answer<string>> {
  return act(ask, typed, {}, async ({ errandId }, { studio, write, at, today }) => {
    const errand = await getErrand(studio.db.read, errandId);
    if (!errand) return refuse('This errand is not there. Open Hand over anew.');
    const route = await getRoute(studio.db.read, errand.routeId);
    if (!answersErrands(route?.kind ?? null))
      return refuse(
        `${errand.manifest.to} gives no answer by itself. Look at the prints, and note what you saw at Proof.`,
      );
    const answer = await TIDEWRACK.take(errand.folder, today).catch(
      (error: unknown) => (error as NodeJS.ErrnoException).code ?? 'unknown reason',
    );
    if (typeof answer === 'string')
      return refuse(
        `The lab could not read the folder of ${errand.number} (${answer}). Hand the files over again.`,
      );
    const accepted = answer.items.filter((i) => i.accepted).length;
    const said = { accepted, refused: answer.items.length - accepted, stage: answer.stage };
    await write((tx) => addErrandAnswer(tx, errand, answer, said, at));
    return answer.stage;
  });
}
