'use client';
import type { ProofLayout, ProofSize } from '@/core/prepare';
import { Dimension, Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { StripPlaced } from './StripPlaced';

interface ProofDrawingProps {
  layout: ProofLayout;
  sizes: readonly ProofSize[];
  preview: string | null;
  whole: { width: number; height: number };
  ppi: number;
}

const ROOM = { width: 356, height: 404 };

/** A number in a white corner. */
function Numbered({ number, letter }: { number: number; letter: number }) {
  const [wide, high] = [letter * 1.43, letter * 1.24];
  return (
    <>
      <rect width={wide} height={high} fill="#fff" />
      <text
        x={wide / 2}
        y={letter * 0.95}
        fontSize={letter}
        textAnchor="middle"
        fill="#161616"
      >
        {number}
      </text>
    </>
  );
}

/** The laid out proof sheet to scale: every piece with what it shows of the picture. */
export function ProofDrawing({ layout, sizes, preview, whole, ppi }: ProofDrawingProps) {
  const format = useFormat();
  const { sheet, width, height, pieces, overview, strip, check } = layout;
  const scale = Math.min(ROOM.width / width, ROOM.height / height);
  const [w, h] = [width * scale, height * scale];
  const across = format.length(sheet.width);
  const down = format.length(sheet.height);
  return (
    <Plate
      name="Proof sheet"
      fixed
      width={w + 44}
      height={h + 34}
      said={`Proof sheet ${sheet.name}, ${across} by ${down}, with ${pieces.length} pieces${overview ? ' and the whole picture small' : ''}${strip ? ', and a control strip of 36 patches' : ''}; ${pieces.map((p) => p.number).join(', ')}`}
    >
      <Dimension from={40} to={40 + w} at={14} text={across} />
      <Dimension from={30} to={30 + h} at={26} text={down} upright />
      <g transform={`translate(40 30)`}>
        <rect x={1} y={1.5} width={w} height={h} fill="rgba(0,0,0,.25)" />
        <rect width={w} height={h} fill="#fdfdfc" />
        {pieces.map(({ number, sizeKey, region, place }, i) => {
          const { plan } = sizes.find((s) => s.sizeKey === sizeKey)!;
          const pw = region.width * scale;
          const ph = region.height * scale;
          const toX = plan.source.width / plan.image.width / whole.width;
          const toY = plan.source.height / plan.image.height / whole.height;
          const view = [
            plan.source.left / whole.width + region.left * toX,
            plan.source.top / whole.height + region.top * toY,
            region.width * toX,
            region.height * toY,
          ];
          return (
            <g key={i} transform={`translate(${place.left * scale} ${place.top * scale})`}>
              <svg
                width={pw}
                height={ph}
                viewBox={view.join(' ')}
                preserveAspectRatio="none"
              >
                {preview ? (
                  <image href={preview} width={1} height={1} preserveAspectRatio="none" />
                ) : (
                  <rect width={1} height={1} fill="#9c9c9c" />
                )}
              </svg>
              <rect y={ph + 2} width={pw * 0.8} height={2} fill="#bdbdbd" />
              <rect y={ph + 6} width={pw * 0.6} height={2} fill="#bdbdbd" />
              <Numbered number={number} letter={10.5} />
            </g>
          );
        })}
        {overview && (
          <>
            {preview && (
              <image
                href={preview}
                x={overview.place.left * scale}
                y={overview.place.top * scale}
                width={overview.place.width * scale}
                height={overview.place.height * scale}
                preserveAspectRatio="none"
              />
            )}
            {overview.numbers.map(({ number, left, top }) => (
              <g key={number} transform={`translate(${left * scale} ${top * scale})`}>
                <Numbered number={number} letter={8} />
              </g>
            ))}
            {overview.marks.map((m, i) => (
              <rect
                key={i}
                x={m.left * scale}
                y={m.top * scale}
                width={Math.max(0.7, m.width * scale)}
                height={Math.max(0.7, m.height * scale)}
                fill="#161616"
              />
            ))}
          </>
        )}
        {strip && <StripPlaced place={strip.place} ppi={ppi} scale={scale} />}
        {check.line.map((m, i) => (
          <rect
            key={i}
            x={m.left * scale}
            y={m.top * scale}
            width={Math.max(0.7, m.width * scale)}
            height={Math.max(0.7, m.height * scale)}
            fill="#161616"
          />
        ))}
      </g>
    </Plate>
  );
}
