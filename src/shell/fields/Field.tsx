'use client';
import { useState } from 'react';
import { Input, Label, TextArea, TextField } from 'react-aria-components';
import { Controller } from 'react-hook-form';
import styled from 'styled-components';
import { readField } from '@/core/input';
import type { FieldRead } from '@/core/input';
import { useBench } from '../figures/BenchContext';
import { Offered } from './Combo';
import { PickReading } from './PickReading';
import { Box, ErrorLine, Hint, NamedRow, Row, useTypedEarly } from './fieldParts';
import type { Defined, Form } from './fieldParts';

const Figure = styled(Input)<{ $figure: boolean }>`
  text-align: ${({ $figure }) => ($figure ? 'right' : 'left')};
`;

interface FieldProps {
  form: Form;
  name: string;
  /** The form's one definition: title and unit come from it, where none is given here. */
  of: Defined;
  label?: string;
  unit?: string;
  hint?: string;
  /** Words rather than a figure: label above, text left. */
  words?: boolean;
  lines?: number;
  /** Words that are often meant, offered while one types. */
  offered?: readonly string[];
}

const NOTHING: FieldRead<null> = { ok: true, value: null };

/** A field with its unit; its error stands under it and what was typed stays. */
export function Field({
  form,
  name,
  of,
  label = of.fields[name]?.title ?? name,
  unit: given,
  hint = of.fields[name]?.hint,
  words,
  lines,
  offered,
}: FieldProps) {
  const early = useTypedEarly();
  const bench = useBench();
  const [typing, setTyping] = useState(false);
  const own = of.fields[name];
  const unit = given ?? (own?.unit === 'money' ? bench.currency : own?.unit);
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => {
        const typed = field.value ?? '';
        // While one types, half a figure is not asked about.
        const asked = !typing || fieldState.invalid;
        const here = given && own?.unit === 'money' ? { ...bench, currency: given } : bench;
        const read = own && asked && typed !== '' ? readField(own, typed, here) : NOTHING;
        const meant = <PickReading read={read} onPick={field.onChange} />;
        if (offered)
          return (
            <NamedRow
              label={label}
              hint={hint}
              message={fieldState.error?.message}
              stacked={words}
            >
              <Offered
                label={label}
                value={typed}
                offered={offered}
                onChange={field.onChange}
                onBlur={field.onBlur}
                isInvalid={fieldState.invalid}
                focusRef={field.ref}
              />
            </NamedRow>
          );
        return (
          <TextField
            name={name}
            value={typed}
            onChange={field.onChange}
            onFocus={() => setTyping(true)}
            onBlur={() => {
              setTyping(false);
              field.onBlur();
            }}
            isInvalid={fieldState.invalid}
            validationBehavior="aria"
          >
            <Row $stacked={words === true}>
              <Label>{label}</Label>
              <Box>
                {lines ? (
                  <TextArea ref={early(field)} rows={lines} />
                ) : (
                  <Figure
                    ref={early(field)}
                    $figure={!words}
                    type="text"
                    autoComplete="off"
                    {...(words ? {} : { inputMode: 'decimal' as const })}
                  />
                )}
                {unit && <span>{unit}</span>}
              </Box>
              {hint && <Hint>{hint}</Hint>}
              <ErrorLine message={fieldState.error?.message} />
              {meant}
            </Row>
          </TextField>
        );
      }}
    />
  );
}
