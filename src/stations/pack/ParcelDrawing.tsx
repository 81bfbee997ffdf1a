'use client';
import type { Packing } from '@/core/pack';
import { Dimension, Pencil, PrintOnSheet, useFormat } from '@/shell';
import type { ReckonedParcel } from './parcel';

const WIDTH = 770;
const HEIGHT = 322;
const BOX = 208;
const TOP = 34;

interface Layer {
  name: string;
  note: string;
  width: number;
  height: number;
  fill: string;
  stroke: string;
}

const flatLayers = (
  p: Extract<Packing, { way: 'flat' }>,
  print: ReckonedParcel['print'],
  format: ReturnType<typeof useFormat>,
): Layer[] => [
  {
    name: 'Mailer',
    note: `${format.size(p.mailer)} · ${format.mass(p.mailer.mass)}`,
    width: p.mailer.width,
    height: p.mailer.height,
    fill: '#b59b70',
    stroke: '#836c45',
  },
  {
    name: 'Backing board',
    note: `${format.size(p.board)} · ${format.mass(p.board.mass)}`,
    width: p.board.width,
    height: p.board.height,
    fill: '#dcd7c9',
    stroke: '#9d9887',
  },
  {
    name: 'Print',
    note: `${format.size(print)} · ${print.weight} g/m²`,
    width: print.width,
    height: print.height,
    fill: '#fdfdfc',
    stroke: '#bbb',
  },
  {
    name: 'Sleeve',
    note: `${format.size(p.sleeve)} · ${format.mass(p.sleeve.mass)}`,
    width: p.sleeve.width,
    height: p.sleeve.height,
    fill: 'rgba(255,255,255,.34)',
    stroke: '#fff',
  },
];

/** The parts of the parcel to one scale: fanned out flat, or the tube beside the sheet. */
export function ParcelDrawing({
  reckoned,
  picture,
}: {
  reckoned: ReckonedParcel;
  picture: string | null;
}) {
  const format = useFormat();
  const { packing, print, fit, label } = reckoned;
  if (packing.way === 'none') return null;
  // The sheet as it lies: landscape material is turned with it.
  const lies = print.width > print.height;
  const turn = (l: Layer): Layer =>
    lies !== l.width > l.height ? { ...l, width: l.height, height: l.width } : l;
  if (packing.way === 'flat') {
    const layers = flatLayers(packing, print, format).map(turn);
    const first = layers[0]!;
    const scale = Math.min(BOX / first.height, 250 / first.width);
    const step = Math.min(128, (WIDTH - 150 - first.width * scale) / 3);
    return (
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={[
          ...layers.map(
            (l) => `${l.name}${l.name === 'Print' ? ` ${label}` : ''} ${l.note}`,
          ),
          `Mailer ${format.length(first.width)} wide`,
        ].join('; ')}
      >
        <Dimension
          from={8}
          to={8 + first.width * scale}
          at={18}
          text={format.length(first.width)}
        />
        {layers.map((l, i) => {
          const x = 8 + i * step;
          const y = TOP + (first.height - l.height) * scale * 0.5;
          return (
            <g key={l.name}>
              {l.name === 'Print' && fit ? (
                <PrintOnSheet fit={fit} picture={picture} scale={scale} x={x} y={y} />
              ) : (
                <rect
                  x={x}
                  y={y}
                  width={l.width * scale}
                  height={l.height * scale}
                  fill={l.fill}
                  stroke={l.stroke}
                />
              )}
            </g>
          );
        })}
        {layers.map((l, i) => {
          // The rightmost part has the topmost line, so that no leader crosses another's words.
          const x = 8 + i * step + 8;
          const y = TOP + first.height * scale + 16 + (layers.length - 1 - i) * 17;
          const column = 8 + (layers.length - 1) * step + 30;
          return (
            <g key={l.name}>
              <path
                d={`M${x} ${TOP + ((first.height + l.height) * scale) / 2}V${y - 4}H${column - 6}`}
                fill="none"
                stroke="#555"
                strokeWidth={0.9}
              />
              <text
                x={column}
                y={y}
                fontSize={13}
                fill="var(--ink)"
                fontFamily="Newsreader"
              >
                {l.name}
                {l.name === 'Print' && ` ${label}`}
                <tspan dx={10} fontFamily="Commissioner" fontSize={11.5} fill="var(--soft)">
                  {l.note}
                </tspan>
              </text>
            </g>
          );
        })}
      </svg>
    );
  }
  const { tube } = packing;
  const scale = Math.min(
    (WIDTH - 120) / (tube.length + print.width),
    (HEIGHT - 76) / Math.max(print.height, tube.diameter),
  );
  const w = print.width * scale;
  const tx = w + 90;
  const tw = tube.length * scale;
  const td = (tube.diameter + 2 * tube.wall) * scale;
  const ty = TOP + (print.height * scale - td) / 2;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={`Print ${label}, ${format.length(print.width)} wide, rolled into ${tube.name}, inside ${format.length(tube.diameter)}, length ${format.length(tube.length)}, ${format.mass(tube.mass)}`}
    >
      <Dimension from={10} to={10 + w} at={18} text={format.length(print.width)} />
      {fit && <PrintOnSheet fit={fit} picture={picture} scale={scale} x={10} y={TOP} />}
      <rect x={tx} y={ty} width={tw} height={td} fill="#b59b70" stroke="#836c45" />
      <ellipse
        cx={tx}
        cy={ty + td / 2}
        rx={Math.max(3, td * 0.16)}
        ry={td / 2}
        fill="#8f7850"
        stroke="#6d5937"
      />
      <Dimension from={tx} to={tx + tw} at={ty - 14} text={format.length(tube.length)} />
      <text x={tx} y={ty + td + 22} fontSize={13} fontFamily="Newsreader" fill="var(--ink)">
        {tube.name}
        <tspan dx={10} fontFamily="Commissioner" fontSize={11.5} fill="var(--soft)">
          inside {format.length(tube.diameter)} · {format.mass(tube.mass)}
        </tspan>
      </text>
      <text
        x={10}
        y={TOP + print.height * scale + 22}
        fontSize={13}
        fontFamily="Newsreader"
        fill="var(--ink)"
      >
        Print <Pencil as="tspan">{label}</Pencil>
        <tspan dx={10} fontFamily="Commissioner" fontSize={11.5} fill="var(--soft)">
          picture outward, with tissue
        </tspan>
      </text>
    </svg>
  );
}

/** What the parcel should weigh, part by part, and where the scales stand. */
export function WeightBar({
  reckoned,
  weighed,
}: {
  reckoned: ReckonedParcel;
  weighed: number | null;
}) {
  const format = useFormat();
  const { parcel, scales } = reckoned;
  if (!parcel) return null;
  const fills: Record<string, string> = {
    mailer: '#b59b70',
    tube: '#b59b70',
    board: '#dcd7c9',
    print: '#fdfdfc',
    sleeve: '#eee',
    certificate: '#e5ddc3',
    note: '#f1ead6',
  };
  const most = Math.max(parcel.total, weighed ?? 0) * 1.04;
  const x = (g: number) => 6 + (g / most) * (WIDTH - 20);
  let at = 0;
  const parts = [...parcel.parts].sort((a, b) => b.mass - a.mass);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 74`}
      width="100%"
      role="img"
      aria-label={`${parts.map((p) => `${p.name} ${format.mass(p.mass)}`).join(', ')}; together ${format.mass(parcel.total)}${weighed === null ? '' : `; scales ${format.mass(weighed)}`}`}
    >
      {parts.map((p) => {
        const left = x(at);
        at += p.mass;
        const w = x(at) - left;
        return (
          <g key={p.part}>
            <rect
              x={left}
              y={16}
              width={w}
              height={24}
              fill={fills[p.part] ?? '#eee'}
              stroke="#6b6558"
              strokeWidth={0.8}
            />
            {w > 66 && (
              <text x={left + 6} y={32} fontSize={11.5} fill="#161616">
                {p.part} {format.mass(p.mass)}
              </text>
            )}
          </g>
        );
      })}
      {weighed !== null && (
        <g stroke={scales?.agrees ? 'var(--ink)' : 'var(--brick)'} strokeWidth={2}>
          <path d={`M${x(weighed)} 8V50`} />
          <text
            x={Math.min(x(weighed), WIDTH - 60)}
            y={64}
            textAnchor="middle"
            fontSize={12}
            stroke="none"
            fill={scales?.agrees ? 'var(--ink)' : 'var(--brick)'}
          >
            scales {format.mass(weighed)}
          </text>
        </g>
      )}
    </svg>
  );
}
