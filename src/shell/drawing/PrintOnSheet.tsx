'use client';
import type { FitResult } from '@/core/size';

interface PrintOnSheetProps {
  fit: FitResult;
  /** Address of the picture; without one a plain field stands for it. */
  picture: string | null;
  /** Drawing units per millimetre. */
  scale: number;
  x: number;
  y: number;
  picked?: boolean;
}

/** One print to scale, inside an `svg`: the sheet, its white border, and the real picture in it. */
export function PrintOnSheet({ fit, picture, scale, x, y, picked }: PrintOnSheetProps) {
  const { sheet, image, crop } = fit;
  const w = sheet.width * scale;
  const h = sheet.height * scale;
  const left = x + fit.left * scale;
  const top = y + fit.above * scale;
  const iw = image.width * scale;
  const ih = image.height * scale;
  return (
    <g>
      {picked && (
        <rect
          x={x - 5}
          y={y - 5}
          width={w + 10}
          height={h + 10}
          fill="none"
          stroke="var(--blue)"
          strokeWidth={2.5}
        />
      )}
      <rect x={x + 1} y={y + 1.5} width={w} height={h} fill="rgba(0,0,0,.25)" />
      <rect x={x} y={y} width={w} height={h} fill="#fdfdfc" />
      <svg
        x={left}
        y={top}
        width={iw}
        height={ih}
        viewBox={`${crop.left} ${crop.top} ${crop.width} ${crop.height}`}
        preserveAspectRatio="none"
      >
        {picture ? (
          <image
            href={picture}
            x={0}
            y={0}
            width={1}
            height={1}
            preserveAspectRatio="none"
          />
        ) : (
          <rect width={1} height={1} fill="#9c9c9c" />
        )}
      </svg>
    </g>
  );
}
