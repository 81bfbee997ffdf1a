'use client';
import { useId } from 'react';
import { Input, Label, TextArea, TextField } from 'react-aria-components';
import { Controller } from 'react-hook-form';
import styled from 'styled-components';
import { useBench } from '../figures/BenchContext';
import { Box, ErrorLine, Hint, Row, useTypedEarly } from './fieldParts';
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
  type?: 'text' | 'date';
  /** Words that are often meant, offered while one types. */
  offered?: readonly string[];
}

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
  type,
  offered,
}: FieldProps) {
  const early = useTypedEarly();
  const listId = useId();
  const { currency } = useBench();
  const own = of.fields[name]?.unit;
  const unit = given ?? (own === 'money' ? currency : own);
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          name={name}
          value={field.value ?? ''}
          onChange={field.onChange}
          onBlur={field.onBlur}
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
                  type={type ?? 'text'}
                  autoComplete="off"
                  list={offered && listId}
                />
              )}
              {offered && (
                <datalist id={listId}>
                  {offered.map((option) => (
                    <option key={option} value={option} />
                  ))}
                </datalist>
              )}
              {unit && <span>{unit}</span>}
            </Box>
            {hint && <Hint>{hint}</Hint>}
            <ErrorLine message={fieldState.error?.message} />
          </Row>
        </TextField>
      )}
    />
  );
}
