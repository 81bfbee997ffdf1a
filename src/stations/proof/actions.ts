'use server';
import type { Answer } from '@/core/input';
import { dayIn, noonOf } from '@/core/days';
import { changedRecipe, nextRound, verdictFault } from '@/core/proof';
import type { ProposedChange } from '@/core/proof';
import {
  addProofCustomer,
  addProofReturn,
  addProofRound,
  addRecipe,
  errandsOf,
  getPaper,
  getWork,
  proofPhotographsOf,
  proofReadingsOf,
  proofsOf,
  routesNow,
} from '@/data';
import type { Proof } from '@/data';
import { formatOf } from '@/shell/figures/format';
import { instrumentOver } from '@/standins';
import {
  NO_STRIP,
  OWN_PRINTER,
  act,
  isHere,
  keepReading,
  measuredProof,
  orGone,
  photographedOrGone,
  printedBy,
  printedStrip,
  promisedBack,
  refuse,
  roundOf,
  sentFile,
  sizeFault,
  stripOfRound,
} from '@/studio';
import type { Studio } from '@/studio';
import { backForm, changeForm, customerForm, roundForm, sendForm } from './proofForms';
import { changeWords, ruleMovedWords } from './measured/words';

const GONE = 'This round is not there. Open the proof station anew.';

/** Sends the next proof round of a size on a paper, and others along with it. */
export async function sendProof(typed: unknown): Promise<Answer<number>> {
  return act(sendForm, typed, {}, async (v, { studio, settings, write, at, today }) => {
    const { workId, route, setting, intent } = v;
    const routes = await routesNow(studio.db.read);
    const ownPrinter = route === OWN_PRINTER && !routes.some(isHere);
    if (!ownPrinter && !routes.some((r) => r.name === route)) {
      const message = `Printed by: “${route}” is no route. Choose one, or describe it first at Prepare, Hand over.`;
      return refuse(message, { route: message });
    }
    if (v.dueOn && v.dueOn < v.sentOn) {
      const message = 'Back by: lies before the day it was sent. Look at both days.';
      return refuse(message, { dueOn: message });
    }
    const sentAt = v.sentOn === today ? at : noonOf(v.sentOn, settings.timeZone);
    const all = [{ file: v.file, paperId: v.paperId }, ...v.too];
    return write(async (tx) => {
      const errands = await errandsOf(tx, workId);
      let first: number | null = null;
      const sending = all.length > 1 ? at : null;
      for (const { file, paperId } of all) {
        if (!(await getPaper(tx, paperId))) {
          const message =
            'Paper: choose one from the drawer; add it there first if it is new.';
          return refuse(message, { paperId: message });
        }
        const sent = file === '' ? null : await sentFile(tx, workId, file);
        if (file !== '' && !sent) {
          const message =
            'What is sent: that file is not there any more. Choose another; reload to see what there is.';
          return refuse(message, { file: message });
        }
        const sizeKey = sent?.sizeKey ?? v.sizeKey;
        const fault = await sizeFault(tx, workId, sizeKey);
        if (fault) return fault;
        const { round, out } = nextRound(await proofsOf(tx, workId), { paperId, sizeKey });
        if (out)
          return refuse(
            `Round ${out.round} on this paper is still out. Say what was seen on it first.`,
          );
        const by = await printedBy(tx, sent?.recipe ?? null, {
          paperId,
          route,
          setting,
          intent,
        });
        const id = await addProofRound(tx, {
          workId,
          sizeKey,
          paperId,
          round,
          route,
          cost: v.cost,
          currency: settings.currency,
          remarks: v.remarks,
          sentAt,
          printFileId: sent?.printFileId ?? null,
          sheetId: sent?.sheetId ?? null,
          masterId: sent?.masterId ?? null,
          recipe: sent?.recipe ?? null,
          ...by,
          setting,
          inkSet: routes.find((r) => r.name === route)?.inkSet || null,
          lot: v.lot,
          // The answer of who prints it fills what was not typed.
          dueOn: v.dueOn ?? (sent && promisedBack(errands, route, sent.name)),
          sending,
        });
        first ??= id;
      }
      return first!;
    });
  });
}

/** Notes what was seen on a round that came back, and the verdict. */
export async function judgeProof(typed: unknown): Promise<Answer<null>> {
  return act(backForm, typed, {}, async (v, { write, at, today, settings }) => {
    const { workId, roundId, seen, toChange, verdict, byEye, lux, kelvin } = v;
    return write(async (tx) => {
      const round = (await proofsOf(tx, workId)).find((p) => p.id === roundId);
      if (!round) return refuse(GONE);
      if (round.verdict !== null)
        return refuse(
          'This round has been judged already; its verdict stands. Send a further round instead.',
        );
      const sentOn = dayIn(round.sentAt, settings.timeZone);
      if (v.backOn && (v.backOn < sentOn || v.backOn > today)) {
        const message = `Came back on: it was sent on ${sentOn}, and today is ${today}. Take a day between them.`;
        return refuse(message, { backOn: message });
      }
      if (verdictFault({ verdict, toChange })) {
        const message = 'To change: is empty. Say what the next round tries.';
        return refuse(message, { toChange: message });
      }
      const backAt =
        !v.backOn || v.backOn === today ? at : noonOf(v.backOn, settings.timeZone);
      const light = lux === null && kelvin === null ? null : { lux, kelvin };
      const judged = Object.keys(byEye).length > 0 ? byEye : null;
      await addProofReturn(
        tx,
        { roundId, seen, toChange, verdict, backAt, light, byEye: judged },
        round,
      );
      return null;
    });
  });
}

/** Notes what the customer of a print said of its proof. */
export async function noteCustomer(typed: unknown): Promise<Answer<null>> {
  return act(customerForm, typed, {}, async (v, { write, at }) =>
    write(async (tx) => {
      const round = (await proofsOf(tx, v.workId)).find((p) => p.id === v.roundId);
      if (!round) return refuse(GONE);
      const { roundId, sentOn, said } = v;
      const agreed = v.agreed === 'agree';
      await addProofCustomer(tx, { roundId, sentOn, said, agreed, at }, round);
      return null;
    }),
  );
}

/** Has the instrument read the control strip of a round. */
export async function readStrip(typed: unknown): Promise<Answer<null>> {
  return act(roundForm, typed, {}, async ({ workId, roundId }, { studio, at }) => {
    const round = await roundOf(studio, workId, roundId);
    if (!round) return refuse(GONE);
    const strip = await stripOfRound(studio.db.read, round);
    if (!strip) return refuse(NO_STRIP);
    const printed = await orGone(printedStrip(studio, round, strip));
    if (typeof printed === 'string') return refuse(printed);
    const instrument = instrumentOver(printed, {
      paper: round.paperId,
      reading: Date.parse(at),
    });
    const { patches } = await instrument.read(strip.map((p) => p.name));
    const { name } = instrument;
    const fault = await keepReading(studio, round, { patches, source: name, name });
    return fault ? refuse(fault) : null;
  });
}

/** The change that the strip of a round asks for; a sentence where there is none. */
async function changeByStrip(
  studio: Studio,
  round: Proof,
): Promise<ProposedChange | string> {
  const db = studio.db.read;
  const readings = await proofReadingsOf(db, round.workId);
  const reading = readings.find((r) => r.roundId === round.id);
  if (!reading) return 'There is no reading of this round. Have its strip read first.';
  const found = await measuredProof(studio, db, round, reading);
  return found?.change ?? 'The reading is not of this strip any more. Have it read again.';
}

/** The same by a photograph of it. */
async function changeByPhotograph(
  studio: Studio,
  round: Proof,
  photographId: number,
): Promise<ProposedChange | string> {
  const db = studio.db.read;
  const photographs = await proofPhotographsOf(db, round.workId);
  const photograph = photographs.find(
    (p) => p.id === photographId && p.roundId === round.id,
  );
  if (!photograph) return 'This photograph is not there. Open the proof station anew.';
  const found = await photographedOrGone(studio, db, round, photograph);
  return (
    found?.told?.change ??
    'This photograph does not tell enough for a change. Bring one with the white border in sight.'
  );
}

/** Keeps the recipe of the next round: the one of this round with the change that was found for it. */
export async function keepChange(typed: unknown): Promise<Answer<number>> {
  return act(changeForm, typed, {}, async (v, { studio, settings, write, at }) => {
    const { workId, roundId, photographId } = v;
    const db = studio.db.read;
    const [round, work] = await Promise.all([
      roundOf(studio, workId, roundId),
      getWork(db, workId),
    ]);
    if (!round || !work) return refuse(GONE);
    const made = round.recipe;
    if (!made)
      return refuse(
        'This round does not say by which recipe it was made. Send one of a file or a sheet.',
      );
    const change = await orGone(
      photographId === null
        ? changeByStrip(studio, round)
        : changeByPhotograph(studio, round, photographId),
    );
    if (typeof change === 'string') return refuse(change);
    if (change.moved.length === 0)
      return refuse('There is nothing to change: the print is what it can be.');
    const recipe = changedRecipe(made, change.steps);
    const row = await write((tx) =>
      addRecipe(tx, {
        name: `${work.title}, after round ${round.round}`.slice(0, 60),
        recipe,
        remarks: [changeWords(change, formatOf(settings)), ruleMovedWords(made)]
          .join(' ')
          .trim()
          .slice(0, 500),
        fromId: null,
        at,
      }),
    );
    return row.id;
  });
}
