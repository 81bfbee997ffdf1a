'use client';
import styled from 'styled-components';
import { Button, Field, Problem, useAction, useActionForm } from '@/shell';
import { tickLine, weigh } from './actions';
import type { ReckonedParcel } from './parcel';
import type { PackView } from './view';

const Lines = styled.ul`
  li {
    display: flex;
    align-items: baseline;
    gap: 8px;
    padding: 2px 0;
    border-bottom: 1px solid var(--line);
  }
  label {
    display: flex;
  }
  input {
    width: 15px;
    height: 15px;
    margin: 0;
    accent-color: #1c4a78;
  }
`;

/** The pick list: each line ticked in the first count and again in the second. */
export const PickLines = ({
  view,
  reckoned,
}: {
  view: PackView;
  reckoned: ReckonedParcel;
}) => {
  const { order, ticks } = view;
  const { run } = useAction(tickLine);
  if (!order || !ticks) return null;
  const sealed = order.label !== null;
  return (
    <Lines>
      {reckoned.lines.map((line) => (
        <li key={line.id}>
          {(['first', 'second'] as const).map((count) => {
            const on = ticks[count].includes(line.id);
            return (
              <label key={count}>
                <input
                  type="checkbox"
                  checked={on}
                  disabled={
                    sealed || (count === 'second' && !ticks.first.includes(line.id))
                  }
                  aria-label={`${line.label}, ${count} count`}
                  onChange={() =>
                    run({
                      order: order.number,
                      line: line.id,
                      count,
                      on: on ? 'no' : 'yes',
                    })
                  }
                />
              </label>
            );
          })}
          <span>{line.label}</span>
        </li>
      ))}
    </Lines>
  );
};

/** Weighs the parcel by the scales, or notes what was typed. */
export const Weigh = ({ view }: { view: PackView }) => {
  const scales = useAction(weigh);
  const { order } = view;
  const { form, submit, sending, problem } = useActionForm(
    weigh,
    { grams: '' },
    { fixed: { order: order?.number ?? '' } },
  );
  return (
    <>
      <form
        method="dialog"
        onSubmit={(e) => {
          e.preventDefault();
          submit();
        }}
      >
        <Field form={form} name="grams" label="Weight, if typed by hand" unit="g" />
      </form>
      <div style={{ display: 'flex', gap: 8 }}>
        <Button
          $small
          $plain={order?.weighed !== null}
          isDisabled={scales.sending}
          onPress={() => scales.run({ order: order?.number ?? '' })}
        >
          {order?.weighed === null ? 'Weigh it on the scales' : 'Weigh again'}
        </Button>
        <Button $small $plain isDisabled={sending} onPress={submit}>
          Note the weight
        </Button>
      </div>
      <Problem>{problem ?? scales.problem}</Problem>
    </>
  );
};
