'use client';
import { useRef } from 'react';
import { useForm } from 'react-hook-form';
import type { FormDefinition } from '@/core/input';
import type { Form, TypedValues } from '../fields/fieldParts';
import { useLiveRead } from './useLiveRead';

/**
 * Fields that are looked at while one types, and sent nowhere: what a drawing is asked. `values`
 * are the last that were right, so that half a figure does not empty the drawing.
 */
export function useLiveForm<T>(
  of: FormDefinition<T>,
  start: TypedValues,
  begin: T,
  together?: (values: T) => Record<string, string>,
): { form: Form; values: T } {
  const form = useForm<TypedValues>({ defaultValues: start });
  const read = useLiveRead(form, of, together);
  const last = useRef(begin);
  if (read !== null) last.current = read;
  return { form, values: last.current };
}
