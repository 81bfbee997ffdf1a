'use client';
import { AlertTriangle } from 'lucide-react';
import { Controller } from 'react-hook-form';
import styled from 'styled-components';
import { Problem, Row, useTypedEarly } from './fieldParts';
import type { Defined, Form } from './fieldParts';

const Select = styled.select`
  width: 100%;
  padding: 5px 3px;
  background: #fff;
  border: 1px solid #6f6f6f;
`;

/** One of a list; the platform's own list, so that keys and screen readers know it. */
export function ChoiceField({
  form,
  name,
  of,
  label = of.fields[name]?.title ?? name,
  options,
  words,
}: {
  form: Form;
  name: string;
  of: Defined;
  label?: string;
  options: readonly (readonly [value: string, label: string])[];
  words?: boolean;
}) {
  const early = useTypedEarly();
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <div>
          <Row $stacked={words === true} as="label">
            <span style={{ fontSize: 13, color: 'var(--soft)' }}>{label}</span>
            <Select {...field} ref={early(field)} aria-invalid={fieldState.invalid}>
              {options.map(([value, text]) => (
                <option key={value} value={value}>
                  {text}
                </option>
              ))}
            </Select>
          </Row>
          {fieldState.error?.message && (
            <Problem role="alert">
              <AlertTriangle size={13} aria-hidden />
              {fieldState.error.message}
            </Problem>
          )}
        </div>
      )}
    />
  );
}
