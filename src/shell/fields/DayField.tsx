'use client';
import { AlertTriangle } from 'lucide-react';
import { Controller } from 'react-hook-form';
import { DayBox } from './DayBox';
import { Hint, Problem, Row } from './fieldParts';
import type { Defined, Form } from './fieldParts';

/** A day, in a form. */
export const DayField = ({
  form,
  name,
  of,
  label = of.fields[name]?.title ?? name,
  hint = of.fields[name]?.hint,
}: {
  form: Form;
  name: string;
  of: Defined;
  label?: string;
  hint?: string | undefined;
}) => (
  <Controller
    control={form.control}
    name={name}
    render={({ field, fieldState }) => (
      <Row>
        <span className="label" aria-hidden>
          {label}
        </span>
        <DayBox
          label={label}
          value={field.value ?? ''}
          onChange={field.onChange}
          onBlur={field.onBlur}
          isInvalid={fieldState.invalid}
        />
        {hint && <Hint>{hint}</Hint>}
        {fieldState.error?.message && (
          <Problem role="alert">
            <AlertTriangle size={13} aria-hidden />
            {fieldState.error.message}
          </Problem>
        )}
      </Row>
    )}
  />
);
