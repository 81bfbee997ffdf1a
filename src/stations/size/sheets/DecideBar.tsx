'use client';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { nominalSize } from '@/core/size';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { EnterForm, Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { offerSize, withdrawSize } from '../actions';
import { sizeAsked } from '../layoutForm';
import type { Sizing, Step } from '../useSizing';
import { withdrawForm } from '../sizeForms';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
  min-height: 30px;
  font-size: 13px;
`;

const Why = styled(EnterForm)`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  > div {
    width: min(330px, 100%);
  }
`;

const many = (steps: readonly Step[]) =>
  steps.length === 1 ? steps[0]!.label : `${steps.length} sizes`;

/** Asks why sizes are withdrawn, and withdraws them. */
export function WithdrawForm({
  workId,
  steps,
  reason,
  onDone,
}: {
  workId: number;
  steps: readonly Step[];
  reason: string;
  onDone: () => void;
}) {
  const { form, submit, sending, problem } = useActionForm(
    withdrawSize,
    { reason },
    { fixed: sizeAsked(workId, steps), done: 'Withdrawn from sale.', onDone },
  );
  // Asked why, one answers at once; Enter takes the reason that is proposed.
  useEffect(() => form.setFocus('reason'), [form]);
  return (
    <Why onEnter={submit}>
      <div>
        <Field
          form={form}
          of={withdrawForm}
          name="reason"
          label={`Why ${many(steps)}`}
          words
        />
      </div>
      <Button type="submit" $small isDisabled={sending}>
        Withdraw
      </Button>
      <Button $small $plain onPress={onDone}>
        Keep
      </Button>
      <Problem>{problem}</Problem>
    </Why>
  );
}

interface DecideBarProps {
  workId: number;
  sizing: Sizing;
  chosen: ReadonlySet<string>;
  onDone: () => void;
}

/** Offers or withdraws many sizes at once: those chosen, those that pass, those that fall short. */
export function DecideBar({ workId, sizing, chosen, onDone }: DecideBarProps) {
  const { steps, desk, eaten } = sizing;
  const offering = useAction(offerSize, 'On offer.', onDone);
  const [leaving, setLeaving] = useState<{ keys: string[]; reason: string } | null>(null);
  const going = leaving && steps.filter((s) => leaving.keys.includes(s.key));
  const on = (s: Step) => s.decided?.kind === 'offered';
  const short = steps.filter((s) => on(s) && s.judgement.advice === 'withdraw');
  const passing = steps.filter((s) => !on(s) && s.judgement.advice === 'offer');
  const picked = steps.filter((s) => chosen.has(s.key));
  const withdraw = (which: Step[], reason: string) =>
    setLeaving({ keys: which.map((s) => s.key), reason });
  const offer = (which: Step[]) =>
    desk.typed && offering.run({ ...sizeAsked(workId, which), ...desk.typed });
  if (going && going.length > 0)
    return (
      <Row>
        <WithdrawForm
          key={going.map((s) => s.key).join()}
          workId={workId}
          steps={going}
          reason={leaving.reason}
          onDone={() => {
            setLeaving(null);
            onDone();
          }}
        />
      </Row>
    );
  const chosenOn = picked.filter(on);
  const blocked = offering.sending || desk.typed === null;
  return (
    <Row>
      <span>
        {steps.filter(on).length} of {steps.length} on offer
        {eaten > 0 && ` · ${eaten} smaller than their borders, not shown`}
      </span>
      {picked.length > 0 ? (
        <>
          <Button $small onPress={() => offer(picked)} isDisabled={blocked}>
            Offer the {picked.length} chosen
          </Button>
          {chosenOn.length > 0 && (
            <Button $small $plain onPress={() => withdraw(chosenOn, 'no longer wanted')}>
              Withdraw the {chosenOn.length} chosen
            </Button>
          )}
        </>
      ) : (
        <>
          {short.length > 0 && (
            <Button $small onPress={() => withdraw(short, 'falls short')}>
              Withdraw{' '}
              {short.length === 1 ? 'the one that falls' : `all ${short.length} that fall`}{' '}
              short
            </Button>
          )}
          {passing.length > 0 && (
            <Button $small $plain onPress={() => offer(passing)} isDisabled={blocked}>
              Offer {passing.length === 1 ? 'the one' : `all ${passing.length}`} that pass
              {passing.length === 1 ? 'es' : ''}
            </Button>
          )}
        </>
      )}
      {sizing.openAgain.size > 0 && (
        <span>
          Open again:{' '}
          {[...sizing.openAgain.keys()].map((key) => (
            <Button key={key} $small $plain onPress={() => sizing.pick(key)}>
              {nominalSize(key)?.label ?? key}
            </Button>
          ))}
        </span>
      )}
      <Problem>{offering.problem}</Problem>
    </Row>
  );
}
