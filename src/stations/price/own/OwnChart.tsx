'use client';
import { line, scaleLinear } from 'd3';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { MoneyAxis } from '../MoneyAxis';
import { FIGURE_WORDS } from './ownForm';
import type { OwnShown } from './ownShown';
import { monthsWords } from './ownWords';

const WIDTH = 742;
const HEIGHT = 448;
const BOX = { left: 70, right: 700, top: 26, bottom: 226 } as const;
const BARS = { left: 190, right: 660, top: 302, row: 26 } as const;

/** What is saved over the months until it is paid back, and what each figure does to that when it is a quarter off. */
export function OwnChart({ shown, currency }: { shown: OwnShown; currency: string }) {
  const format = useFormat();
  const { saved, back, band, swings } = shown;
  const x = scaleLinear()
    .domain([0, saved.length - 1])
    .range([BOX.left, BOX.right]);
  const y = scaleLinear()
    .domain([Math.min(0, ...saved), Math.max(1, ...saved)])
    .nice(5)
    .range([BOX.bottom, BOX.top]);
  const path = line<number>()
    .x((_, month) => x(month))
    .y((v) => y(v));
  const ends = swings.flatMap((s) => [s.less, s.more]).filter((m) => m !== null);
  const far = Math.max(1, back.months ?? 0, ...ends);
  const across = scaleLinear().domain([0, far]).nice(5).range([BARS.left, BARS.right]);
  const end = BARS.right + 34;
  const at = (months: number | null) => (months === null ? end : across(months));
  const within = (months: number | null) =>
    months === null ? BOX.right : Math.min(BOX.right, x(months));
  return (
    <Plate
      name="When one’s own pays"
      width={WIDTH}
      height={HEIGHT}
      figures={{
        heads: ['figure', 'a quarter less', 'as it is', 'a quarter more'],
        rows: swings.map((s) => [
          FIGURE_WORDS[s.figure],
          monthsWords(s.less, format),
          monthsWords(back.months, format),
          monthsWords(s.more, format),
        ]),
      }}
      said={`It pays for itself after ${monthsWords(back.months, format)}. ${swings
        .map(
          (s) =>
            `${FIGURE_WORDS[s.figure]}: a quarter less ${monthsWords(s.less, format)}, a quarter more ${monthsWords(s.more, format)}`,
        )
        .join('. ')}`}
    >
      <MoneyAxis
        y={y}
        lines={5}
        box={BOX}
        currency={currency}
        said="saved, less what was paid for it; band: when it is paid, eight times in ten"
      />
      <g data-axis fontSize={11} fill="var(--ink)">
        {x
          .ticks(8)
          .filter(Number.isInteger)
          .map((month) => (
            <text key={month} x={x(month)} y={BOX.bottom + 18} textAnchor="middle">
              {month}
            </text>
          ))}
        <text x={BOX.right + 6} y={BOX.bottom + 32} textAnchor="end">
          months
        </text>
      </g>
      {back.months !== null && (
        <rect
          x={within(band.low)}
          y={BOX.top}
          width={Math.max(0, within(band.high) - within(band.low))}
          height={BOX.bottom - BOX.top}
          fill="#161616"
          opacity={0.1}
        />
      )}
      <path d={path(saved) ?? ''} fill="none" stroke="#161616" strokeWidth={2} />
      {back.months !== null && back.months <= saved.length - 1 && (
        <g>
          <circle cx={x(back.months)} cy={y(0)} r={4.5} fill="var(--blue)" />
          <text x={x(back.months) + 8} y={y(0) + 16} fontSize={11.5} fill="var(--blue)">
            paid after {monthsWords(back.months, format)}
          </text>
        </g>
      )}
      <text
        x={0}
        y={BARS.top - 22}
        fontSize={15}
        fontFamily="Newsreader, serif"
        fill="var(--ink)"
      >
        What matters most: each figure a quarter less (white) and a quarter more (black), in
        months
      </text>
      {swings.map((s, i) => {
        const top = BARS.top + BARS.row * i;
        const middle = at(back.months);
        return (
          <g key={s.figure} fontSize={11.5} fill="var(--ink)">
            <text x={BARS.left - 12} y={top + 12} textAnchor="end">
              {FIGURE_WORDS[s.figure]}
            </text>
            {(['less', 'more'] as const).map((side) => {
              const to = at(s[side]);
              return (
                <rect
                  key={side}
                  x={Math.min(middle, to)}
                  y={side === 'less' ? top : top + 8}
                  width={Math.abs(to - middle)}
                  height={8}
                  fill={side === 'less' ? '#fdfdfd' : '#2d2d2d'}
                  stroke="#444"
                  strokeWidth={0.7}
                />
              );
            })}
            {(s.less === null || s.more === null) && (
              <text x={end + 4} y={top + 12}>
                never
              </text>
            )}
          </g>
        );
      })}
      <path
        d={`M${at(back.months)} ${BARS.top - 6}V${BARS.top + BARS.row * swings.length}`}
        stroke="var(--blue)"
        strokeWidth={1.3}
      />
      <g data-axis fontSize={11} fill="var(--ink)">
        {across.ticks(6).map((m) => (
          <text
            key={m}
            x={across(m)}
            y={BARS.top + BARS.row * swings.length + 14}
            textAnchor="middle"
          >
            {m}
          </text>
        ))}
      </g>
    </Plate>
  );
}
