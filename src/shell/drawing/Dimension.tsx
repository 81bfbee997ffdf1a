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
  // Along the line first, across it second; upright swaps the two.
  const p = (along: number, across: number) =>
    upright ? `${across} ${along}` : `${along} ${across}`;
  const ends = [from, to].map((end) => `M${p(end, at - 5)}L${p(end, at + 5)}`).join('');
  const line = fits
    ? `M${p(from, at)}L${p(middle - half, at)}M${p(middle + half, at)}L${p(to, at)}`
    : `M${p(from, at)}L${p(to, at)}`;
  const off = fits ? 4 : -7;
  return (
    <g stroke="var(--ink)" strokeWidth={1} fill="none" aria-hidden>
      <path d={ends + line} />
      <Text
        transform={
          upright
            ? `translate(${at + off} ${middle}) rotate(-90)`
            : `translate(${middle} ${at + off})`
        }
        textAnchor="middle"
        stroke="none"
      >
        {text}
      </Text>
    </g>
  );
}
