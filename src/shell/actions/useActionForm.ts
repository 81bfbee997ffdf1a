'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useTransition } from 'react';
import { useForm } from 'react-hook-form';
import { benchWord } from '@/core/input';
import type { Answer, Sent } from '@/core/input';
import { useBench } from '../figures/BenchContext';
import type { Form, TypedValues } from '../fields/fieldParts';
import { useToast } from '../said/Toasts';
import { useDesk } from './deskLink';
import { keepInTab, keptInTab } from './useKept';
import type { Holds } from './useKept';

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

const isTyped: Holds<TypedValues> = (value): value is TypedValues =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).every((v) => typeof v === 'string');

/**
 * What was typed and not sent yet is there again when one comes back to the page in the same tab.
 * `defaults`: what the fields hold where nothing was typed.
 */
function useKeptTyping(form: Form, name: string, defaults: TypedValues): void {
  useDesk(name);
  const stored = useRef(defaults);
  stored.current = defaults;
  useEffect(() => {
    if (name === '') return;
    const kept = keptInTab(name, isTyped);
    for (const [field, value] of Object.entries(kept ?? {}))
      if (field in stored.current) form.setValue(field, value, { shouldDirty: true });
    const { unsubscribe } = form.watch((values) => {
      const typed = Object.entries(values).filter(([f, v]) => v !== stored.current[f]);
      keepInTab(name, typed.length > 0 ? Object.fromEntries(typed) : null);
    });
    return unsubscribe;
  }, [form, name]);
}

/** Joins a form to a server action. `fixed` goes along unseen; `done` is said when it worked. */
export function useActionForm<T>(
  action: (sent: Sent) => Promise<Answer<T>>,
  defaults: TypedValues,
  options: {
    fixed?: Sent;
    done?: Done<T>;
    onDone?: (value: T) => void;
    /** A name under which what was typed is kept in the tab until it is sent. */
    keptAs?: string;
  } = {},
): ActionForm {
  const form = useForm<TypedValues>({ defaultValues: defaults });
  const [sending, start] = useTransition();
  const [problem, setProblem] = useState<string | null>(null);
  const { say } = useToast();
  const bench = benchWord(useBench());
  const router = useRouter();
  /** What the server told a stale form to send along from now on. */
  const fresh = useRef<TypedValues>({});
  // Figures that were typed under another bench are not read by this one.
  const keptAs = options.keptAs ? `${options.keptAs}.${bench.replaceAll(' ', '.')}` : '';
  useKeptTyping(form, keptAs, defaults);
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
        if (keptAs) keepInTab(keptAs, null);
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
