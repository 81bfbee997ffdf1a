'use client';
import { useState } from 'react';
import { CURVE_AT, HUES, TONES } from '@/core/colour';
import type { BalancePart } from '@/core/colour';
import { LIMITS } from '@/core/prepare';
import type { RecipeStep, StepOf } from '@/core/prepare';
import { FigureRow } from '@/shell/fields';
import { SectionLabel } from '@/shell/words';
import { PlainChoice } from './PlainChoice';

/** A shift of one number of a colour, as it is moved. */
interface Moved {
  label: string;
  part: BalancePart;
  at: number;
}

const CURVE: Moved[] = CURVE_AT.map((l, at) => ({
  label: `at L* ${l}`,
  part: 'curve',
  at,
}));

const RANGES = [...TONES, ...HUES] as const;
type Range = (typeof RANGES)[number];

/** What can be moved of a tone or of a hue. */
function movedOf(range: Range): Moved[] {
  const tone = TONES.findIndex((t) => t === range);
  const [part, of] =
    tone >= 0
      ? (['tones', tone] as const)
      : (['hues', HUES.findIndex((h) => h === range)] as const);
  return ['lighter', 'redder', 'yellower'].map((label, i) => ({
    label,
    part,
    at: 3 * of + i,
  }));
}

/** The step that moves colours by tone and hue: a curve of five points, and one range at a time. */
export function BalanceFields({
  step,
  onChange,
}: {
  step: StepOf<'balance'>;
  onChange: (step: RecipeStep) => void;
}) {
  const [range, setRange] = useState<Range>('shadows');
  const row = ({ label, part, at }: Moved) => (
    <FigureRow
      key={`${part} ${at}`}
      label={label}
      unit={part === 'curve' || at % 3 === 0 ? 'L*' : at % 3 === 1 ? 'a*' : 'b*'}
      value={step[part][at]!}
      limits={LIMITS.shift}
      step={0.5}
      onChange={(value) =>
        onChange({ ...step, [part]: step[part].map((v, i) => (i === at ? value : v)) })
      }
    />
  );
  const moves = (r: Range) => movedOf(r).some(({ part, at }) => step[part][at] !== 0);
  return (
    <>
      <SectionLabel>Lighter or darker, in L*</SectionLabel>
      {CURVE.map(row)}
      <SectionLabel>One tone or hue, in L*, a*, b*</SectionLabel>
      <PlainChoice
        label="range"
        value={range}
        options={RANGES.map((r) => [r, moves(r) ? `${r} (moved)` : r])}
        onChange={(r) => setRange(r as Range)}
      />
      {movedOf(range).map(row)}
    </>
  );
}
