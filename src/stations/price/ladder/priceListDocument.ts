import { feesOfLine } from '@/core/price';
import type { ChannelTerms } from '@/core/price';
import { currencyDigits, formatSize, size as sizeOf } from '@/core/units';
import type { Minor } from '@/core/units';
import { csvText, printable, tablePdf } from '@/documents';
import type { CsvCell } from '@/documents';
import { slug } from '@/core/prepare';
import { getWork, readSettings } from '@/data';
import { rowId, studio, todayOf } from '@/studio';
import { formatOf } from '@/shell/figures/format';
import { taxWords } from '@/studio/words/taxWords';
import { loadPrice } from '../view';
import type { PriceView } from '../view';
import { ladderKnown } from './ladderKnown';
import { firstLadder, keptAsked, ladderShown } from './ladderShown';
import type { LadderSize } from './ladderTypes';
import { variantOf } from './variants';

/** One line of a price list: a size as it is sold, and what is asked for the next one. */
export interface ListedLine {
  size: LadderSize;
  /** '' for its own paper. */
  paper: string;
  framed: boolean;
  price: Minor;
}

/**
 * What is asked for every size of a work, as it was kept; framed and on another paper by the
 * ladder that was kept. Sizes without a price, and editions that are sold out, are not listed.
 */
export function listedLines(view: PriceView): ListedLine[] {
  const known = ladderKnown(view);
  const first = firstLadder(known, { third: view.third, step: view.start.step });
  const asked = view.keptLadder ? keptAsked(view.keptLadder, known, first) : null;
  const beside = asked ? ladderShown(asked, {}, known).rows : [];
  return known.sizes.flatMap((size): ListedLine[] => {
    const gone = size.edition !== null && size.sold >= size.edition;
    if (size.kept === null || gone) return [];
    return [
      { size, paper: '', framed: false, price: size.kept },
      ...beside.flatMap((row): ListedLine[] => {
        const { key, paper, framed } = variantOf(row.id);
        if (key !== size.key || row.id === key || row.price === null) return [];
        const on = paper && asked ? asked.otherPaper : '';
        return [{ size, paper: on, framed, price: row.price }];
      }),
    ];
  });
}

const comes = (price: Minor, terms: ChannelTerms): number =>
  price - feesOfLine({ price, copies: 1 }, terms);

/** The price list of a work for a channel, as PDF; null where there is no such work or channel. */
async function listPdf(view: PriceView, channel: string) {
  const settings = await readSettings((await studio()).db.read);
  const format = formatOf(settings);
  const terms = view.channels.find((c) => c.channel === channel)?.terms;
  if (!terms) return null;
  const lines = listedLines(view);
  const { locale } = settings;
  // Who takes a share wants to know what comes to the studio; who buys does not.
  const shared = terms.commission > 0;
  const own = view.paper;
  const today = todayOf(settings);
  const bytes = await tablePdf({
    title: `Price list, ${view.work.title}`,
    about: [
      `${settings.studio || view.work.title}, ${format.day(today)}`,
      `For: ${channel}`,
    ],
    parts: [
      {
        title: '',
        heads: [
          ...[
            'Size, cm',
            'Size, in',
            'Paper',
            'Edition',
            'Framed',
            `Price, ${view.currency}`,
          ],
          ...(shared ? ['To the studio'] : []),
        ],
        widths: shared
          ? [0.17, 0.2, 0.19, 0.12, 0.08, 0.12, 0.12]
          : [0.18, 0.22, 0.22, 0.14, 0.1, 0.14],
        figuresFrom: 5,
        lines: lines.map(({ size, paper, framed, price }) => {
          const of = sizeOf(size.width, size.height);
          return [
            printable(formatSize(of, 'metric', locale)),
            printable(formatSize(of, 'inch', locale)),
            paper || own,
            size.edition === null ? 'open' : `limited to ${size.edition}`,
            framed ? 'yes' : 'no',
            format.amount(price),
            ...(shared ? [format.amount(comes(price, terms))] : []),
          ];
        }),
      },
    ],
    said: [
      lines.length === 0 ? 'No price of this work is kept.' : '',
      lines.some((l) => l.size.edition !== null)
        ? 'Of a limited edition it is the price of the next number; it may rise as the edition sells.'
        : '',
      terms.saleOrReturn ? 'Sale or return.' : '',
    ].filter(Boolean),
    signed: [],
    note: taxWords(lines[0]?.price ?? null, view.tax, format),
  });
  const name = `price-list_${slug(view.work.title)}_${slug(channel)}_${today}.pdf`;
  return { bytes, type: 'application/pdf', name };
}

/** The same as CSV: a line for each size, how it is sold, and each channel. */
function listCsv(view: PriceView, only: string | null) {
  const whole = 10 ** currencyDigits(view.currency);
  const inches = (mm: number) => Math.round((mm / 25.4) * 100) / 100;
  const rows = listedLines(view).flatMap(({ size, paper, framed, price }) =>
    view.channels
      .filter((c) => only === null || c.channel === only)
      .map(({ channel, terms }): CsvCell[] => [
        ...[view.work.title, size.label, size.width / 10, size.height / 10],
        ...[inches(size.width), inches(size.height), paper || view.paper],
        ...[framed ? 'yes' : 'no', size.edition ?? '', size.sold, channel],
        ...[price / whole, comes(price, terms) / whole, view.currency],
      ]),
  );
  const heads = [
    ...['title', 'size', 'width cm', 'height cm', 'width in', 'height in', 'paper'],
    ...['framed', 'edition', 'sold', 'channel', 'price', 'to the studio', 'currency'],
  ];
  return {
    bytes: Buffer.from(csvText([heads, ...rows])),
    type: 'text/csv; charset=utf-8',
    name: `price-list_${slug(view.work.title)}.csv`,
  };
}

/** The price list of a work, `form` pdf or csv; null where there is no such work, or channel. */
export async function priceListDocument(id: string, query: Record<string, string>) {
  const workId = rowId(id);
  const { db } = await studio();
  if (!workId || !(await getWork(db.read, workId))) return null;
  const view = await loadPrice(id, {});
  return query.form === 'csv'
    ? listCsv(view, query.channel ?? null)
    : listPdf(view, query.channel ?? 'own site');
}
