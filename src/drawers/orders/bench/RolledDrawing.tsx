'use client';
import type { Part } from '@/core/pack';
import { Dimension, Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { saidOf } from './parcelLayers';
import type { Layer } from './parcelLayers';
import { WIDTH, TOP, LINE, Words, Sheet, previewOf } from './parcelParts';
import type { Props } from './parcelParts';

/** The prints of a rolled parcel beside their tube, to one scale. */
export function Rolled({
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
    <Plate
      name="Parcel"
      width={WIDTH}
      height={foot + 14 + prints.length * LINE}
      said={`${saidOf(prints, format)}; rolled into ${tube.name}, ${format.length(length)} long, ${format.mass(tube.mass)}`}
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
    </Plate>
  );
}
