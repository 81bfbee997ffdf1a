'use client';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import type { Field as FieldOf } from '@/core/input';
import { AlertTriangle } from 'lucide-react';
import { FieldError } from 'react-aria-components';
import type { ControllerRenderProps, UseFormReturn } from 'react-hook-form';
import styled from 'styled-components';

export type TypedValues = Record<string, string>;
export type Form = UseFormReturn<TypedValues>;

export const Row = styled.div<{ $stacked?: boolean }>`
  display: grid;
  grid-template-columns: ${({ $stacked }) => ($stacked ? '1fr' : '1fr 136px')};
  align-items: center;
  gap: 2px 10px;
  label,
  .label {
    font-size: 13px;
    color: var(--soft);
  }
`;

export const Box = styled.span`
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

export const Problem = styled.span`
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

export const Hint = styled.span`
  grid-column: 1 / -1;
  color: var(--soft);
  font-size: 11.5px;
`;

/** What a field needs of its form's definition. */
export interface Defined {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- what a field writes is its own
  fields: Record<string, FieldOf<any>>;
}

export const ErrorLine = ({ message }: { message: string | undefined }) =>
  message ? (
    <FieldError>
      <Problem>
        <AlertTriangle size={13} aria-hidden />
        {message}
      </Problem>
    </FieldError>
  ) : null;

/** A field that has its own name within: what it is called stands beside it for the eye alone. */
export const NamedRow = ({
  label,
  hint,
  message,
  stacked = false,
  children,
}: {
  label: string;
  hint: string | undefined;
  message: string | undefined;
  stacked?: boolean | undefined;
  children: ReactNode;
}) => (
  <Row $stacked={stacked}>
    <span className="label" aria-hidden>
      {label}
    </span>
    {children}
    {hint && <Hint>{hint}</Hint>}
    {message && (
      <Problem role="alert">
        <AlertTriangle size={13} aria-hidden />
        {message}
      </Problem>
    )}
  </Row>
);

type Typing = HTMLInputElement | HTMLTextAreaElement;

/** Hands an input to its form, with what was typed into it before the page came alive. */
export function useTypedEarly() {
  const seen = useRef(false);
  return (field: ControllerRenderProps<TypedValues>) => (input: Typing | null) => {
    field.ref(input);
    if (input === null || seen.current) return;
    seen.current = true;
    if (input.value !== (field.value ?? '')) field.onChange(input.value);
  };
}
