'use client';
import type { Pieces } from '@/core/capture/plan';
import type { Size } from '@/core/units';
import { Dimension, Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 420;
const HEIGHT = 520;
const ROOM = 46;

interface PiecesDrawingProps {
  original: Size;
  pieces: Pieces | null;
  picture: string | null;
  what: string;
}

/** The original to scale, and the numbered pieces that cover it. */
export function PiecesDrawing({ original, pieces, picture, what }: PiecesDrawingProps) {
  const format = useFormat();
  const all = pieces?.pieces ?? [];
  const left = Math.min(0, ...all.map((p) => p.left));
  const top = Math.min(0, ...all.map((p) => p.top));
  const right = Math.max(original.width, ...all.map((p) => p.left + p.width));
  const bottom = Math.max(original.height, ...all.map((p) => p.top + p.height));
  const scale = Math.min(
    (WIDTH - 2 * ROOM) / (right - left),
    (HEIGHT - 2 * ROOM) / (bottom - top),
  );
  const x = (mm: number) => (WIDTH - (right - left) * scale) / 2 + (mm - left) * scale;
  const y = (mm: number) => ROOM + (mm - top) * scale;
  const first = all[0];
  return (
    <Plate
      name="Pieces"
      width={WIDTH}
      height={HEIGHT}
      said={`${what}: the work, ${format.length(original.width)} × ${format.length(original.height)}, ${first && all.length > 1 ? `covered by pieces of ${format.length(first.width)} × ${format.length(first.height)}, numbered ${all.map((p) => p.number).join(', ')}` : 'in 1 piece'}`}
    >
      <rect
        x={x(0)}
        y={y(0)}
        width={original.width * scale}
        height={original.height * scale}
        fill="#f6f6f4"
        stroke="#161616"
      />
      {picture && (
        <image
          href={picture}
          x={x(0)}
          y={y(0)}
          width={original.width * scale}
          height={original.height * scale}
          preserveAspectRatio="none"
          opacity={0.75}
        />
      )}
      {all.map((p) => (
        <g key={p.number}>
          <rect
            x={x(p.left)}
            y={y(p.top)}
            width={p.width * scale}
            height={p.height * scale}
            fill="#17406a"
            fillOpacity={0.1}
            stroke="#17406a"
            strokeWidth={1.4}
          />
          <rect
            x={x(p.left + p.width / 2) - 12}
            y={y(p.top + p.height / 2) - 12}
            width={24}
            height={24}
            fill="#ffffffe0"
          />
          <text
            x={x(p.left + p.width / 2)}
            y={y(p.top + p.height / 2) + 5}
            textAnchor="middle"
            fontSize={15}
            fontWeight={600}
            fill="#17406a"
          >
            {p.number}
          </text>
        </g>
      ))}
      <Dimension
        from={x(0)}
        to={x(original.width)}
        at={y(bottom) + 22}
        text={`work ${format.length(original.width)}`}
      />
      <Dimension
        from={y(0)}
        to={y(original.height)}
        at={x(left) - 20}
        text={`work ${format.length(original.height)}`}
        upright
      />
      {first && all.length > 1 && (
        <>
          <Dimension
            from={x(first.left)}
            to={x(first.left + first.width)}
            at={y(top) - 16}
            text={format.length(first.width)}
          />
          <Dimension
            from={y(first.top)}
            to={y(first.top + first.height)}
            at={x(right) + 20}
            text={format.length(first.height)}
            upright
          />
        </>
      )}
    </Plate>
  );
}
