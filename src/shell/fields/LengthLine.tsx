'use client';
import { useState } from 'react';
import { readField } from '@/core/input';
import type { Field } from '@/core/input';
import { mm } from '@/core/units';
import type { Millimetres } from '@/core/units';
import { useBench } from '../figures/BenchContext';
import { Problem } from '../said/states';
import { Line } from './Line';
import { PickReading } from './PickReading';

/** No finer than a tenth of a millimetre: what is reckoned has more places than anybody measures. */
const shown = (length: Millimetres): Millimetres => mm(Math.round(length * 10) / 10);

/** One length that works at once as it is typed; what is not right is said, and changes nothing. */
export function LengthLine({
  field,
  value,
  onChange,
}: {
  field: Field<Millimetres>;
  /** Null while nothing is known: the line is empty. */
  value: Millimetres | null;
  onChange: (length: Millimetres | null) => void;
}) {
  const bench = useBench();
  const [typed, setTyped] = useState<string | null>(null);
  const read =
    typed === null || typed.trim() === '' ? null : readField(field, typed, bench);
  // Set from elsewhere meanwhile, it shows that.
  const own = typed !== null && (!read?.ok || value === null || read.value === value);
  const fault = own && read && !read.ok ? read.fault : null;
  const type = (text: string) => {
    setTyped(text);
    const next = readField(field, text, bench);
    onChange(next.ok ? next.value : null);
  };
  return (
    <>
      <div style={{ display: 'flex', fontSize: 13, gap: 10, alignItems: 'center' }}>
        <span style={{ flex: 1, color: 'var(--soft)' }} aria-hidden>
          {field.title}
        </span>
        <Line
          figure
          label={field.title}
          isInvalid={fault !== null}
          value={own ? typed : value === null ? '' : field.write(shown(value), bench)}
          style={{ width: 110 }}
          onChange={type}
        />
      </div>
      <Problem>{fault}</Problem>
      {read && <PickReading read={read} onPick={type} />}
    </>
  );
}
