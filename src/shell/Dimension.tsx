'use client';
import styled from 'styled-components';

const Text = styled.text`
  font:
    500 11.5px 'Commissioner',
    sans-serif;
  fill: var(--ink);
`;

interface DimensionProps {
  /** Ends of the measured length, in drawing units (pixels). */
  from: number;
  to: number;
  /** The line's place across. */
  at: number;
  text: string;
  upright?: boolean;
}

const GLYPH = 6.3;

/** A drafting-style dimension line: end strokes, line, figure in its middle. Inside an `svg`. */
export function Dimension({ from, to, at, text, upright = false }: DimensionProps) {
  const middle = (from + to) / 2;
  const half = (text.length * GLYPH) / 2 + 4;
  const fits = to - from > 2 * half + 8;
  const rotate = upright ? `rotate(-90) scale(-1 1) rotate(180)` : undefined;
  return (
    <g transform={rotate} stroke="var(--ink)" strokeWidth={1} fill="none" aria-hidden>
      <path d={`M${from} ${at - 5}v10M${to} ${at - 5}v10`} />
      {fits ? (
        <path d={`M${from} ${at}H${middle - half}M${middle + half} ${at}H${to}`} />
      ) : (
        <path d={`M${from} ${at}H${to}`} />
      )}
      <Text x={middle} y={fits ? at + 4 : at - 7} textAnchor="middle" stroke="none">
        {text}
      </Text>
    </g>
  );
}
