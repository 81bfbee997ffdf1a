'use client';
import { parseMoney, parseNumber } from '@/core/input';
import { hireOrOwn } from '@/core/capture/plan';
import type { HireInput } from '@/core/capture/plan';
import type { Minor } from '@/core/units';
import { Button, useActionForm } from '@/shell/actions';
import { Field } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { splitUnit } from '@/shell/slip';
import { Small } from '@/shell/words';
import { keepHire } from './deviceActions';

/** Fee per work against own time and equipment: reckoned while it is typed. */
export function HireOrOwn({ hire }: { hire: HireInput }) {
  const format = useFormat();
  const { currency } = useBench();
  const amount = (minor: number) => splitUnit(format.amount(minor)).value;
  const { form, submit, sending, problem } = useActionForm(
    keepHire,
    {
      feePerWork: amount(hire.feePerWork),
      equipment: amount(hire.equipment),
      hoursPerWork: String(hire.hoursPerWork),
      hourlyRate: amount(hire.hourlyRate),
      works: String(hire.works),
    },
    { done: 'Kept.' },
  );
  const typed = form.watch();
  const money = (name: string) => parseMoney(typed[name] ?? '', currency);
  const values = {
    feePerWork: money('feePerWork'),
    equipment: money('equipment'),
    hourlyRate: money('hourlyRate'),
    hoursPerWork: parseNumber(typed.hoursPerWork ?? ''),
    works: parseNumber(typed.works ?? ''),
  };
  const whole = Object.values(values).every((v) => v !== null);
  const answer = whole
    ? hireOrOwn(values as { [K in keyof HireInput]: HireInput[K] & Minor })
    : null;
  return (
    <div style={{ display: 'grid', gap: 7, marginTop: 8 }}>
      <Field form={form} name="feePerWork" label="Hired: fee for a work" unit={currency} />
      <Field form={form} name="equipment" label="Own equipment, once" unit={currency} />
      <Field form={form} name="hoursPerWork" label="Own time for a work" unit="h" />
      <Field form={form} name="hourlyRate" label="Your hour" unit={currency} />
      <Field form={form} name="works" label="Works in view" />
      {answer && (
        <Small aria-live="polite">
          Hired {format.money(answer.hired)}, own {format.money(answer.own)}.{' '}
          {answer.breakEven === null
            ? 'Doing it yourself never pays: your time costs more than the fee.'
            : `Doing it yourself pays from ${format.number(answer.breakEven)} works on.`}
        </Small>
      )}
      <Problem>{problem}</Problem>
      <Button
        $small
        $plain
        onPress={submit}
        isDisabled={sending}
        style={{ justifySelf: 'start' }}
      >
        Keep these figures
      </Button>
    </div>
  );
}
