'use client';
import { scaleLinear } from 'd3';
import type { Rung } from '@/core/size';
import { Plate, useDrawnId } from '@/shell/drawing';
import { useBench, useFormat } from '@/shell/figures';

const WIDTH = 770;
const LEFT = 96;
const ROW = 21;
const TOP = 18;
/** Drawn to this distance at most, mm; what lies beyond is said in figures. */
const FARTHEST = 6000;

/** From how far each size is crisp (where the hatching ends) and where people stand (the pin). */
export function DistanceChart({
  rungs,
  picked,
  onPick,
}: {
  rungs: Rung[];
  picked: string;
  onPick: (key: string) => void;
}) {
  const format = useFormat();
  const { units } = useBench();
  const hatch = useDrawnId('hatch');
  const farthest = Math.max(
    ...rungs.map((r) =>
      Math.max(r.judgement.figures.standing, r.judgement.figures.crispFrom),
    ),
  );
  const x = scaleLinear()
    .domain([0, Math.min(farthest * 1.06, FARTHEST)])
    .range([LEFT, WIDTH - 16])
    .clamp(true);
  const step =
    units === 'metric' ? (farthest > 2600 ? 1000 : 500) : farthest > 2600 ? 914.4 : 304.8;
  const ticks = Array.from(
    { length: Math.floor((x.domain()[1] ?? 0) / step) + 1 },
    (_, i) => i * step,
  );
  const bottom = TOP + rungs.length * ROW + 6;
  return (
    <Plate
      name="Distances"
      width={WIDTH}
      height={bottom + 34}
      figures={{
        heads: ['size', 'crisp from', 'people stand at'],
        rows: rungs.map(({ label, judgement: { figures } }) => [
          label,
          format.distance(figures.crispFrom),
          format.distance(figures.standing),
        ]),
      }}
      said={rungs
        .map(
          (r) =>
            `${r.label}: crisp from ${format.distance(r.judgement.figures.crispFrom)}, people stand at ${format.distance(r.judgement.figures.standing)}`,
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
          <path d="M0 0V6" stroke="var(--ink)" strokeWidth="1.1" opacity="0.55" />
        </pattern>
      </defs>
      {rungs.map((r, i) => {
        const y = TOP + i * ROW;
        const { crispFrom, standing } = r.judgement.figures;
        const here = r.key === picked;
        const pin = x(standing);
        return (
          <g key={r.key} onClick={() => onPick(r.key)} style={{ cursor: 'pointer' }}>
            <rect x={0} y={y} width={WIDTH} height={ROW} fill="transparent" />
            <text
              x={LEFT - 10}
              y={y + 13}
              textAnchor="end"
              fontSize={12}
              fontWeight={here ? 600 : 400}
              fill={here ? 'var(--blue)' : 'var(--ink)'}
            >
              {r.label.replace(/ (cm|in)$/, '')}
            </text>
            <rect
              x={LEFT}
              y={y + 4}
              width={x(crispFrom) - LEFT}
              height={10}
              fill={`url(#${hatch})`}
            />
            <rect
              x={x(crispFrom)}
              y={y + 4}
              width={Math.max(0, WIDTH - 16 - x(crispFrom))}
              height={10}
              fill={here ? 'var(--blue)' : '#f6f6f6'}
              stroke="#777"
              strokeWidth={0.6}
            />
            <path
              d={`M${pin} ${y + 1}v16`}
              stroke={here && standing > crispFrom ? '#fff' : '#111'}
              strokeWidth={2}
            />
            {Math.max(crispFrom, standing) > FARTHEST && (
              <text
                x={WIDTH - 20}
                y={y + 13}
                textAnchor="end"
                fontSize={11}
                fill="#111"
                stroke="#f6f6f6"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {[
                  crispFrom > FARTHEST && `crisp from ${format.distance(crispFrom)}`,
                  standing > FARTHEST && `pin at ${format.distance(standing)}`,
                ]
                  .filter(Boolean)
                  .join(', ')}{' '}
                →
              </text>
            )}
            <circle
              cx={pin}
              cy={y + 1}
              r={2.6}
              fill="#111"
              stroke="#f6f6f6"
              strokeWidth={0.5}
            />
          </g>
        );
      })}
      <path d={`M${LEFT} ${bottom}H${WIDTH - 16}`} stroke="var(--ink)" />
      {ticks.map((t) => (
        <g key={t} data-axis>
          <path d={`M${x(t)} ${bottom}v5`} stroke="var(--ink)" />
          <text
            x={x(t)}
            y={bottom + 17}
            textAnchor="middle"
            fontSize={11.5}
            fill="var(--ink)"
          >
            {t === 0 ? '0' : format.distance(t)}
          </text>
        </g>
      ))}
      <text x={LEFT} y={bottom + 31} fontSize={11.5} fill="var(--soft)">
        hatched: the eye can tell · plain: crisp · pin: where the whole picture is seen
      </text>
    </Plate>
  );
}
