'use client';
import type { Rung } from '@/core/sizing';
import { Dimension, PrintOnSheet, useFormat } from '@/shell';

const WIDTH = 770;
const TALLEST = 300;
const GAP = 16;
const FOOT = 44;
const HEAD = 34;

interface WallProps {
  rungs: Rung[];
  picture: string | null;
  picked: string;
  offered: ReadonlySet<string>;
  onPick: (key: string) => void;
}

/** All sizes of the ladder side by side on one ground line, to one scale, with the real picture. */
export function WallOfSizes({ rungs, picture, picked, offered, onPick }: WallProps) {
  const format = useFormat();
  const across = rungs.reduce((total, r) => total + r.fit.sheet.width, 0);
  const tallest = Math.max(...rungs.map((r) => r.fit.sheet.height));
  const scale = Math.min((WIDTH - GAP * (rungs.length + 1)) / across, TALLEST / tallest);
  const spare = WIDTH - GAP * (rungs.length - 1) - across * scale;
  const ground = HEAD + tallest * scale;
  const height = ground + FOOT;
  let x = Math.min(spare / 2, 30) + 6;
  const words = (r: Rung) =>
    `${r.label}, ${format.length(r.fit.sheet.width)} wide, ${format.number(r.judgement.figures.ppi)} ppi${offered.has(r.key) ? ', on offer' : ''}`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      width="100%"
      role="group"
      aria-label={`Prints to one scale: ${rungs.map(words).join('; ')}`}
    >
      <path d={`M0 ${ground + 6}H${WIDTH}`} stroke="var(--line)" />
      {rungs.map((r, i) => {
        const left = x;
        const w = r.fit.sheet.width * scale;
        const h = r.fit.sheet.height * scale;
        x += w + GAP;
        const here = r.key === picked;
        return (
          <g key={r.key} onClick={() => onPick(r.key)} style={{ cursor: 'pointer' }}>
            <title>{words(r)}</title>
            <PrintOnSheet
              fit={r.fit}
              picture={picture}
              scale={scale}
              x={left}
              y={ground - h}
              picked={here}
            />
            {here && (
              <Dimension
                from={left}
                to={left + w}
                at={ground - h - 17}
                text={format.length(r.fit.sheet.width)}
              />
            )}
            <text
              x={left + w / 2}
              y={ground + 22 + (i % 2 === 1 && w < 52 ? 13 : 0)}
              textAnchor="middle"
              fontSize={12}
              fontWeight={here ? 600 : 400}
              fill={here ? 'var(--blue)' : 'var(--ink)'}
            >
              {r.label.replace(/ (cm|in)$/, '')}
              {offered.has(r.key) ? ' ✓' : ''}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
