'use client';
import type { CropRect } from '@/core/size';

/** Around the picture, so that the corners of a crop of all of it can be met. */
export const MARGIN = 6;
const HANDLE = 11;

interface CropDrawnProps {
  picture: string | null;
  /** Of the picture on the screen. */
  width: number;
  height: number;
  part: CropRect;
  seen: CropRect;
  area: CropRect | null;
  drawing: boolean;
}

/** The picture and the crop on it, inside an `svg`: what is left out veiled, thirds, frames, corners to hold. */
export function CropDrawn(props: CropDrawnProps) {
  const { picture, width, height, part, seen, area, drawing } = props;
  const box = (r: CropRect) => ({
    x: MARGIN + r.left * width,
    y: MARGIN + r.top * height,
    width: r.width * width,
    height: r.height * height,
  });
  const b = box(part);
  const thirds = [1, 2].map((n) => n / 3);
  const corners = [
    [b.x, b.y, 'nwse'],
    [b.x + b.width, b.y, 'nesw'],
    [b.x, b.y + b.height, 'nesw'],
    [b.x + b.width, b.y + b.height, 'nwse'],
  ] as const;
  return (
    <>
      {picture ? (
        <image
          href={picture}
          x={MARGIN}
          y={MARGIN}
          width={width}
          height={height}
          preserveAspectRatio="none"
        />
      ) : (
        <rect x={MARGIN} y={MARGIN} width={width} height={height} fill="#9c9c9c" />
      )}
      <path
        d={`M${MARGIN} ${MARGIN}h${width}v${height}h${-width}zM${b.x} ${b.y}v${b.height}h${b.width}v${-b.height}z`}
        fill="rgba(198,198,198,.74)"
      />
      <g stroke="#fff" strokeWidth={1} opacity={0.75} pointerEvents="none">
        {thirds.map((t) => (
          <path
            key={t}
            d={`M${b.x + t * b.width} ${b.y}v${b.height}M${b.x} ${b.y + t * b.height}h${b.width}`}
            strokeDasharray="1 4"
          />
        ))}
        <path
          d={`M${b.x + b.width / 2 - 9} ${b.y + b.height / 2}h18M${b.x + b.width / 2} ${b.y + b.height / 2 - 9}v18`}
        />
      </g>
      {seen !== part && (
        <rect
          {...box(seen)}
          fill="none"
          stroke="#161616"
          strokeDasharray="5 3"
          pointerEvents="none"
        />
      )}
      <rect {...b} fill="transparent" stroke="#fff" strokeWidth={3} cursor="move" />
      <rect {...b} fill="none" stroke="#161616" strokeWidth={1} pointerEvents="none" />
      {area && (
        <rect
          {...box(area)}
          fill="none"
          stroke="#161616"
          strokeWidth={1.5}
          strokeDasharray="2 3"
          pointerEvents="none"
          data-testid="kept-area"
        />
      )}
      {!drawing &&
        corners.map(([x, y, turn]) => (
          <g key={`${x} ${y}`} cursor={`${turn}-resize`}>
            <circle cx={x} cy={y} r={HANDLE * 1.7} fill="transparent" data-handle />
            <rect
              x={x - HANDLE / 2}
              y={y - HANDLE / 2}
              width={HANDLE}
              height={HANDLE}
              fill="#fff"
              stroke="#161616"
              data-handle
            />
          </g>
        ))}
    </>
  );
}
