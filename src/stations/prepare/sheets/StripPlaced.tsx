'use client';
import type { PixelRect } from '@/core/prepare';
import { layOutStrip } from '@/core/proof';

/** A control strip as it lies on a sheet, to its scale; its colours are known when it is written. */
export const StripPlaced = ({
  place,
  ppi,
  scale,
}: {
  place: PixelRect;
  ppi: number;
  scale: number;
}) => (
  <g transform={`translate(${place.left * scale} ${place.top * scale})`}>
    {layOutStrip(ppi).places.map(({ left, top, width, height }, i) => (
      <rect
        key={i}
        x={left * scale}
        y={top * scale}
        width={width * scale}
        height={height * scale}
        fill={`hsl(0 0% ${90 - ((i * 37) % 60)}%)`}
        stroke="#fdfdfc"
        strokeWidth={0.4}
      />
    ))}
  </g>
);
