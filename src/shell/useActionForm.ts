'use client';
import { useEffect, useState, useTransition } from 'react';
import { useForm } from 'react-hook-form';
import type { Form, TypedValues } from './fields';
import { useToast } from './Toasts';

/** What a server action answers. */
export type Answer<T> =
  { ok: true; value: T } | { ok: false; message: string; fields: Record<string, string> };

export interface ActionForm {
  form: Form;
  /** Sends what was typed; refused, everything typed stays and errors stand at their fields. */
  submit: () => void;
  sending: boolean;
  /** The sentence that belongs to no single field. */
  problem: string | null;
}

/** Joins a form to a server action. `fixed` goes along unseen; `done` is said when it worked. */
export function useActionForm<T>(
  action: (typed: TypedValues) => Promise<Answer<T>>,
  defaults: TypedValues,
  options: { fixed?: TypedValues; done?: string; onDone?: (value: T) => void } = {},
): ActionForm {
  const form = useForm<TypedValues>({ defaultValues: defaults });
  const [sending, start] = useTransition();
  const [problem, setProblem] = useState<string | null>(null);
  const toast = useToast();
  const key = JSON.stringify(defaults);
  useEffect(() => {
    form.reset(JSON.parse(key) as TypedValues, { keepDirtyValues: true });
  }, [form, key]);
  const send = form.handleSubmit((typed) => {
    start(async () => {
      try {
        const answer = await action({ ...options.fixed, ...typed });
        if (!answer.ok) {
          const own = Object.keys(defaults);
          for (const [name, message] of Object.entries(answer.fields))
            form.setError(name, { message });
          const first = own.find((name) => answer.fields[name]);
          if (first) form.setFocus(first);
          setProblem(first ? null : answer.message);
          return;
        }
        setProblem(null);
        form.reset(typed);
        if (options.done) toast(options.done);
        options.onDone?.(answer.value);
      } catch {
        setProblem('Glassine did not answer. What you typed is still here: try again.');
      }
    });
  });
  return { form, submit: () => void send(), sending, problem };
}

/** The same for a press without a form. */
export function useAction<T>(
  action: (typed: TypedValues) => Promise<Answer<T>>,
  done?: string,
): { run: (typed: TypedValues) => void; sending: boolean; problem: string | null } {
  const [sending, start] = useTransition();
  const [problem, setProblem] = useState<string | null>(null);
  const toast = useToast();
  const run = (typed: TypedValues) =>
    start(async () => {
      try {
        const answer = await action(typed);
        setProblem(answer.ok ? null : answer.message);
        if (answer.ok && done) toast(done);
      } catch {
        setProblem('Glassine did not answer. Try again.');
      }
    });
  return { run, sending, problem };
}
