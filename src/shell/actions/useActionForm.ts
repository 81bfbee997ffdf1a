'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useTransition } from 'react';
import { useForm } from 'react-hook-form';
import { benchWord } from '@/core/input';
import type { Answer, Sent } from '@/core/input';
import { useBench } from '../figures/BenchContext';
import type { Form, TypedValues } from '../fields/fieldParts';
import { useToast } from '../said/Toasts';

export interface ActionForm {
  form: Form;
  /** Sends what was typed; refused, everything typed stays and errors stand at their fields. */
  submit: () => void;
  sending: boolean;
  /** The sentence that belongs to no single field. */
  problem: string | null;
}

/** What is said once it is done; a function of what was answered where that tells. */
type Done<T> = string | ((value: T) => string);

const doneOf = <T>(done: Done<T>, value: T): string =>
  typeof done === 'function' ? done(value) : done;

/** Joins a form to a server action. `fixed` goes along unseen; `done` is said when it worked. */
export function useActionForm<T>(
  action: (sent: Sent) => Promise<Answer<T>>,
  defaults: TypedValues,
  options: { fixed?: Sent; done?: Done<T>; onDone?: (value: T) => void } = {},
): ActionForm {
  const form = useForm<TypedValues>({ defaultValues: defaults });
  const [sending, start] = useTransition();
  const [problem, setProblem] = useState<string | null>(null);
  const { say } = useToast();
  const bench = benchWord(useBench());
  const router = useRouter();
  /** What the server told a stale form to send along from now on. */
  const fresh = useRef<TypedValues>({});
  const key = JSON.stringify(defaults);
  useEffect(() => {
    fresh.current = {};
    form.reset(JSON.parse(key) as TypedValues, { keepDirtyValues: true });
  }, [form, key]);
  const send = form.handleSubmit((typed) => {
    start(async () => {
      try {
        const answer = await action({
          ...options.fixed,
          ...fresh.current,
          ...typed,
          bench,
        });
        if (!answer.ok) {
          fresh.current = { ...fresh.current, ...answer.fresh };
          const own = Object.keys(defaults);
          for (const [name, message] of Object.entries(answer.fields))
            form.setError(name, { message });
          const first = own.find((name) => answer.fields[name]);
          if (first) form.setFocus(first);
          setProblem(first && !answer.fresh ? null : answer.message);
          // Refused as a whole, things are not as the page shows them: it is read again, what was typed stays.
          if (!first) router.refresh();
          return;
        }
        setProblem(null);
        form.reset(typed);
        if (options.done) say(doneOf(options.done, answer.value), answer.undo);
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
  action: (sent: Sent) => Promise<Answer<T>>,
  done?: Done<T>,
  onDone?: (value: T) => void,
): { run: (sent: Sent) => void; sending: boolean; problem: string | null } {
  const [sending, start] = useTransition();
  const [problem, setProblem] = useState<string | null>(null);
  const { say } = useToast();
  const router = useRouter();
  const run = (sent: Sent) =>
    start(async () => {
      try {
        const answer = await action(sent);
        setProblem(answer.ok ? null : answer.message);
        // Refused, things are not as the page shows them: it is read again.
        if (!answer.ok) return router.refresh();
        if (done) say(doneOf(done, answer.value), answer.undo);
        onDone?.(answer.value);
      } catch {
        setProblem('Glassine did not answer. Try again.');
      }
    });
  return { run, sending, problem };
}
