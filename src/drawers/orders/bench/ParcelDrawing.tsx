'use client';
import { Dimension, Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { layersOf, saidOf } from './parcelLayers';
import type { Layer } from './parcelLayers';
import { Rolled } from './RolledDrawing';
import { WIDTH, BOX, TOP, LINE, Words, Sheet, previewOf } from './parcelParts';
import type { Props } from './parcelParts';

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
    <Plate name="Parcel" width={WIDTH} height={height} said={saidOf(layers, format)}>
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
    </Plate>
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
