import { impressionLabel, nextLabel, usualArtistsProofs } from '@/core/edition';
import { signPlan } from '@/core/size';
import {
  editionFor,
  editionsOf,
  printsOut,
  readLog,
  signatureOf,
  waitingPieces,
  wasOverruled,
} from '@/data';
import { loadWorkPage, logContext, offeredRungs, paperOfSize } from '@/studio';
import { referenceOf, sayLogLine } from '@/studio';

/** The edition station: what was declared, which numbers are out, and the next. */
export async function loadEdition(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  const edition = picked ? await editionFor(db, work.id, picked.key) : null;
  const reference = picked ? await referenceOf(db, work.id, { sizeKey: picked.key }) : null;
  const overruled =
    edition && picked && reference && reference.why !== ''
      ? await wasOverruled(db, {
          editionId: edition.id,
          sizeKey: picked.key,
          why: reference.why,
        })
      : false;
  const [all, signature] = await Promise.all([
    editionsOf(db, work.id),
    signatureOf(db, work.id),
  ]);
  const asked = edition?.impressions.find(
    (i) => `${i.series}:${i.number}` === query.impression,
  );
  const story =
    edition && asked
      ? await readLog(
          db,
          { editionId: edition.id, series: asked.series, impression: asked.number },
          60,
        )
      : [];
  const context = story.length > 0 ? await logContext(db, story) : null;
  const waiting = picked
    ? await waitingPieces(db, { workId: work.id, sizeKey: picked.key })
    : [];
  return {
    work,
    preview: page.master?.preview ?? null,
    offered,
    picked,
    signPlan: picked && signPlan(picked.judgement.roomToSign, signature?.present ?? null),
    edition: edition && {
      ...edition,
      impressions: edition.impressions.map((i) => ({
        ...i,
        label: impressionLabel(edition.declaration, i.series, i.number),
      })),
    },
    /** Numbers of this edition that are out on consignment, with whom. */
    out: edition
      ? (await printsOut(db, { workId: work.id, limit: 1000 })).filter(
          (o) => o.editionId === edition.id,
        )
      : [],
    editionKeys: all.map((e) => e.sizeKey),
    next: edition && nextLabel(edition.declaration, edition.impressions, 'number'),
    reference,
    /** The paper that is signed: of prints that wait, else of the proof that holds. */
    signedOn: await paperOfSize(db, waiting, reference),
    overruled,
    /** Prints of this size that were cut from a sheet and have no number yet, the oldest first. */
    waiting,
    usualProofs: usualArtistsProofs(30),
    asked: asked
      ? {
          ...asked,
          label: edition
            ? impressionLabel(edition.declaration, asked.series, asked.number)
            : '',
        }
      : null,
    story: context ? story.map((line) => sayLogLine(line, context)).reverse() : [],
  };
}

export type EditionView = Awaited<ReturnType<typeof loadEdition>>;
