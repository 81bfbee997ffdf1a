'use client';
import { useState } from 'react';
import { SHAPE_HUES, SHAPE_STEP, reachAt } from '@/core/colour';
import type { GamutShape } from '@/core/colour';
import { Slide } from '@/shell/fields';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { Small } from '@/shell/words';
import styled from 'styled-components';

const SIDE = 270;
const MOST = 110;
const LIGHTS = [
  { lightness: 25, dash: '2 3' },
  { lightness: 50, dash: '' },
  { lightness: 75, dash: '8 3' },
] as const;
const DEGREES = 360 / SHAPE_HUES;
const INK = ['#161616', '#1c4a78'] as const;

export interface Drawn {
  name: string;
  shape: GamutShape;
}

const place = (c: number) => SIDE / 2 + (c / MOST) * (SIDE / 2 - 14);

/** The outline of a gamut at one lightness, seen from above. */
function outline(shape: GamutShape, lightness: number): string {
  const points = Array.from({ length: SHAPE_HUES }, (_, h) => {
    const [turn, c] = [(h * DEGREES * Math.PI) / 180, reachAt(shape, h, lightness)];
    const [a, b] = [c * Math.cos(turn), c * Math.sin(turn)];
    return `${place(a).toFixed(1)} ${place(-b).toFixed(1)}`;
  });
  return `M${points.join('L')}Z`;
}

/** A hue's whole leaf: chroma to the right, lightness up. */
function leaf(shape: GamutShape, hue: number): string {
  const lights = Array.from({ length: 100 / SHAPE_STEP + 1 }, (_, i) => i * SHAPE_STEP);
  const first = lights.findIndex((l) => reachAt(shape, hue, l) > 0);
  const points = lights
    .slice(Math.max(0, first - 1))
    .map((l) => `${chromaAt(reachAt(shape, hue, l)).toFixed(1)} ${lightAt(l).toFixed(1)}`);
  return `M${points.join('L')}`;
}
const chromaAt = (c: number) => 34 + (c / MOST) * (SIDE - 60);
const lightAt = (l: number) => SIDE - 26 - (l / 100) * (SIDE - 50);

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 22px;
  align-items: start;
  text {
    font: 400 11px 'Commissioner';
    fill: var(--soft);
  }
`;

/** Rings of chroma and the names of the axes. */
const Ground = () => (
  <>
    {[50, 100].map((c) => (
      <g key={c}>
        <circle
          cx={place(0)}
          cy={place(0)}
          r={place(c) - place(0)}
          fill="none"
          stroke="#8f8f8f"
          strokeDasharray="1 4"
        />
        <text x={place(-c * 0.72)} y={place(c * 0.72) + 9} textAnchor="end">
          C* {c}
        </text>
      </g>
    ))}
    <path
      d={`M${place(-MOST)} ${place(0)}H${place(MOST)}M${place(0)} ${place(-MOST)}V${place(MOST)}`}
      stroke="#8f8f8f"
    />
    <text x={place(MOST) - 2} y={place(0) - 5} textAnchor="end">
      a* red
    </text>
    <text x={place(-MOST) + 2} y={place(0) - 5}>
      green
    </text>
    <text x={place(0) + 5} y={place(-MOST) + 10}>
      b* yellow
    </text>
    <text x={place(0) + 5} y={place(MOST) - 3}>
      blue
    </text>
  </>
);

/** What a profile can print, and another over it: seen from above at three lightnesses, and cut at a hue. */
export function GamutDrawing({ profiles }: { profiles: readonly Drawn[] }) {
  const [hue, setHue] = useState(8);
  const { number } = useFormat();
  const names = profiles.map((p) => p.name).join(' and ');
  const degrees = hue * DEGREES;
  return (
    <Pair>
      <div>
        <Plate
          name="Outline of the gamut"
          width={SIDE}
          height={SIDE}
          said={`Colours that ${names} can print, seen from above, at L* 25, 50 and 75`}
          figures={{
            heads: [
              'hue, °',
              ...profiles.flatMap((p) =>
                LIGHTS.map((l) => `${p.name}, C* at L* ${l.lightness}`),
              ),
            ],
            rows: Array.from({ length: SHAPE_HUES / 3 }, (_, i) => [
              String(i * 3 * DEGREES),
              ...profiles.flatMap((p) =>
                LIGHTS.map((l) => number(reachAt(p.shape, i * 3, l.lightness), 1)),
              ),
            ]),
          }}
        >
          <Ground />
          {profiles.map((p, i) =>
            LIGHTS.map(({ lightness, dash }) => (
              <path
                key={`${p.name} ${lightness}`}
                d={outline(p.shape, lightness)}
                fill="none"
                stroke={INK[i]}
                strokeWidth={1.6}
                strokeDasharray={dash}
              />
            )),
          )}
          <path
            d={`M${place(0)} ${place(0)}L${place(MOST * Math.cos((degrees * Math.PI) / 180))} ${place(-MOST * Math.sin((degrees * Math.PI) / 180))}`}
            stroke="#161616"
            strokeWidth={0.7}
          />
        </Plate>
        <Small>dotted L* 25, full L* 50, dashed L* 75</Small>
      </div>
      <div>
        <Plate
          name="Cut through a hue"
          width={SIDE}
          height={SIDE}
          said={`Chroma that ${names} can print at a hue of ${degrees}°, from black to white`}
          figures={{
            heads: ['L*', ...profiles.map((p) => `${p.name}, C*`)],
            rows: Array.from({ length: 21 }, (_, i) => [
              String(i * 5),
              ...profiles.map((p) => number(reachAt(p.shape, hue, i * 5), 1)),
            ]),
          }}
        >
          <path
            d={`M${chromaAt(0)} ${lightAt(100)}V${lightAt(0)}H${chromaAt(MOST)}`}
            fill="none"
            stroke="#8f8f8f"
          />
          {[0, 25, 50, 75, 100].map((l) => (
            <text key={l} x={chromaAt(0) - 5} y={lightAt(l) + 4} textAnchor="end">
              {l}
            </text>
          ))}
          {[50, 100].map((c) => (
            <text key={c} x={chromaAt(c)} y={lightAt(0) + 15} textAnchor="middle">
              C* {c}
            </text>
          ))}
          <text x={chromaAt(0) + 5} y={lightAt(100) + 4}>
            L*
          </text>
          {profiles.map((p, i) => (
            <path
              key={p.name}
              d={leaf(p.shape, hue)}
              fill="none"
              stroke={INK[i]}
              strokeWidth={1.6}
            />
          ))}
        </Plate>
        <Small>cut at a hue of {degrees}°: the line in the outline</Small>
        <Slide
          label="Hue of the cut"
          min={0}
          max={SHAPE_HUES - 1}
          value={hue}
          onChange={setHue}
        />
      </div>
    </Pair>
  );
}
