import { lineFault } from '@/core/order';
import type { LineFault, LineItem, LineKind } from '@/core/order';
import { grams, mm } from '@/core/units';
import type { Grams, Millimetres, Minor } from '@/core/units';
import { editionFor, getEdition, getPaper, getWork, sizeStands } from '@/data';
import type { NewLine, Reading } from '@/data';
import { LINE_FAULTS } from './words';

/** A line as its form tells it. */
export interface LineAsked {
  kind: LineKind;
  item: LineItem | null;
  paperId: number | null;
  goods: string;
  mass: Grams | number | null;
  thickness: Millimetres | null;
  quantity: number;
  price: Minor;
}

/** At which field a fault is said. */
const FIELD: Record<LineFault, string> = {
  noWork: 'item',
  noPaper: 'paperId',
  notNumbered: 'item',
  otherSize: 'item',
  notOffered: 'item',
  limited: 'item',
  noName: 'goods',
  noQuantity: 'quantity',
};

type Read = { ok: true; line: NewLine } | { ok: false; field: string; message: string };

const NOTHING = {
  workId: null,
  sizeKey: null,
  editionId: null,
  series: null,
  impression: null,
} as const;

/** What the line's item names, as the studio knows it. */
async function itemOf(db: Reading, { kind, item }: LineAsked) {
  const nothing = { ...NOTHING, asked: null, offered: false, edition: null };
  if (!item || (item.of === 'openPrint') !== (kind === 'openPrint')) return nothing;
  if (item.of === 'openPrint') {
    const { workId, sizeKey } = item;
    const [row, stands, edition] = await Promise.all([
      getWork(db, workId),
      sizeStands(db, workId, sizeKey),
      editionFor(db, workId, sizeKey),
    ]);
    return {
      ...NOTHING,
      workId: row?.id ?? null,
      sizeKey,
      asked: null,
      offered: stands?.kind === 'offered',
      edition: edition?.declaration.kind ?? null,
    };
  }
  const { series, number } = item;
  const edition = await getEdition(db, item.editionId);
  if (!edition) return nothing;
  const found = edition.impressions.find((i) => i.series === series && i.number === number);
  const sizeKey =
    found?.sizeKey || (edition.sizeKey === 'all' ? null : edition.sizeKey) || null;
  return {
    workId: edition.workId,
    sizeKey: found ? sizeKey : null,
    editionId: edition.id,
    series,
    impression: number,
    asked: item.sizeKey ?? null,
    offered: true,
    edition: edition.declaration.kind,
  };
}

/**
 * What a line comes to: its size is that at which the impression was printed, or one that is on
 * offer; never what a page says. Or a sentence, and the field it belongs to.
 */
export async function readLine(
  db: Reading,
  asked: LineAsked,
  currency: string,
): Promise<Read> {
  const goods = asked.kind === 'goods';
  const item = goods
    ? { ...NOTHING, asked: null, offered: false, edition: null }
    : await itemOf(db, asked);
  const paper =
    goods || asked.paperId === null ? undefined : await getPaper(db, asked.paperId);
  const kind =
    goods || asked.kind === 'openPrint'
      ? asked.kind
      : item.series === 'ap'
        ? 'artistsProof'
        : 'impression';
  const fault = lineFault({
    kind,
    quantity: asked.quantity,
    name: asked.goods,
    work: item.workId !== null,
    paper: paper !== undefined,
    sizeAsked: item.asked,
    sizePrinted: item.sizeKey,
    offered: item.offered,
    edition: item.edition,
  });
  if (fault) return { ok: false, field: FIELD[fault], message: LINE_FAULTS[fault] };
  const { workId, sizeKey, editionId, series, impression } = item;
  return {
    ok: true,
    line: {
      kind,
      workId,
      sizeKey,
      editionId,
      series,
      impression,
      paperId: paper?.id ?? null,
      name: goods ? asked.goods.trim() : null,
      mass: goods ? grams(asked.mass ?? 0) : null,
      thickness: goods ? mm(asked.thickness ?? 0) : null,
      quantity: asked.quantity,
      price: asked.price,
      currency,
    },
  };
}
