'use client';
import { useState } from 'react';
import { readField } from '@/core/input';
import type { Field } from '@/core/input';
import type { Millimetres } from '@/core/units';
import { useBench, useFormat } from '../figures/BenchContext';
import { Problem } from '../said/states';
import { Line } from './plain';

const BOX = { width: 110, padding: '5px 7px', textAlign: 'right' } as const;

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
  const format = useFormat();
  const bench = useBench();
  const [typed, setTyped] = useState<string | null>(null);
  const read =
    typed === null || typed.trim() === '' ? null : readField(field, typed, bench);
  // Set from elsewhere meanwhile, it shows that.
  const own = typed !== null && (!read?.ok || value === null || read.value === value);
  const fault = own && read && !read.ok ? read.fault : null;
  return (
    <>
      <label style={{ display: 'flex', fontSize: 13, gap: 10, alignItems: 'center' }}>
        <span style={{ flex: 1, color: 'var(--soft)' }}>{field.title}</span>
        <Line
          type="text"
          aria-label={field.title}
          aria-invalid={fault !== null}
          value={own ? typed : value === null ? '' : format.distance(value)}
          style={{
            ...BOX,
            border: '1px solid #6f6f6f',
            background: '#fff',
            color: '#161616',
          }}
          onChange={(e) => {
            setTyped(e.target.value);
            const next = readField(field, e.target.value, bench);
            onChange(next.ok ? next.value : null);
          }}
        />
      </label>
      <Problem>{fault}</Problem>
    </>
  );
}
