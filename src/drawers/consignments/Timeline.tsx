'use client';
import { scaleUtc } from 'd3';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { ShownConsignment } from './view';

const WIDTH = 742;
const LEFT = 8;
const RIGHT = 734;
const TOP = 34;
const LINE = 44;
/** So many are drawn: those that are to be fetched first. */
const MOST = 8;

const at = (day: string) => new Date(`${day}T00:00:00Z`);
const DAY = 86_400_000;

/** What hangs where, from the day it went out to the day it is to be fetched back, and today. */
export function Timeline({
  rows,
  today,
  picked,
}: {
  rows: readonly ShownConsignment[];
  today: string;
  picked: string | null;
}) {
  const format = useFormat();
  const drawn = rows
    .filter((r) => r.stands.how !== 'closed')
    .sort((a, b) => (a.fetchOn < b.fetchOn ? -1 : 1))
    .slice(0, MOST);
  if (drawn.length === 0) return null;
  const days = [...drawn.flatMap((r) => [r.outOn, r.fetchOn]), today].sort();
  const x = scaleUtc()
    .domain([at(days[0]!), new Date(at(days.at(-1)!).getTime() + 4 * DAY)])
    .range([LEFT, RIGHT]);
  const height = TOP + drawn.length * LINE + 26;
  const bottom = height - 20;
  const now = x(at(today));
  return (
    <Plate
      name="What hangs where, and until when"
      width={WIDTH}
      height={height}
      figures={{
        heads: ['number', 'with whom', 'out since', 'fetch back', 'out', 'tied up'],
        rows: drawn.map((r) => [
          r.number,
          r.name,
          format.day(r.outOn),
          format.day(r.fetchOn),
          r.figures.out,
          format.money(r.figures.tiedUp, r.currency),
        ]),
      }}
      said={drawn
        .map((r) => `${r.name}: ${r.figures.out} until ${format.day(r.fetchOn)}`)
        .join('; ')}
    >
      <g fontSize={11} fill="var(--ink)">
        {x.ticks(6).map((t) => (
          <g key={t.toISOString()}>
            <path
              d={`M${x(t)} ${TOP - 8}V${bottom}`}
              stroke="#9a9a9a"
              strokeDasharray="1 4"
            />
            <text x={x(t)} y={height - 4} textAnchor="middle">
              {format.day(t.toISOString().slice(0, 10))}
            </text>
          </g>
        ))}
        <path d={`M${now} ${TOP - 8}V${bottom}`} stroke="var(--ochre)" strokeWidth={1.6} />
        <text x={now} y={TOP - 14} textAnchor="middle" fill="var(--ochre)">
          today
        </text>
        {drawn.map((r, i) => {
          const y = TOP + i * LINE + 26;
          const [from, to] = [x(at(r.outOn)), x(at(r.fetchOn))];
          const late = r.stands.how === 'overdue';
          const ink = late
            ? 'var(--brick)'
            : r.number === picked
              ? 'var(--blue)'
              : '#161616';
          return (
            <g key={r.number}>
              <text
                x={from}
                y={y - 9}
                fill={ink}
                fontSize={12}
                stroke="var(--table)"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {r.name}, {r.figures.out} {r.figures.out === 1 ? 'print' : 'prints'},{' '}
                {format.money(r.figures.tiedUp, r.currency)} tied up
              </text>
              <path d={`M${from} ${y}H${to}`} stroke={ink} strokeWidth={3} />
              <path
                d={`M${from} ${y - 5}v10M${to} ${y - 7}v14`}
                stroke={ink}
                strokeWidth={2}
              />
              {late && (
                <path
                  d={`M${to} ${y}H${now}`}
                  stroke={ink}
                  strokeWidth={1.4}
                  strokeDasharray="3 3"
                />
              )}
            </g>
          );
        })}
      </g>
    </Plate>
  );
}
