'use client';
import { scaleLinear } from 'd3';
import type { InkWeek } from '@/core/ink';
import { daysAfter } from '@/core/days';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { TimeAxis } from './TimeAxis';
import type { ShownInk } from './view';
import { YEAR, yearScale } from './yearScale';

const HEIGHT = 76;
const TOPS = [18, 124] as const;

/** Bars of one kind, a week each, under their own scale. */
function Bars({
  weeks,
  of,
  top,
  title,
  most,
  today,
  fill,
}: {
  weeks: readonly InkWeek[];
  of: (week: InkWeek) => number;
  top: number;
  title: string;
  /** What the highest bar is, in words. */
  most: (value: number) => string;
  today: string;
  fill: string;
}) {
  const { x } = yearScale(today);
  const highest = Math.max(...weeks.map(of));
  const y = scaleLinear()
    .domain([0, highest || 1])
    .range([0, HEIGHT]);
  const bottom = top + HEIGHT;
  return (
    <g>
      <text x={YEAR.left} y={top - 5} fontSize={11.5} fill="var(--ink)">
        {title}
      </text>
      {weeks.map((week) => {
        const [left, right] = [x(week.from), x(week.to)];
        return (
          <rect
            key={week.from}
            x={left + 0.8}
            y={bottom - y(of(week))}
            width={Math.max(1, right - left - 1.6)}
            height={y(of(week))}
            fill={fill}
            stroke="#444"
            strokeWidth={0.6}
          />
        );
      })}
      <path d={`M${YEAR.left} ${bottom}H${x(today)}`} stroke="#444" />
      {highest > 0 && (
        <g data-axis>
          <path d={`M${YEAR.left} ${top}h-4M${YEAR.left} ${bottom}h-4`} stroke="#444" />
          <text
            x={YEAR.left - 8}
            y={top + 4}
            textAnchor="end"
            fontSize={11}
            fill="var(--ink)"
          >
            {most(highest)}
          </text>
          <text
            x={YEAR.left - 8}
            y={bottom + 4}
            textAnchor="end"
            fontSize={11}
            fill="var(--ink)"
          >
            0
          </text>
        </g>
      )}
    </g>
  );
}

/** What was used and what was printed, week by week. */
export function WeekChart({
  weeks,
  inks,
  today,
}: {
  weeks: readonly InkWeek[];
  inks: ShownInk[];
  today: string;
}) {
  const format = useFormat();
  const real = inks.flatMap((ink, i) => (ink.isBox ? [] : [i]));
  const total = (week: InkWeek) => real.reduce((sum, i) => sum + week.ml[i]!, 0);
  const bottom = TOPS[1] + HEIGHT;
  const ml = (v: number) => format.number(v, v < 10 ? 1 : 0);
  const printed = weeks.filter((w) => w.area > 0).length;
  return (
    <Plate
      name="Ink and area by week"
      width={YEAR.width}
      height={bottom + 22}
      figures={{
        heads: [
          'week from',
          'to',
          'm² printed',
          'ml in all',
          ...real.map((i) => inks[i]!.name),
        ],
        rows: weeks.map((week) => [
          format.day(week.from),
          format.day(daysAfter(week.to, -1)),
          format.number(week.area, 2),
          ml(total(week)),
          ...real.map((i) => ml(week.ml[i]!)),
        ]),
      }}
      said={`${format.number(
        weeks.reduce((s, w) => s + w.area, 0),
        1,
      )} m² printed in ${printed} of ${weeks.length} weeks, ${ml(
        weeks.reduce((s, w) => s + total(w), 0),
      )} ml of ink, cleaning and idle days among it`}
    >
      <Bars
        weeks={weeks}
        of={total}
        top={TOPS[0]}
        title="Ink a week, all of them, as reckoned: on paper, for cleaning, idle"
        most={(v) => `${ml(v)} ml`}
        today={today}
        fill="#8c8c8c"
      />
      <Bars
        weeks={weeks}
        of={(w) => w.area}
        top={TOPS[1]}
        title="Printed a week"
        most={(v) => `${format.number(v, 2)} m²`}
        today={today}
        fill="#fdfdfd"
      />
      <TimeAxis today={today} top={TOPS[0]} bottom={bottom} />
    </Plate>
  );
}
