'use server';
import { impressionLabel, nextLabel } from '@/core/edition';
import {
  Refused,
  addPieceFate,
  assignNumber,
  declareEdition,
  getEdition,
  sizeStands,
  spoilImpression,
  tell,
  waitingPiece,
  wasOverruled,
} from '@/data';
import { act, ledgerSaid, referenceOf, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { assignForm, declareForm, spoilForm, spoiledPieceForm } from './editionForms';
import { EDITION_WORDS, movedOnWords } from './words';

/** Declares an edition; writes the first entry of its ledger. */
export async function declare(typed: unknown): Promise<Answer<null>> {
  const result = await act(declareForm, typed, EDITION_WORDS, async (v, { write, at }) => {
    const { workId, sizeKey, kind, scope, size, artistsProofs } = v;
    return write(async (tx) => {
      // A size is one that the work was offered at, whatever a page says.
      if (!(await sizeStands(tx, workId, sizeKey))) return refuse(EDITION_WORDS.noSize!);
      await declareEdition(tx, {
        workId,
        sizeKey: scope === 'allSizes' ? 'all' : sizeKey,
        declaration: { kind, scope, size: kind === 'open' ? 0 : size, artistsProofs },
        at,
      });
      return null;
    });
  });
  const aboutSize = [EDITION_WORDS.sizeZero, EDITION_WORDS.enlarged];
  return !result.ok && aboutSize.includes(result.message)
    ? { ...result, fields: { size: result.message } }
    : result;
}

/**
 * Gives out the next free number, or the one asked for; answers with its label. When the page
 * had promised another number than is next by now, none is given and it is said why.
 */
export async function assign(typed: unknown): Promise<Answer<string>> {
  return act(assignForm, typed, EDITION_WORDS, async (v, { write, at }) =>
    write(async (tx) => {
      const { editionId, series, sizeKey, requested, shown } = v;
      const before = shown ? await getEdition(tx, editionId) : null;
      const next = before && nextLabel(before.declaration, before.impressions, series);
      if (before && shown && next !== shown) return refuse(movedOnWords(shown, next));
      const of = before ?? (await getEdition(tx, editionId));
      if (of?.sizeKey === 'all' && !(await sizeStands(tx, of.workId, sizeKey)))
        return refuse(EDITION_WORDS.noSize!);
      const { why } = of ? await referenceOf(tx, of.workId, { sizeKey }) : { why: '' };
      if (of && why !== '' && !(await wasOverruled(tx, { editionId, sizeKey, why }))) {
        if (v.overruled === '') {
          const message = `There is no valid reference: ${why}. Proof it first, or say why it is numbered all the same; that is kept in the log.`;
          return refuse(message, { overruled: message });
        }
        await tell(tx, {
          at,
          what: 'reference.overruled',
          workId: of.workId,
          sizeKey,
          editionId,
          detail: { did: 'Numbered', why, reason: v.overruled },
        });
      }
      const number = await assignNumber(tx, {
        editionId,
        series,
        sizeKey,
        requested: requested ?? undefined,
        pieceId: v.pieceId ?? undefined,
        at,
      });
      const edition = await getEdition(tx, editionId);
      return edition
        ? impressionLabel(edition.declaration, series, number)
        : String(number);
    }),
  );
}

/** Records that a print was spoiled before it had a number; its paper stays taken. */
export async function spoilPiece(typed: unknown): Promise<Answer<null>> {
  return act(
    spoiledPieceForm,
    typed,
    EDITION_WORDS,
    async ({ pieceId, reason }, { write, at }) => {
      await write(async (tx) => {
        const piece = await waitingPiece(tx, pieceId);
        if (!piece) throw new Refused('noPiece');
        await addPieceFate(tx, { pieceId, kind: 'spoiled', seq: null, reason, at });
        await tell(tx, {
          at,
          what: 'print.spoiled',
          workId: piece.workId,
          sizeKey: piece.sizeKey,
          detail: { paper: piece.paper, lot: piece.lot, reason },
        });
      });
      return null;
    },
  );
}

/** Records an impression as spoiled and destroyed. */
export async function spoil(typed: unknown): Promise<Answer<null>> {
  return act(spoilForm, typed, EDITION_WORDS, async (v, { write, at }) => {
    await write((tx) => spoilImpression(tx, { ...v, at }));
    return null;
  });
}

/** Walks the whole ledger; answers in words. */
export async function verifyLedger() {
  return ledgerSaid();
}
