import { asc, eq, inArray } from 'drizzle-orm';
import { formatsNow, usualFormat } from '@/core/paper';
import type { NotedFormat, PaperFormat } from '@/core/paper';
import type { Reading, Writing } from '../reading';
import { record } from '../log/log';
import { lots, paperFormats, papers } from '../schema';
import type { PaperRow } from './papers';

export type PaperFormatRow = typeof paperFormats.$inferSelect;

/** Notes a price of a format, or that a paper is no longer sold so. */
export async function addPaperFormat(
  tx: Writing,
  format: Omit<PaperFormatRow, 'id'>,
): Promise<number> {
  const paper = await tx.query.papers.findFirst({ where: eq(papers.id, format.paperId) });
  const { kind, width, height, price, currency, day } = format;
  const row = await record(tx, paperFormats, format, {
    at: format.at,
    what: format.sold ? 'format.priced' : 'format.gone',
    detail: { paper: paper?.name ?? '', kind, width, height, price, currency, day },
  });
  return row.id;
}

type Priced = Pick<
  PaperRow,
  'id' | 'sheetWidth' | 'sheetHeight' | 'price' | 'currency' | 'supplier' | 'priceOn'
>;

/**
 * As what some papers are sold now: their usual sheet, what was noted, and what deliveries came as,
 * each at its newest price.
 */
export async function formatsOf(
  db: Reading,
  of: readonly Priced[],
): Promise<Map<number, PaperFormat[]>> {
  const found = new Map(
    of.map((p) => [p.id, [{ ...usualFormat(p), sold: true }] as NotedFormat[]]),
  );
  if (of.length === 0) return new Map();
  const ids = [...found.keys()];
  const came = await db
    .select()
    .from(lots)
    .where(inArray(lots.paperId, ids))
    .orderBy(asc(lots.at), asc(lots.id));
  for (const { paperId, kind, width, height, core, price, currency, ...lot } of came)
    // What came for nothing, or was left over, says no price.
    if (!lot.leftOver && price > 0)
      found.get(paperId)!.push({
        ...{ kind, width, height, core, price, currency },
        supplier: lot.supplier,
        day: lot.at.slice(0, 10),
        from: 'delivery',
        sold: true,
      });
  const noted = await db
    .select()
    .from(paperFormats)
    .where(inArray(paperFormats.paperId, ids))
    .orderBy(asc(paperFormats.day), asc(paperFormats.id));
  for (const { paperId, id: _id, at: _at, ...format } of noted)
    found.get(paperId)!.push({ ...format, from: 'noted' });
  return new Map([...found].map(([id, all]) => [id, formatsNow(all)]));
}
