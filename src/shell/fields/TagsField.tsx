'use client';
import { Controller } from 'react-hook-form';
import { NamedRow } from './fieldParts';
import type { Defined, Form } from './fieldParts';
import { Tags } from './Tags';

/** A field of several short things; its form holds them with commas between, as they are read. */
export function TagsField({
  form,
  name,
  of,
  label = of.fields[name]?.title ?? name,
}: {
  form: Form;
  name: string;
  of: Defined;
  label?: string;
}) {
  const own = of.fields[name];
  const split = own?.listed ?? ((typed: string) => [typed]);
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <NamedRow
          label={label}
          hint={own?.hint}
          message={fieldState.error?.message}
          stacked
        >
          <Tags
            label={label}
            value={split(field.value ?? '')
              .map((piece) => piece.trim())
              .filter(Boolean)}
            split={split}
            onChange={(pieces) => field.onChange(pieces.join(', '))}
            onBlur={field.onBlur}
            isInvalid={fieldState.invalid}
            inputRef={field.ref}
          />
        </NamedRow>
      )}
    />
  );
}
