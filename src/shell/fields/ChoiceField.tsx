'use client';
import { Controller } from 'react-hook-form';
import { Choose } from './Choose';
import { NamedRow } from './fieldParts';
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
      <NamedRow
        label={label}
        hint={hint}
        message={fieldState.error?.message}
        stacked={words}
      >
        <Choose
          label={label}
          value={field.value ?? ''}
          options={options}
          onChange={field.onChange}
          onBlur={field.onBlur}
          focusRef={field.ref}
          isInvalid={fieldState.invalid}
        />
      </NamedRow>
    )}
  />
);
