'use client';
import { MM_PER_INCH, mm } from '@/core/units';
import { useState } from 'react';
import styled from 'styled-components';
import {
  CARD,
  LEAST_SCREEN_PPI,
  MOST_SCREEN_PPI,
  isScreenPpi,
  screenPpi,
  screenScale,
} from '@/core/size';
import { Button } from '@/shell/actions';
import { LengthLine, Slide } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Small, TableHead } from '@/shell/words';
import type { Millimetres } from '@/core/units';
import type { ScreenDesk } from '../screen';
import { lineMeasures } from '../standingForm';

const RULER_PX = 400;

const Place = styled.div`
  display: grid;
  gap: 14px;
  align-content: start;
  svg {
    display: block;
  }
`;

/** Why a resolution is none that a screen can have; null when it can. */
const faultOf = (ppi: number, number: (n: number) => string): string | null =>
  isScreenPpi(ppi)
    ? null
    : `That makes ${number(ppi)} ppi, which no screen has. Screens have ${LEAST_SCREEN_PPI} to ${MOST_SCREEN_PPI}: measure again.`;

/** The screen held against a bank card or a ruler, once, so that what is shown can be true to size. */
export function Calibrate({ desk, onDone }: { desk: ScreenDesk; onDone: () => void }) {
  const format = useFormat();
  const [scale, setScale] = useState(desk.screen.pixelsPerMm);
  const [length, setLength] = useState<Millimetres | null>(null);
  const ruled = length === null ? null : screenScale(RULER_PX, length);
  const wrong =
    ruled === null ? null : faultOf(screenPpi(ruled), (n) => format.number(n, 1));
  const ppi = screenPpi(scale);
  const keep = (pixelsPerMm: number) => {
    desk.keep({ pixelsPerMm, calibrated: true });
    onDone();
  };
  return (
    <Place>
      <TableHead>Hold a bank card against the screen</TableHead>
      <svg
        width={CARD.width * scale}
        height={CARD.height * scale}
        role="img"
        aria-label={`A card, ${format.number(CARD.width, 1)} by ${format.number(CARD.height, 2)} mm at ${format.number(ppi, 1)} ppi`}
      >
        <rect
          x={0.75}
          y={0.75}
          width={CARD.width * scale - 1.5}
          height={CARD.height * scale - 1.5}
          rx={3.18 * scale}
          fill="#f4f4f2"
          stroke="#161616"
          strokeWidth={1.5}
        />
        <path
          d={`M0 ${8 * scale}h${CARD.width * scale}`}
          stroke="#9c9c9c"
          strokeWidth={7 * scale}
        />
      </svg>
      <div style={{ width: 420, maxWidth: '100%' }}>
        <Small>
          Widen the drawing until it is as large as the card ({format.number(CARD.width, 1)}{' '}
          × {format.number(CARD.height, 2)} mm): {format.number(ppi, 1)} ppi
        </Small>
        <Slide
          min={screenScale(LEAST_SCREEN_PPI, mm(MM_PER_INCH))}
          max={12}
          step={0.01}
          label="Width of the drawn card"
          digits={2}
          value={scale}
          onChange={setScale}
        />
      </div>
      <div>
        <Button onPress={() => keep(scale)}>It is as large as the card</Button>
      </div>
      <TableHead>Or lay a ruler along this line</TableHead>
      <svg width={RULER_PX} height={18} role="img" aria-label="A line to be measured">
        <path
          d={`M0.75 2v14M${RULER_PX - 0.75} 2v14M0 9h${RULER_PX}`}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      </svg>
      <div style={{ display: 'flex', gap: 10, alignItems: 'center', flexWrap: 'wrap' }}>
        <LengthLine field={lineMeasures} value={length} onChange={setLength} />
        <Button
          $plain
          isDisabled={ruled === null || wrong !== null}
          onPress={() => ruled !== null && keep(ruled)}
        >
          It does
        </Button>
        <Button $plain onPress={onDone}>
          Not now
        </Button>
      </div>
      <Problem>{wrong}</Problem>
    </Place>
  );
}
