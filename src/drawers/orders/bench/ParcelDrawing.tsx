'use client';
import type { Part } from '@/core/pack';
import { Dimension, PrintOnSheet } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { Format } from '@/shell/figures';
import type { OrderBenchView, ParcelView } from './view';

const WIDTH = 770;
const BOX = 196;
const TOP = 34;
const LINE = 17;

type Lines = ParcelView['lines'];

/** One thing of a parcel as it is drawn: its size, its name, its colour or its picture. */
interface Layer {
  key: string;
  name: string;
  note: string;
  width: number;
  height: number;
  fill: string;
  stroke: string;
  line: Lines[number] | null;
}

const FILLS: Partial<Record<Part['part'], [string, string, string]>> = {
  mailer: ['Mailer', '#b59b70', '#836c45'],
  board: ['Backing board', '#dcd7c9', '#9d9887'],
  print: ['Print', '#fdfdfc', '#bbb'],
  sleeve: ['Sleeve', 'rgba(255,255,255,.34)', '#fff'],
  tube: ['Tube', '#b59b70', '#836c45'],
};
/** In the order in which they lie, the lowest first. */
const ORDER: Part['part'][] = ['mailer', 'board', 'print', 'sleeve'];

function layersOf(parts: readonly Part[], lines: Lines, format: Format): Layer[] {
  const drawn = ORDER.flatMap((kind) => parts.filter((p) => p.part === kind && p.size));
  // Of several sleeves the last is drawn, or the prints would not be seen.
  const last = drawn.findLast((p) => p.part === 'sleeve');
  return drawn
    .filter((p) => p.part !== 'sleeve' || p === last)
    .map((p) => {
      const [name, fill, stroke] = FILLS[p.part]!;
      const line = lines.find((l) => l.id === p.line) ?? null;
      const lies = lines.find((l) => l.sheet)?.sheet;
      const turned = lies && lies.width > lies.height !== p.size!.width > p.size!.height;
      const own = p.part === 'print';
      return {
        key: p.key,
        name: own ? (line?.work ?? name) : name,
        note: `${format.size(p.size!)} · ${format.mass(p.mass)}`,
        width: turned && !own ? p.size!.height : p.size!.width,
        height: turned && !own ? p.size!.width : p.size!.height,
        fill,
        stroke,
        line: own ? line : null,
      };
    });
}

/** The name of a part and its figures, at the end of its leader. */
const Words = ({ layer, x, y }: { layer: Layer; x: number; y: number }) => (
  <text x={x} y={y} fontSize={13} fill="var(--ink)" fontFamily="Newsreader">
    {layer.name}
    {layer.line?.label && ` ${layer.line.label}`}
    <tspan dx={10} fontFamily="Commissioner" fontSize={11.5} fill="var(--soft)">
      {layer.note}
    </tspan>
  </text>
);

const Sheet = ({
  layer,
  preview,
  scale,
  x,
  y,
}: {
  layer: Layer;
  preview: string | null;
  scale: number;
  x: number;
  y: number;
}) =>
  layer.line?.fit ? (
    <PrintOnSheet fit={layer.line.fit} picture={preview} scale={scale} x={x} y={y} />
  ) : (
    <rect
      x={x}
      y={y}
      width={layer.width * scale}
      height={layer.height * scale}
      fill={layer.fill}
      stroke={layer.stroke}
    />
  );

interface Props {
  parts: readonly Part[];
  lines: Lines;
  previews: OrderBenchView['previews'];
}

const previewOf = (layer: Layer, previews: Props['previews']): string | null =>
  (layer.line?.workId != null && previews[layer.line.workId]) || null;

/** What is drawn, in words: each thing with its figures, and the width that is measured. */
const saidOf = (layers: Layer[], format: Format): string =>
  [
    ...layers.map((l) => `${l.name} ${l.line?.label ?? ''} ${l.note}`),
    `${format.length(layers[0]!.width)} wide`,
  ].join('; ');

/** The parts of a flat parcel to one scale, fanned out. */
function Flat({ layers, previews }: { layers: Layer[]; previews: Props['previews'] }) {
  const format = useFormat();
  const tallest = Math.max(...layers.map((l) => l.height));
  const widest = Math.max(...layers.map((l) => l.width));
  const scale = Math.min(BOX / tallest, 250 / widest);
  const count = Math.max(1, layers.length - 1);
  const step = Math.min(128, (WIDTH - 150 - widest * scale) / count);
  const height = TOP + tallest * scale + 22 + layers.length * LINE;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      width="100%"
      role="img"
      aria-label={saidOf(layers, format)}
    >
      <Dimension
        from={8}
        to={8 + layers[0]!.width * scale}
        at={18}
        text={format.length(layers[0]!.width)}
      />
      {layers.map((l, i) => (
        <Sheet
          key={l.key}
          layer={l}
          preview={previewOf(l, previews)}
          scale={scale}
          x={8 + i * step}
          y={TOP + (tallest - l.height) * scale * 0.5}
        />
      ))}
      {layers.map((l, i) => {
        // The rightmost part has the topmost line, so that no leader crosses another's words.
        const x = 16 + i * step;
        const y = TOP + tallest * scale + 16 + (layers.length - 1 - i) * LINE;
        const column = 38 + count * step;
        return (
          <g key={l.key}>
            <path
              d={`M${x} ${TOP + ((tallest + l.height) * scale) / 2}V${y - 4}H${column - 6}`}
              fill="none"
              stroke="#555"
              strokeWidth={0.9}
            />
            <Words layer={l} x={column} y={y} />
          </g>
        );
      })}
    </svg>
  );
}

/** The prints of a rolled parcel beside their tube, to one scale. */
function Rolled({
  prints,
  tube,
  previews,
}: {
  prints: Layer[];
  tube: Part;
  previews: Props['previews'];
}) {
  const format = useFormat();
  const fan = 16;
  const widest = Math.max(...prints.map((p) => p.width));
  const tallest = Math.max(...prints.map((p) => p.height));
  const length = tube.size!.width;
  const scale = Math.min(
    (WIDTH - 130 - fan * prints.length) / (length + widest),
    226 / tallest,
  );
  const w = widest * scale + fan * (prints.length - 1);
  const tx = w + 90;
  const td = tube.size!.height * scale;
  const ty = TOP + (tallest * scale - td) / 2;
  const foot = TOP + tallest * scale + fan * (prints.length - 1);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${foot + 14 + prints.length * LINE}`}
      width="100%"
      role="img"
      aria-label={`${saidOf(prints, format)}; rolled into ${tube.name}, ${format.length(length)} long, ${format.mass(tube.mass)}`}
    >
      <Dimension
        from={10}
        to={10 + prints[0]!.width * scale}
        at={18}
        text={format.length(prints[0]!.width)}
      />
      {prints.map((p, i) => (
        <Sheet
          key={p.key}
          layer={p}
          preview={previewOf(p, previews)}
          scale={scale}
          x={10 + i * fan}
          y={TOP + i * fan}
        />
      ))}
      <rect
        x={tx}
        y={ty}
        width={length * scale}
        height={td}
        fill="#b59b70"
        stroke="#836c45"
      />
      <ellipse
        cx={tx}
        cy={ty + td / 2}
        rx={Math.max(3, td * 0.16)}
        ry={td / 2}
        fill="#8f7850"
        stroke="#6d5937"
      />
      <Dimension
        from={tx}
        to={tx + length * scale}
        at={ty - 14}
        text={format.length(length)}
      />
      <text x={tx} y={ty + td + 22} fontSize={13} fontFamily="Newsreader" fill="var(--ink)">
        {tube.name}
        <tspan dx={10} fontFamily="Commissioner" fontSize={11.5} fill="var(--soft)">
          {format.mass(tube.mass)}
        </tspan>
      </text>
      {prints.map((p, i) => (
        <Words key={p.key} layer={p} x={10} y={foot + 18 + i * LINE} />
      ))}
    </svg>
  );
}

/** The parts of the parcel to one scale: fanned out flat, or the tube beside the sheets. */
export function ParcelDrawing({ parts, lines, previews }: Props) {
  const format = useFormat();
  const layers = layersOf(parts, lines, format);
  const tube = parts.find((p) => p.part === 'tube' && p.size);
  if (tube)
    return <Rolled prints={layers.filter((l) => l.line)} tube={tube} previews={previews} />;
  return layers.length > 0 ? <Flat layers={layers} previews={previews} /> : null;
}
