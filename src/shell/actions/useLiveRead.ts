'use client';
import { useEffect, useMemo } from 'react';
import type { FormDefinition } from '@/core/input';
import { useBench } from '../figures/BenchContext';
import type { Form } from '../fields/fieldParts';

/** Names of both, in one text: an effect that compares it runs only when a sentence changed. */
const told = (faults: Record<string, string>) =>
  JSON.stringify(Object.entries(faults).sort());

/**
 * The values of a form while one types, by the reader that the action uses, too; null as long
 * as a field is not right. What is not right is said at its field; `together` may say what is
 * wrong of values that are right each for itself.
 */
export function useLiveRead<T>(
  form: Form,
  of: FormDefinition<T>,
  together: (values: T) => Record<string, string> = () => ({}),
): T | null {
  const bench = useBench();
  const typed = JSON.stringify(form.watch());
  const read = useMemo(() => of.read(JSON.parse(typed), bench), [of, typed, bench]);
  const faults = told(read.ok ? together(read.value) : read.fields);
  useEffect(() => {
    const now = Object.fromEntries(JSON.parse(faults) as [string, string][]);
    for (const name of Object.keys(of.fields)) {
      const message = now[name];
      const before = form.getFieldState(name).error?.message;
      if (message === before) continue;
      if (message) form.setError(name, { message });
      else form.clearErrors(name);
    }
  }, [faults, of, form]);
  return read.ok ? read.value : null;
}
