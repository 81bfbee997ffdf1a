'use client';
import { useRef } from 'react';
import { useForm } from 'react-hook-form';
import type { FormDefinition } from '@/core/input';
import type { Form, TypedValues } from '../fields/fieldParts';
import { useLiveRead } from './useLiveRead';

/** The last values that were right, so that half a figure does not empty the drawing. */
export function useLastRight<T>(read: T | null, begin: T): T {
  const last = useRef(begin);
  if (read !== null) last.current = read;
  return last.current;
}

/**
 * Fields that are looked at while one types, and sent nowhere: what a drawing is asked. `values`
 * are the last that were right.
 */
export function useLiveForm<T>(
  of: FormDefinition<T>,
  start: TypedValues,
  begin: T,
  together?: (values: T) => Record<string, string>,
): { form: Form; values: T } {
  const form = useForm<TypedValues>({ defaultValues: start });
  const read = useLiveRead(form, of, together);
  return { form, values: useLastRight(read, begin) };
}
