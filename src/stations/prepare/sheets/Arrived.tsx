'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormPart } from '@/shell/slip';
import { Small } from '@/shell/words';
import { noteArrival } from '../handOverActions';
import { arrivalForm } from '../prepareForms';
import type { PrepareView } from '../view';

type ErrandView = PrepareView['errands'][number];

function ArrivedForm({
  errand,
  today,
  onNoted,
}: {
  errand: ErrandView;
  today: string;
  onNoted: () => void;
}) {
  const { came } = errand;
  const start = arrivalForm.write(
    came
      ? { onDay: came.onDay, cost: came.cost, faulty: came.faulty, note: came.note }
      : { onDay: today, faulty: 0, note: '' },
    useBench(),
  );
  const form = useActionForm(noteArrival, start, {
    fixed: { errandId: String(errand.id) },
    done: `What came of ${errand.number} is noted.`,
    onDone: onNoted,
  });
  return (
    <FormPart form={form} verb="Note it">
      <FormFields
        form={form.form}
        of={arrivalForm}
        only={['onDay', 'cost', 'faulty', 'note']}
      />
      <Small>Price shows it beside what their list promised.</Small>
    </FormPart>
  );
}

/** What came of an errand, or that it came. */
export function Arrived({ errand, today }: { errand: ErrandView; today: string }) {
  const format = useFormat();
  const router = useRouter();
  const [noting, setNoting] = useState(false);
  const { came } = errand;
  return (
    <tr>
      <td colSpan={5} className="wrap" style={{ paddingLeft: 18 }}>
        {came &&
          `Came ${format.day(came.onDay)} for ${format.money(came.cost, came.currency)}, ${came.faulty === 0 ? 'nothing faulty' : `${came.faulty} faulty${came.note && `: ${came.note}`}`}. `}
        {noting ? (
          <div style={{ display: 'grid', gap: 6, maxWidth: 420 }}>
            <ArrivedForm
              errand={errand}
              today={today}
              onNoted={() => {
                setNoting(false);
                router.refresh();
              }}
            />
          </div>
        ) : (
          <Button
            $small
            $plain
            aria-label={`${errand.number} came`}
            onPress={() => setNoting(true)}
          >
            {came ? 'Correct it' : 'It came'}
          </Button>
        )}
      </td>
    </tr>
  );
}
