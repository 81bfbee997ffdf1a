import { consignmentFigures, consignmentStands } from '@/core/consign';
import { impressionLabel } from '@/core/edition';
import { feesOfLine, usualTerms, CHANNELS } from '@/core/price';
import { nominalSize } from '@/core/size';
import { minor } from '@/core/units';
import {
  MOST_CHOICES,
  channelTermsNow,
  freeImpressions,
  knownCustomers,
  listConsignments,
  pricesOf,
  readSettings,
} from '@/data';
import type { BenchSettings, Consignment, LentPrint, Reading } from '@/data';
import { studio, todayOf } from '@/studio';
import { daysAfter } from '@/core/days';
import { consignForm } from './forms';

/** Prints offered to be lent out at once; more are found by typing. */
const CHOICES = 60;
/** Days that prints usually hang somewhere, rule of thumb. */
const USUAL_DAYS = 90;

export const sizeWords = (key: string): string => nominalSize(key)?.label ?? '';

const labelOf = ({ kind, of, aps, series, impression }: LentPrint): string =>
  impressionLabel({ kind, size: of, artistsProofs: aps }, series, impression);

/** A consignment as it is shown: its prints named, what it amounts to, how it stands. */
function shown(row: Consignment, today: string) {
  const { terms, prints } = row;
  const figures = consignmentFigures(prints, terms.framing);
  const toYou = prints
    .filter((p) => p.end === null)
    .reduce((sum, p) => sum + p.price - feesWithout(row, p.price), 0);
  return {
    ...row,
    figures,
    stands: consignmentStands(figures, row.fetchOn, today),
    /** What comes of all that is out, less their share; what was paid for framing is spent. */
    toYou,
    prints: prints.map((p) => ({
      ...p,
      label: labelOf(p),
      size: sizeWords(p.sizeKey),
      comes: p.price - feesWithout(row, p.price),
    })),
  };
}
export type ShownConsignment = ReturnType<typeof shown>;

/** What they take of a price: framing was paid before. */
const feesWithout = ({ terms }: Pick<Consignment, 'terms'>, price: number): number =>
  feesOfLine({ price: minor(price), copies: 1 }, { ...terms, framing: minor(0) });

/** What they usually ask, as it was kept of galleries, else as is usual. */
async function galleryTerms(db: Reading, currency: string) {
  const kept = (await channelTermsNow(db)).find(
    (t) => t.channel === 'gallery' && t.currency === currency,
  );
  return (
    kept?.terms ??
    usualTerms(
      CHANNELS.find((c) => c.id === 'gallery')!,
      currency,
    )
  );
}

/** What can be lent out: numbered prints that are here, with the price that was kept for each. */
async function lending(
  db: Reading,
  query: Record<string, string | undefined>,
  settings: BenchSettings,
  today: string,
) {
  const find = (query.item ?? '').trim().slice(0, 100);
  const free = await freeImpressions(db, { find }, CHOICES + 1);
  const works = [...new Set(free.map((f) => f.workId))];
  const prices = (await Promise.all(works.map((id) => pricesOf(db, id)))).flat();
  const terms = await galleryTerms(db, settings.currency);
  return {
    find,
    more: free.length > CHOICES,
    start: consignForm.write(
      {
        commission: terms.commission,
        framing: terms.framing,
        daysUntilPaid: terms.daysUntilPaid,
        fetchOn: daysAfter(today, USUAL_DAYS),
      },
      settings,
    ),
    prints: free.slice(0, CHOICES).map((f) => {
      const price = prices.find(
        (p) =>
          p.workId === f.workId &&
          p.sizeKey === f.sizeKey &&
          p.currency === settings.currency,
      );
      return {
        key: `${f.editionId}:${f.series}:${f.number}`,
        ...{ editionId: f.editionId, series: f.series, number: f.number },
        name: `${f.work}, ${impressionLabel({ kind: f.kind, size: f.of, artistsProofs: f.aps }, f.series, f.number)}`,
        size: sizeWords(f.sizeKey),
        price: price?.price ?? null,
      };
    }),
  };
}

/** What is out on consignment: with whom, until when, what it ties up. */
export async function loadConsignments(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const today = todayOf(settings);
  const rows = (await listConsignments(db)).map((row) => shown(row, today));
  const adding = query.new === '1' || rows.length === 0;
  const open = rows.filter((r) => r.stands.how !== 'closed');
  return {
    today,
    currency: settings.currency,
    rows,
    out: open.reduce((n, r) => n + r.figures.out, 0),
    picked: rows.find((r) => r.number === query.of) ?? null,
    /** The print that was sold, where that is asked. */
    selling: Number(query.sell) || null,
    lending: adding ? await lending(db, query, settings, today) : null,
    known: adding ? await knownCustomers(db, MOST_CHOICES) : [],
  };
}

export type ConsignmentsView = Awaited<ReturnType<typeof loadConsignments>>;
