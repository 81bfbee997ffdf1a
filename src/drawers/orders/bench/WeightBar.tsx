'use client';
import type { Part, PartKind } from '@/core/pack';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 770;
/** A part narrower than this has no room for its words. */
const NAMED = 96;
const FILLS: Partial<Record<PartKind, string>> = {
  mailer: '#b59b70',
  tube: '#b59b70',
  board: '#dcd7c9',
  print: '#fdfdfc',
  goods: '#f3e9d2',
  sleeve: '#eee',
  certificate: '#e5ddc3',
  note: '#f1ead6',
};

/** What the parcel should weigh, part by part, and where the scales stand. */
export function WeightBar({
  parts,
  total,
  weighed,
  agrees,
}: {
  parts: readonly Part[];
  total: number;
  weighed: number | null;
  agrees: boolean;
}) {
  const format = useFormat();
  const most = Math.max(total, weighed ?? 0) * 1.04;
  const x = (g: number) => 6 + (g / most) * (WIDTH - 20);
  let at = 0;
  const heavy = parts.filter((p) => p.mass > 0).sort((a, b) => b.mass - a.mass);
  const colour = agrees ? 'var(--ink)' : 'var(--brick)';
  return (
    <Plate
      name="What the parcel weighs"
      width={WIDTH}
      height={92}
      figures={{
        heads: ['part', 'mass'],
        rows: [
          ...heavy.map((p) => [p.name ?? p.part, format.mass(p.mass)]),
          ['computed', format.mass(total)],
          ...(weighed === null ? [] : [['scales', format.mass(weighed)]]),
        ],
      }}
      said={`${heavy.map((p) => `${p.name ?? p.part} ${format.mass(p.mass)}`).join(', ')}; together ${format.mass(total)}${weighed === null ? '' : `; scales ${format.mass(weighed)}`}`}
    >
      {heavy.map((p) => {
        const left = x(at);
        at += p.mass;
        const w = x(at) - left;
        return (
          <g key={p.key}>
            <rect
              x={left}
              y={24}
              width={w}
              height={24}
              fill={FILLS[p.part] ?? '#eee'}
              stroke="#6b6558"
              strokeWidth={0.8}
            />
            {w > NAMED && (
              <text x={left + 6} y={40} fontSize={11.5} fill="#161616">
                {p.part} {format.mass(p.mass)}
              </text>
            )}
          </g>
        );
      })}
      {weighed !== null && (
        <g stroke={colour} strokeWidth={2}>
          <path d={`M${x(weighed)} 14V58`} />
          <text
            x={Math.min(x(weighed), WIDTH - 60)}
            y={70}
            textAnchor="middle"
            fontSize={12}
            stroke="none"
            fill={colour}
          >
            scales {format.mass(weighed)}
          </text>
        </g>
      )}
      <text x={6} y={86} fontSize={11.5} fill="var(--ink)">
        {heavy
          .filter((p) => x(p.mass) - x(0) <= NAMED)
          .map((p) => `${p.part} ${format.mass(p.mass)}`)
          .join(' · ')}
      </text>
    </Plate>
  );
}
