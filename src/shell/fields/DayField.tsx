'use client';
import { Controller } from 'react-hook-form';
import { DayBox } from './DayBox';
import { NamedRow } from './fieldParts';
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
      <NamedRow label={label} hint={hint} message={fieldState.error?.message}>
        <DayBox
          label={label}
          value={field.value ?? ''}
          onChange={field.onChange}
          onBlur={field.onBlur}
          isInvalid={fieldState.invalid}
        />
      </NamedRow>
    )}
  />
);
