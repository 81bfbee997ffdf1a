'use client';
import { layOutStrip } from '@/core/proof';
import { Plate, labCss } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { MeasuredProof } from '@/studio';

const SIDE = 46;
/** Difference from which a patch is marked: seen side by side. */
const SEEN = 2;
/** Places of a strip that is as wide as it is drawn. */
const { places, width, height, side } = layOutStrip(300);
const SCALE = SIDE / side;

/** The strip as it lies: of each patch the master above, the print below, over the white of its paper. */
export function StripDrawing({ measured }: { measured: MeasuredProof }) {
  const format = useFormat();
  const of = (v: number) => format.number(v, 1);
  const found = new Map(measured.drift.patches.map((p) => [p.name, p]));
  const rows = measured.strip.map((p) => {
    const read = found.get(p.name);
    return [
      p.name,
      ...p.lab.map(of),
      ...(read ? read.reading.map(of) : ['–', '–', '–']),
      read ? of(read.difference) : '–',
    ];
  });
  return (
    <Plate
      name="Control strip"
      fixed
      width={width * SCALE + 90}
      height={height * SCALE + 2}
      said={`Control strip of 36 patches, each the master above and the print below; mean ΔE00 ${of(measured.drift.mean)}, worst ${measured.drift.worst.name} with ${of(measured.drift.worst.difference)}`}
      figures={{
        heads: ['patch', 'L*', 'a*', 'b*', 'L* print', 'a*', 'b*', 'ΔE00'],
        rows,
      }}
    >
      <g transform="translate(1 1)">
        {measured.strip.map((p, i) => {
          const { left, top } = places[i] ?? { left: 0, top: 0 };
          const read = found.get(p.name);
          const [x, y] = [left * SCALE, top * SCALE];
          const light = p.lab[0] > 55;
          return (
            <g key={p.name} transform={`translate(${x} ${y})`}>
              <title>
                {p.name}
                {read ? `: ΔE00 ${of(read.difference)}` : ', not read'}
              </title>
              <rect width={SIDE} height={SIDE / 2} fill={labCss(p.lab)} />
              <rect
                y={SIDE / 2}
                width={SIDE}
                height={SIDE / 2}
                fill={read ? labCss(read.reading) : labCss(p.lab)}
              />
              {read && read.difference >= SEEN && (
                <text
                  x={SIDE - 4}
                  y={SIDE - 5}
                  fontSize={11.5}
                  textAnchor="end"
                  fill={light ? '#161616' : '#fdfdfc'}
                >
                  {of(read.difference)}
                </text>
              )}
              {!read && p.kind !== 'paper' && (
                <path
                  d={`M6 6 L${SIDE - 6} ${SIDE - 6} M${SIDE - 6} 6 L6 ${SIDE - 6}`}
                  stroke={light ? '#161616' : '#fdfdfc'}
                />
              )}
              <rect width={SIDE} height={SIDE} fill="none" stroke="#fdfdfc" />
            </g>
          );
        })}
      </g>
    </Plate>
  );
}
