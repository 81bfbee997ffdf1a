'use client';
import { Button, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { SectionLabel } from '@/shell/words';
import { judgeProof, sendProof } from './actions';
import type { ProofView } from './view';

export const VERDICTS = {
  approved: 'approved',
  changeAndRepeat: 'change and repeat',
  abandoned: 'abandoned',
} as const;

/** What is noted when a round is sent. */
export const SendRound = ({ view }: { view: ProofView }) => {
  const { work, papers, picked, today, rounds } = view;
  const last = rounds.at(-1);
  const { form, submit, sending, problem } = useActionForm(
    sendProof,
    {
      paperId: String(last?.paperId ?? papers[0]?.id ?? ''),
      route: last?.route ?? view.printers[0]!,
      cost: '0',
      sentOn: today,
      remarks: last?.toChange ?? '',
    },
    {
      fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
      done: 'Proof round noted as sent.',
    },
  );
  return (
    <>
      <SectionLabel>{last ? 'Send a further round' : 'Send the first round'}</SectionLabel>
      <ChoiceField
        form={form}
        name="paperId"
        label="Paper"
        words
        options={papers.map((p) => [String(p.id), `${p.name}, ${p.weight} g/m²`] as const)}
      />
      <Field form={form} name="route" label="Printed by" words offered={view.printers} />
      <Field form={form} name="sentOn" label="Sent on" type="date" />
      <Field form={form} name="cost" label="Cost" unit={view.currency} />
      <Field form={form} name="remarks" label="What this round tries" words lines={2} />
      <Problem>{problem}</Problem>
      <Button
        onPress={submit}
        isDisabled={sending}
        style={{ justifySelf: 'start', alignSelf: 'flex-start' }}
      >
        Note it as sent
      </Button>
    </>
  );
};

/** What is said of a round that came back. */
export const JudgeRound = ({ view }: { view: ProofView }) => {
  const { work, out } = view;
  const { form, submit, sending, problem } = useActionForm(
    judgeProof,
    { seen: '', toChange: '', verdict: 'approved' },
    {
      fixed: { workId: String(work.id), roundId: String(out?.id ?? '') },
      done: 'Verdict kept.',
    },
  );
  return (
    <>
      <SectionLabel>
        It came back: hold it beside the original in even, neutral light
      </SectionLabel>
      <Field form={form} name="seen" label="What was seen" words lines={3} />
      <Field
        form={form}
        name="toChange"
        label="To change in the next round"
        words
        lines={2}
      />
      <ChoiceField
        form={form}
        name="verdict"
        label="Verdict"
        options={Object.entries(VERDICTS)}
      />
      <Problem>{problem}</Problem>
      <Button
        onPress={submit}
        isDisabled={sending}
        style={{ justifySelf: 'start', alignSelf: 'flex-start' }}
      >
        Keep this verdict
      </Button>
    </>
  );
};
