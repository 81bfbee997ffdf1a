'use client';
import { hireOrOwn } from '@/core/capture/plan';
import type { HireInput } from '@/core/capture/plan';
import { useActionForm, useLiveRead } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormPart } from '@/shell/slip';
import { Small } from '@/shell/words';
import { keepHire } from './deviceActions';
import { hireForm, hireWritten } from './deviceForm';

/** Fee per work against own time and equipment: reckoned while it is typed. */
export function HireOrOwn({ hire }: { hire: HireInput & { currency: string | null } }) {
  const format = useFormat();
  const stored = hireWritten(hire, useBench());
  const form = useActionForm(keepHire, stored, { done: 'Kept.' });
  const values = useLiveRead(form.form, hireForm);
  const answer = values && hireOrOwn(values);
  return (
    <div style={{ display: 'grid', gap: 7, marginTop: 8 }}>
      <FormPart form={form} verb="Keep these figures" plain>
        <FormFields form={form.form} of={hireForm} />
        {answer && (
          <Small aria-live="polite">
            Hired {format.money(answer.hired)}, own {format.money(answer.own)}.{' '}
            {answer.breakEven === null
              ? 'Doing it yourself never pays: your time costs more than the fee.'
              : `Doing it yourself pays from ${format.number(answer.breakEven)} works on.`}
          </Small>
        )}
      </FormPart>
    </div>
  );
}
