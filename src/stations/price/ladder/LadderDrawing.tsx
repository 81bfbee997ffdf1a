'use client';
import { scaleLinear } from 'd3';
import type { Ladder } from '@/core/price';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { Format } from '@/shell/figures';
import { OnShelf } from './OnShelf';
import type { LadderSize } from './ladderTypes';
import { variantWords } from './ladderWords';
import { variantOf } from './variants';

const WIDTH = 742;
const HEIGHT = 400;
const SHELF = 336;
const LEFT = 20;
const RIGHT = 690;
const TOP = 44;
/** The largest print is so high, px. */
const TALLEST = 96;

const figuresOf = (
  { rows }: Ladder,
  sizes: readonly LadderSize[],
  format: Format,
  currency: string,
) => ({
  heads: [
    'size',
    'edition',
    'sold',
    `asked, ${currency}`,
    'the last one',
    'cost',
    'kept now',
  ],
  rows: rows.map((row) => {
    const size = sizes.find((s) => s.key === variantOf(row.id).key)!;
    const plain = size.key === row.id;
    return [
      variantWords(row.id, sizes),
      size.edition === null ? 'open' : `of ${size.edition}`,
      size.sold,
      row.price === null ? '–' : format.amount(row.price),
      row.last === null ? '–' : format.amount(row.last),
      size.costKnown && plain
        ? format.amount(size.cost)
        : row.sales[0]
          ? format.amount(row.sales[0].sale.cost)
          : 'not known',
      size.kept === null || !plain ? '–' : format.amount(size.kept),
    ];
  }),
});

/** What the marks beside the poles are, those that there are. */
const besideWords = (rows: Ladder['rows']): string => {
  const of = rows.map((r) => variantOf(r.id));
  return [
    of.some((v) => v.framed && !v.paper) ? '; □ framed' : '',
    of.some((v) => v.paper && !v.framed) ? '; ◇ on the other paper' : '',
    of.some((v) => v.paper && v.framed) ? '; ▫ both' : '',
  ].join('');
};

/** Prints to one scale on a shelf, a pole on each as high as its price, a rung for each step of its edition. */
export function LadderDrawing({
  ladder,
  sizes,
  picked,
  preview,
  currency,
}: {
  ladder: Ladder;
  sizes: readonly LadderSize[];
  picked: string;
  preview: string | null;
  currency: string;
}) {
  const format = useFormat();
  const { rows } = ladder;
  const tops = rows.flatMap((r, i) => [
    r.price ?? 0,
    r.last ?? 0,
    sizes[i]?.kept ?? 0,
    sizes[i]?.costKnown ? sizes[i].cost : 0,
  ]);
  const y = scaleLinear()
    .domain([0, Math.max(1, ...tops)])
    .nice(5)
    .range([SHELF, TOP]);
  const tallest = Math.max(...sizes.map((s) => s.height));
  const widest = (RIGHT - LEFT) / Math.max(1, sizes.length);
  const scale = Math.min(
    TALLEST / tallest,
    (widest * 0.62) / Math.max(...sizes.map((s) => s.width)),
  );
  const drawn = sizes.map((size, i) => ({
    size,
    row: rows.find((r) => r.id === size.key)!,
    beside: rows.filter((r) => r.id !== size.key && variantOf(r.id).key === size.key),
    x: LEFT + widest * (i + 0.5),
    w: size.width * scale,
    h: size.height * scale,
  }));
  // Of what is not known no cost is drawn.
  const costed = drawn.filter((d) => d.size.costKnown);
  const dearest = costed.at(-1);
  return (
    <Plate
      name="The ladder of prices"
      width={WIDTH}
      height={HEIGHT}
      figures={figuresOf(ladder, sizes, format, currency)}
      said={drawn
        .map(
          ({ size, row }) =>
            `${size.label}: ${row.price === null ? 'no price' : format.money(row.price)}`,
        )
        .join(', ')}
    >
      <g data-axis fontSize={11} fill="var(--ink)">
        {y
          .ticks(5)
          .filter((v) => v > 0)
          .map((v) => (
            <g key={v}>
              <path
                d={`M${LEFT} ${y(v)}H${RIGHT}`}
                stroke="#9a9a9a"
                strokeDasharray="1 4"
              />
              <text x={RIGHT + 6} y={y(v) + 4}>
                {format.amount(v)}
              </text>
            </g>
          ))}
        <text x={RIGHT + 6} y={SHELF + 4}>
          {currency}
        </text>
        <text x={LEFT} y={16}>
          asked, over the size; prints to one scale; rungs: steps as the edition sells
          {besideWords(rows)}
        </text>
      </g>
      {costed.length > 0 && (
        <path
          d={`M${costed.map((d) => `${d.x} ${y(d.size.cost)}`).join('L')}`}
          fill="none"
          stroke="var(--ochre)"
          strokeWidth={1.4}
          strokeDasharray="5 3"
        />
      )}
      {dearest && (
        <text
          x={dearest.x + dearest.w / 2 + 8}
          y={y(dearest.size.cost) - 5}
          fontSize={11}
          fill="var(--ochre)"
        >
          cost {format.amount(dearest.size.cost)}
        </text>
      )}
      {drawn.map((d) => (
        <OnShelf
          key={d.size.key}
          {...d}
          y={y}
          shelf={SHELF}
          on={d.size.key === picked}
          preview={preview}
        />
      ))}
      <path d={`M${LEFT} ${SHELF}H${RIGHT}`} stroke="#444" strokeWidth={1.4} />
    </Plate>
  );
}
