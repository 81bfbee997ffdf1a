'use client';
import { memo } from 'react';
import type { Rung } from '@/core/size';
import { Dimension, Plate, PrintOnSheet } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 770;
const GAP = 14;
const FOOT = 26;
const HEAD = 30;
/** Drawn smaller than this, a print needs no more than the smallest tile of its picture. */
const SMALL = 200;
/** Narrower than this there is no room for a label under a print. */
const LABEL = 58;

interface WallProps {
  rungs: Rung[];
  picture: string | null;
  /** The whole picture in few pixels, for small drawings. */
  small: string | null;
  picked: string;
  offered: ReadonlySet<string>;
  tallest: number;
  onPick: (key: string) => void;
}

/** Where each print stands: beside one another, or, where there are too many, behind one another. */
function places(rungs: Rung[], tallestAllowed: number) {
  const widths = rungs.map((r) => r.fit.sheet.width);
  const across = widths.reduce((total, w) => total + w, 0);
  const tallest = Math.max(...rungs.map((r) => r.fit.sheet.height));
  const byHeight = tallestAllowed / tallest;
  const gaps = GAP * (rungs.length - 1);
  const byWidth = (WIDTH - gaps - 8) / across;
  const last = widths.at(-1) ?? 0;
  // Rather behind one another than smaller than two thirds of what the height allows.
  const scale = Math.max(
    Math.min(byWidth, byHeight),
    Math.min(byHeight, (WIDTH * 0.66) / last) * 0.66,
  );
  const room = WIDTH - 8 - last * scale;
  const needed = (across - last) * scale + gaps;
  const squeeze = Math.min(1, room / Math.max(1, needed));
  let x = 4;
  const lefts = widths.map((w) => {
    const left = x;
    x += (w * scale + GAP) * squeeze;
    return left;
  });
  return { scale, lefts, ground: HEAD + tallest * scale, crowded: squeeze < 1 };
}

const sameSize = (a: Rung['fit']['sheet'], b: Rung['fit']['sheet']) =>
  a.width === b.width && a.height === b.height;

/** Rungs that are drawn alike: what is judged of them apart from their resolution is not drawn. */
const drawnAlike = (a: Rung, b: Rung): boolean =>
  a === b ||
  (a.key === b.key &&
    a.judgement.figures.ppi === b.judgement.figures.ppi &&
    a.fit.left === b.fit.left &&
    a.fit.above === b.fit.above &&
    sameSize(a.fit.sheet, b.fit.sheet) &&
    sameSize(a.fit.image, b.fit.image) &&
    a.fit.crop.left === b.fit.crop.left &&
    a.fit.crop.top === b.fit.crop.top);

const drawsTheSame = (a: WallProps, b: WallProps): boolean =>
  a.picture === b.picture &&
  a.small === b.small &&
  a.picked === b.picked &&
  a.offered === b.offered &&
  a.tallest === b.tallest &&
  a.onPick === b.onPick &&
  a.rungs.length === b.rungs.length &&
  a.rungs.every((r, i) => drawnAlike(r, b.rungs[i]!));

/** All sizes of the ladder on one ground line, to one scale, with the real picture. */
export const WallOfSizes = memo(function WallOfSizes(props: WallProps) {
  const { rungs, picture, small, picked, offered, onPick } = props;
  const format = useFormat();
  const { scale, lefts, ground, crowded } = places(rungs, props.tallest);
  const words = (r: Rung) =>
    `${r.label}, ${format.length(r.fit.sheet.width)} wide, ${format.number(r.judgement.figures.ppi)} ppi${offered.has(r.key) ? ', on offer' : ''}`;
  // The smaller stand in front; the one that is picked before them all.
  const order = rungs.map((r, i) => ({ r, left: lefts[i]! })).reverse();
  order.sort((a, b) => Number(a.r.key === picked) - Number(b.r.key === picked));
  const middleOf = (i: number) => lefts[i]! + (rungs[i]!.fit.sheet.width * scale) / 2;
  const place = rungs.findIndex((r) => r.key === picked);
  let labelled = -LABEL;
  const labels = new Set(
    rungs.filter((r, i) => {
      const middle = middleOf(i);
      const near = place >= 0 && Math.abs(middle - middleOf(place)) < LABEL * 1.25;
      if (i !== place && (crowded || near || middle - labelled < LABEL)) return false;
      labelled = middle;
      return true;
    }),
  );
  return (
    <Plate
      name="Sizes"
      width={WIDTH}
      height={ground + FOOT}
      role="group"
      said={`Prints to one scale: ${rungs.map(words).join('; ')}`}
      style={{ flex: 'none' }}
    >
      <path d={`M0 ${ground + 4}H${WIDTH}`} stroke="var(--line)" />
      {order.map(({ r, left }) => {
        const w = r.fit.sheet.width * scale;
        const h = r.fit.sheet.height * scale;
        const here = r.key === picked;
        return (
          <g key={r.key} onClick={() => onPick(r.key)} style={{ cursor: 'pointer' }}>
            <PrintOnSheet
              fit={r.fit}
              picture={Math.max(w, h) < SMALL ? small : picture}
              scale={scale}
              x={left}
              y={ground - h}
              picked={here}
            />
            {here && (
              <Dimension
                from={left}
                to={left + w}
                at={ground - h - 15}
                text={format.length(r.fit.sheet.width)}
              />
            )}
            {labels.has(r) && (
              <text
                x={Math.min(WIDTH - 40, Math.max(24, left + w / 2))}
                y={ground + 20}
                textAnchor="middle"
                fontSize={12}
                fontWeight={here ? 600 : 400}
                fill={here ? 'var(--blue)' : 'var(--ink)'}
              >
                {r.label.replace(/ (cm|in)$/, '')}
                {offered.has(r.key) ? ' ✓' : ''}
              </text>
            )}
          </g>
        );
      })}
    </Plate>
  );
}, drawsTheSame);
