'use client';
import { useRouter } from 'next/navigation';
import type { CartridgeBar } from '@/core/ink';
import { Plate, useDrawnId } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { TimeAxis } from './TimeAxis';
import type { ShownInk } from './view';
import { YEAR, yearScale } from './yearScale';
import { lastsWords } from './words';

const TOP = 16;

/** Cartridges of one ink along the year: full at its top, empty at its foot; dots are what the gauge said. */
function Row({
  ink,
  y,
  height,
  today,
  hatch,
}: {
  ink: ShownInk;
  y: number;
  height: number;
  today: string;
  hatch: string;
}) {
  const { x, from, to } = yearScale(today);
  const level = (share: number) => y + height * (1 - share);
  const shown = ink.bars.filter((b: CartridgeBar) => b.to === null || b.to > from);
  return (
    <g>
      {shown.map((bar, i) => {
        const end = bar.to ?? today;
        const [left, right] = [x(bar.from), x(end)];
        return (
          <g key={bar.from}>
            <rect
              x={left}
              y={y}
              width={Math.max(1, right - left)}
              height={height}
              fill={bar.firstFill ? `url(#${hatch})` : i % 2 === 0 ? '#fdfdfd' : '#e9e6de'}
              stroke="#444"
              strokeWidth={0.8}
            />
            {bar.wasLeft > 0 && (
              <path
                d={`M${right - 1} ${y + height}V${level(bar.wasLeft)}`}
                stroke="#111"
                strokeWidth={4}
              />
            )}
            {bar.readings
              .filter((r) => r.at >= from)
              .map((r, k) => (
                <circle
                  key={k}
                  cx={x(r.at)}
                  cy={level(r.share)}
                  r={2.4}
                  fill="#111"
                  stroke="#fff"
                  strokeWidth={0.6}
                />
              ))}
          </g>
        );
      })}
      {ink.allLast && (
        <g>
          <path
            d={`M${x(ink.allLast.early)} ${y + height / 2}H${x(ink.allLast.late)}`}
            stroke="#444"
            strokeWidth={1.2}
          />
          {[ink.allLast.early, ink.allLast.late].map((day, i) => (
            <path
              key={i}
              d={`M${x(day)} ${y + height / 2 - 4}v8`}
              stroke="#444"
              strokeWidth={1.2}
            />
          ))}
          {ink.allLast.likely > to ? (
            <path
              d={`M${YEAR.right - 7} ${y + height / 2 - 5}l7 5l-7 5`}
              fill="none"
              stroke="#111"
              strokeWidth={1.6}
            />
          ) : (
            <path
              d={`M${x(ink.allLast.likely)} ${y + 1}v${height - 2}`}
              stroke="#111"
              strokeWidth={3}
            />
          )}
        </g>
      )}
      {ink.orderBy && ink.orderBy >= today && (
        <path
          d={`M${x(ink.orderBy)} ${y + height}l-4.5 -8h9z`}
          fill={ink.dueSoon ? 'var(--ochre)' : '#fff'}
          stroke="#111"
          strokeWidth={0.9}
        />
      )}
    </g>
  );
}

/** Every cartridge of a printer over a year, and when the ones that are in will be empty. */
export function CartridgeChart({
  inks,
  today,
  picked,
  hrefOf,
}: {
  inks: ShownInk[];
  today: string;
  picked: number | null;
  hrefOf: (inkId: number) => string;
}) {
  const format = useFormat();
  const router = useRouter();
  const hatch = useDrawnId('first');
  const pitch = Math.min(40, 360 / inks.length);
  const height = pitch - 7;
  const bottom = TOP + pitch * inks.length + 4;
  return (
    <Plate
      name="Cartridges"
      width={YEAR.width}
      height={bottom + 36}
      figures={{
        heads: ['ink', 'put in', 'taken out', 'ml', 'left in it', 'the gauge said'],
        rows: inks.flatMap((ink) =>
          ink.bars.map((b) => [
            ink.name,
            `${format.day(b.from)}${b.firstFill ? ', first set' : ''}`,
            b.to === null ? 'in the printer' : format.day(b.to),
            format.number(b.ml, b.ml % 1 === 0 ? 0 : 1),
            b.to === null ? '' : format.percent(b.wasLeft),
            b.readings
              .map((r) => `${format.percent(r.share)} on ${format.day(r.at)}`)
              .join('; '),
          ]),
        ),
      }}
      said={inks
        .map(
          (ink) =>
            `${ink.name}: ${ink.allLast ? `lasts ${lastsWords(ink.allLast, today, format)}` : 'how long it lasts is not known yet'}`,
        )
        .join('; ')}
    >
      <defs>
        <pattern
          id={hatch}
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="6" height="6" fill="#fdfdfd" />
          <path d="M0 0V6" stroke="#444" strokeWidth="1.1" opacity="0.5" />
        </pattern>
      </defs>
      {inks.map((ink, i) => {
        const y = TOP + i * pitch;
        const here = ink.id === picked;
        return (
          <g
            key={ink.id}
            onClick={() => router.replace(hrefOf(ink.id))}
            style={{ cursor: 'pointer' }}
          >
            <rect x={0} y={y - 3} width={YEAR.width} height={pitch} fill="transparent" />
            <text
              x={YEAR.left - 10}
              y={y + height / 2 + 4}
              textAnchor="end"
              fontSize={12}
              fontWeight={here ? 600 : 400}
              fill={here ? 'var(--blue)' : 'var(--ink)'}
            >
              {ink.name.length > 17 ? `${ink.name.slice(0, 16)}…` : ink.name}
            </text>
            <Row ink={ink} y={y} height={height} today={today} hatch={hatch} />
          </g>
        );
      })}
      <TimeAxis today={today} top={4} bottom={bottom} />
      <text x={YEAR.left} y={bottom + 31} fontSize={11.5} fill="var(--soft)">
        bar: a cartridge, full above, empty below · hatched: first set · dot: the gauge ·
        line: empty by then, four times in five · ▲ buy by
      </text>
    </Plate>
  );
}
