'use client';
import { AlertTriangle } from 'lucide-react';
import {
  FieldError,
  Input,
  Label,
  Radio,
  RadioGroup,
  TextArea,
  TextField,
} from 'react-aria-components';
import { memo, useId, useRef } from 'react';
import { Controller } from 'react-hook-form';
import type { ControllerRenderProps, UseFormReturn } from 'react-hook-form';
import styled, { css } from 'styled-components';
import { useBench } from '../figures/BenchContext';

export type TypedValues = Record<string, string>;
export type Form = UseFormReturn<TypedValues>;

const Row = styled.div<{ $stacked?: boolean }>`
  display: grid;
  grid-template-columns: ${({ $stacked }) => ($stacked ? '1fr' : '1fr 136px')};
  align-items: center;
  gap: 2px 10px;
  label {
    font-size: 13px;
    color: var(--soft);
  }
`;

const Box = styled.span`
  display: flex;
  align-items: baseline;
  background: #fff;
  color: #161616;
  border: 1px solid #6f6f6f;
  padding: 0 7px;
  input,
  textarea {
    flex: 1;
    min-width: 0;
    width: 100%;
    border: 0;
    background: transparent;
    padding: 5px 0;
    resize: vertical;
  }
  &:focus-within {
    outline: 2px solid var(--blue);
    outline-offset: 1px;
  }
  input:focus-visible,
  textarea:focus-visible {
    outline: none;
  }
  > span {
    color: #4a4a4a;
    font-size: 12px;
    padding-left: 5px;
  }
`;

const Figure = styled(Input)<{ $figure: boolean }>`
  text-align: ${({ $figure }) => ($figure ? 'right' : 'left')};
`;

const Problem = styled.span`
  grid-column: 1 / -1;
  display: flex;
  gap: 5px;
  color: var(--brick);
  font-size: 12.5px;
  line-height: 1.3;
  svg {
    flex: none;
    margin-top: 2px;
  }
`;

const Hint = styled.span`
  grid-column: 1 / -1;
  color: var(--soft);
  font-size: 11.5px;
`;

/** What a field needs of its form's definition. */
export interface Defined {
  fields: Record<string, { title: string; unit?: string | undefined }>;
}

interface FieldProps {
  form: Form;
  name: string;
  /** The form's one definition: title and unit come from it, where none is given here. */
  of?: Defined;
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

const ErrorLine = ({ message }: { message: string | undefined }) =>
  message ? (
    <FieldError>
      <Problem>
        <AlertTriangle size={13} aria-hidden />
        {message}
      </Problem>
    </FieldError>
  ) : null;

type Typing = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** Hands an input to its form, with what was typed into it before the page came alive. */
function useTypedEarly() {
  const seen = useRef(false);
  return (field: ControllerRenderProps<TypedValues>) => (input: Typing | null) => {
    field.ref(input);
    if (input === null || seen.current) return;
    seen.current = true;
    if (input.value !== (field.value ?? '')) field.onChange(input.value);
  };
}

/** A field with its unit; its error stands under it and what was typed stays. */
export function Field({
  form,
  name,
  of,
  label = of?.fields[name]?.title ?? name,
  unit: given,
  hint,
  words,
  lines,
  type,
  offered,
}: FieldProps) {
  const early = useTypedEarly();
  const listId = useId();
  const { currency } = useBench();
  const own = of?.fields[name]?.unit;
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
  label = of?.fields[name]?.title ?? name,
  options,
  words,
}: {
  form: Form;
  name: string;
  of?: Defined;
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

/** A row of parts with lines between them, of which one or some are chosen. */
export const stripCss = css`
  display: flex;
  border: 1px solid var(--ink);
`;
export const partCss = css`
  padding: 6px 6px;
  font-size: 13px;
  cursor: pointer;
  border-left: 1px solid var(--ink);
  white-space: nowrap;
  &:first-child {
    border-left: 0;
  }
  &[data-selected] {
    background: #161616;
    color: #fff;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
`;

const Strip = styled(RadioGroup)`
  ${stripCss}
  width: 100%;
`;

const Part = styled(Radio)`
  ${partCss}
  flex: 1;
  text-align: center;
`;

const Exclusive = <T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) => (
  <Strip
    aria-label={label}
    value={value}
    onChange={(v) => onChange(v as T)}
    orientation="horizontal"
  >
    {options.map(([v, text]) => (
      <Part key={v} value={v}>
        {text}
      </Part>
    ))}
  </Strip>
);

/** A few ways that exclude each other, side by side. */
export const Strips = memo(Exclusive) as typeof Exclusive;
