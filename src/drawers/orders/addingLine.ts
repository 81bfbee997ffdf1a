import { impressionLabel } from '@/core/edition';
import { nominalSize } from '@/core/size';
import type { Minor } from '@/core/units';
import {
  MOST_CHOICES,
  freeImpressions,
  openSizes,
  papersToPrintOn,
  sizesOfWorks,
} from '@/data';
import type { Reading } from '@/data';
import { rowId } from '@/studio';

/** Things offered to a new line at once; more are found by typing. */
const CHOICES = 60;

/** One thing that a line can be of, with its price and paper as far as known. */
export interface Choice {
  key: string;
  label: string;
  sizeKey: string;
  impression: string;
  /** Of one, in the currency of the bench; null where none was kept. */
  price: Minor | null;
  paperId: number | null;
}

/** What a line can be of: numbered impressions that are here, and sizes without a limited edition. */
export async function addingLine(
  db: Reading,
  query: Record<string, string | undefined>,
  currency: string,
) {
  const workId = rowId(query.work ?? '') || undefined;
  const find = (query.item ?? '').trim().slice(0, 100);
  const [free, open, papers] = await Promise.all([
    freeImpressions(db, { workId, find }, CHOICES + 1),
    openSizes(db, { workId, find }, CHOICES + 1),
    papersToPrintOn(db, MOST_CHOICES),
  ]);
  const works = [...new Set([...free, ...open].map((f) => f.workId))];
  const known = await sizesOfWorks(db, works);
  const priced = (of: { workId: number; sizeKey: string }) => {
    const size = known.find((s) => s.workId === of.workId && s.sizeKey === of.sizeKey);
    return {
      sizeKey: of.sizeKey,
      price: size?.price != null && size.currency === currency ? size.price : null,
      paperId: size?.paperId ?? null,
    };
  };
  const label = (sizeKey: string) => nominalSize(sizeKey)?.label ?? '';
  const impressions = free.slice(0, CHOICES).map((f): Choice => {
    const declared = { kind: f.kind, size: f.of, artistsProofs: f.aps };
    return {
      key: `${f.editionId}:${f.series}:${f.number}:${f.sizeKey}`,
      label: `${f.work}, ${impressionLabel(declared, f.series, f.number)}, ${label(f.sizeKey)}`,
      impression: `${f.series}:${f.number}`,
      ...priced(f),
    };
  });
  const prints = open.slice(0, CHOICES).map((o): Choice => ({
    key: `${o.workId}:${o.sizeKey}`,
    label: `${o.work}, ${label(o.sizeKey)}`,
    impression: '',
    ...priced(o),
  }));
  const wanted = impressions.find(
    (f) =>
      (!query.impression || f.impression === query.impression) &&
      (!query.size || f.sizeKey === query.size),
  );
  return {
    impressions,
    prints,
    more: free.length > CHOICES || open.length > CHOICES,
    find,
    start: wanted?.key ?? impressions[0]?.key ?? '',
    papers: papers.map((p) => ({ id: p.id, name: p.name })),
  };
}

export type AddingLine = Awaited<ReturnType<typeof addingLine>>;
