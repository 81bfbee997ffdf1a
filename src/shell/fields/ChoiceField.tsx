'use client';
import { AlertTriangle } from 'lucide-react';
import { Controller } from 'react-hook-form';
import { Choose } from './Choose';
import { Hint, Problem, Row } from './fieldParts';
import type { Defined, Form } from './fieldParts';
import type { Options } from './OptionList';

/** One of a list, in a form. */
export const ChoiceField = ({
  form,
  name,
  of,
  label = of.fields[name]?.title ?? name,
  hint = of.fields[name]?.hint,
  options,
  words,
}: {
  form: Form;
  name: string;
  of: Defined;
  label?: string;
  hint?: string | undefined;
  options: Options;
  words?: boolean;
}) => (
  <Controller
    control={form.control}
    name={name}
    render={({ field, fieldState }) => (
      <Row $stacked={words === true}>
        <span className="label" aria-hidden>
          {label}
        </span>
        <Choose
          label={label}
          value={field.value ?? ''}
          options={options}
          onChange={field.onChange}
          onBlur={field.onBlur}
          focusRef={field.ref}
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
