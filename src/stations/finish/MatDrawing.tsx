'use client';
import type { MatInput, MatPlan } from '@/core/finish';
import type { Millimetres } from '@/core/units';
import type { FitResult } from '@/core/size';
import { Dimension, Plate, PrintOnSheet, useDrawnId } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 770;
const HEIGHT = 560;
const SIDE = 150;

/** What has to be had at least is not rounded down: to the next half millimetre. */
const atLeast = (depth: number) => Math.ceil(2 * depth - 1e-6) / 2;

interface Props {
  fit: FitResult;
  plan: MatPlan;
  input: MatInput;
  picture: string | null;
  /** How deep the rabbet must be; null where that is not known. */
  depth: Millimetres | null;
}

/** Frame, mat, opening and print to one scale; the sheet behind the mat as a dashed line. */
export function MatDrawing({ fit, plan, input, picture, depth }: Props) {
  const format = useFormat();
  const clip = useDrawnId('opening');
  const m: number = input.mouldingWidth;
  const across = plan.frame.width + 2 * m;
  const down = plan.frame.height + 2 * m;
  const scale = Math.min((WIDTH - SIDE - 220) / across, (HEIGHT - 66) / down);
  const x = 60;
  const y = 46;
  const play = (plan.frame.width - plan.outside.width) / 2;
  const mat = { x: x + (m + play) * scale, y: y + (m + play) * scale };
  const opening = {
    x: mat.x + input.borders.sides * scale,
    y: mat.y + input.borders.above * scale,
  };
  const sign = input.style === 'overlap' ? 1 : -1;
  const image = {
    x: opening.x - sign * input.perSide * scale,
    y: opening.y - sign * input.perSide * scale,
  };
  const sheet = { x: image.x - fit.left * scale, y: image.y - fit.above * scale };
  const ow = plan.opening.width * scale;
  const oh = plan.opening.height * scale;
  const rightEdge = x + across * scale + 26;
  const rabbet = {
    across: `rabbet ${format.length(plan.frame.width)}`,
    down: `rabbet ${format.length(plan.frame.height)}`,
  };
  const notes: [string, number][] = [
    [
      `moulding ${format.length(m)} wide, rabbet ${depth === null ? 'depth not known' : `${format.length(atLeast(depth))} deep or more`}`,
      y + (m * scale) / 2,
    ],
    [
      `mat outside ${format.length(plan.outside.width)} × ${format.length(plan.outside.height)}`,
      mat.y + (input.borders.above * scale) / 2,
    ],
    [
      `opening ${format.length(plan.opening.width)} × ${format.length(plan.opening.height)}`,
      opening.y + oh / 2 - 12,
    ],
    [
      `image ${format.length(fit.image.width)} × ${format.length(fit.image.height)}`,
      opening.y + oh / 2 + 12,
    ],
    [
      'dashed: the sheet behind the mat',
      opening.y + oh + (input.borders.below * scale) / 2,
    ],
  ];
  return (
    <Plate
      name="Mat and frame"
      width={WIDTH}
      height={HEIGHT}
      said={[...notes.map(([n]) => n), `${rabbet.across} × ${rabbet.down}`].join(', ')}
    >
      <rect x={x} y={y} width={across * scale} height={down * scale} fill="#4c4740" />
      <path
        d={`M${x} ${y}l${m * scale} ${m * scale}M${x + across * scale} ${y}l${-m * scale} ${m * scale}M${x} ${y + down * scale}l${m * scale} ${-m * scale}M${x + across * scale} ${y + down * scale}l${-m * scale} ${-m * scale}`}
        stroke="#2c2924"
      />
      <rect
        x={mat.x}
        y={mat.y}
        width={plan.outside.width * scale}
        height={plan.outside.height * scale}
        fill="#f3f1ea"
      />
      <clipPath id={clip}>
        <rect x={opening.x} y={opening.y} width={ow} height={oh} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <PrintOnSheet fit={fit} picture={picture} scale={scale} x={sheet.x} y={sheet.y} />
      </g>
      <rect
        x={opening.x}
        y={opening.y}
        width={ow}
        height={oh}
        fill="none"
        stroke="#b9b4a6"
        strokeWidth={1.5}
      />
      <rect
        x={sheet.x}
        y={sheet.y}
        width={fit.sheet.width * scale}
        height={fit.sheet.height * scale}
        fill="none"
        stroke="#7a7568"
        strokeDasharray="5 4"
      />
      <Dimension
        from={x + m * scale}
        to={x + (m + plan.frame.width) * scale}
        at={22}
        text={rabbet.across}
      />
      <Dimension
        from={y + m * scale}
        to={y + (m + plan.frame.height) * scale}
        at={34}
        text={rabbet.down}
        upright
      />
      {notes.map(([text, at]) => (
        <text key={text} x={rightEdge} y={at + 4} fontSize={12.5} fill="var(--ink)">
          {text}
        </text>
      ))}
    </Plate>
  );
}
