'use client';
import { Small } from '@/shell/words';
import { LOOK_FOR } from './words';

/** Values of the screen, of 255. */
const BLACKS = [6, 12];
const WHITES = [246, 251];
const GREYS = Array.from({ length: 16 }, (_, i) => Math.round((i / 15) * 255));

const grey = (v: number) => `rgb(${v} ${v} ${v})`;

/** Two near-blacks, two near-whites, and a ramp of greys, as the screen shows them. */
export const TestPatches = () => (
  <div style={{ display: 'grid', gap: 14 }}>
    <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 18 }}>
      {(
        [
          ['two near-blacks', 0, BLACKS, LOOK_FOR.blacks],
          ['two near-whites', 255, WHITES, LOOK_FOR.whites],
        ] as const
      ).map(([name, ground, values, look]) => (
        <div key={name} style={{ display: 'grid', gap: 6 }}>
          <svg
            viewBox="0 0 350 130"
            width="100%"
            role="img"
            aria-label={`Test patch: ${name}`}
          >
            <rect width={350} height={130} fill={grey(ground)} />
            {values.map((v, i) => (
              <rect key={v} x={60 + i * 140} y={25} width={90} height={80} fill={grey(v)} />
            ))}
          </svg>
          <Small>{look}</Small>
        </div>
      ))}
    </div>
    <svg
      viewBox="0 0 720 90"
      width="100%"
      role="img"
      aria-label="Test patch: a ramp of greys"
    >
      {GREYS.map((v, i) => (
        <rect key={v} x={i * 45} width={45.5} height={90} fill={grey(v)} />
      ))}
    </svg>
    <Small>{LOOK_FOR.greys}</Small>
  </div>
);
