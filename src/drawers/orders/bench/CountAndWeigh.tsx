'use client';
import styled from 'styled-components';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { EnterForm, Field, Tick } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { tickPart, weigh } from './parcelActions';
import type { ParcelView } from './view';
import { partWords } from './words';
import { weighForm } from '../orderForms';

const Lines = styled.ul`
  li {
    display: flex;
    align-items: baseline;
    gap: 8px;
    padding: 2px 0;
    border-bottom: 1px solid var(--line);
  }
`;

/** What is gathered: each part ticked in the first count and again in the second. */
export const PickLines = ({ order, parcel }: { order: string; parcel: ParcelView }) => {
  const { run } = useAction(tickPart);
  const { parts, lines, ticks, sealed } = parcel;
  return (
    <Lines>
      {(parts ?? []).map((part) => {
        const words = partWords(part, lines);
        return (
          <li key={part.key}>
            {(['first', 'second'] as const).map((count) => {
              const on = ticks[count].includes(part.key);
              return (
                <Tick
                  key={count}
                  checked={on}
                  isDisabled={
                    sealed !== null ||
                    (count === 'second' && !ticks.first.includes(part.key))
                  }
                  label={`${words}, ${count} count`}
                  onChange={() =>
                    run({
                      order,
                      parcel: String(parcel.id),
                      part: part.key,
                      count,
                      on: on ? 'no' : 'yes',
                    })
                  }
                />
              );
            })}
            <span>{words}</span>
          </li>
        );
      })}
    </Lines>
  );
};

/** Weighs a parcel by the scales, or notes what was typed. */
export const Weigh = ({ order, parcel }: { order: string; parcel: ParcelView }) => {
  const scales = useAction(weigh);
  const fixed = { order, parcel: String(parcel.id) };
  const { form, submit, sending, problem } = useActionForm(weigh, { grams: '' }, { fixed });
  const weighed = parcel.weighed !== null;
  return (
    <>
      <EnterForm onEnter={submit}>
        <Field form={form} of={weighForm} name="grams" />
      </EnterForm>
      <div style={{ display: 'flex', gap: 8 }}>
        <Button
          $small
          $plain={weighed}
          isDisabled={scales.sending}
          onPress={() => scales.run(fixed)}
        >
          {weighed ? 'Weigh again' : 'Weigh it on the scales'}
        </Button>
        <Button $small $plain isDisabled={sending} onPress={submit}>
          Note the weight
        </Button>
      </div>
      <Problem>{problem ?? scales.problem}</Problem>
    </>
  );
};
