'use client';
import { PROOF_VERDICTS } from '@/core/proof';
import { useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { FormPart } from '@/shell/slip';
import { SectionLabel } from '@/shell/words';
import { judgeProof, sendProof } from './actions';
import { backForm, sendForm } from './proofForms';
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
  const form = useActionForm(
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
  const paperId = papers.map((p) => [String(p.id), `${p.name}, ${p.weight} g/m²`] as const);
  const f = { form: form.form, of: sendForm };
  return (
    <FormPart form={form} verb="Note it as sent">
      <SectionLabel>{last ? 'Send a further round' : 'Send the first round'}</SectionLabel>
      <FormFields {...f} only={['paperId']} options={{ paperId }} stacked />
      <FormFields
        {...f}
        only={['route', 'sentOn', 'cost', 'remarks']}
        offered={{ route: view.printers }}
        lines={{ remarks: 2 }}
      />
    </FormPart>
  );
};

/** What is said of a round that came back. */
export const JudgeRound = ({ view }: { view: ProofView }) => {
  const { work, out } = view;
  const form = useActionForm(
    judgeProof,
    { seen: '', toChange: '', verdict: 'approved' },
    {
      fixed: { workId: String(work.id), roundId: String(out?.id ?? '') },
      done: 'Verdict kept.',
    },
  );
  return (
    <FormPart form={form} verb="Keep this verdict">
      <SectionLabel>
        It came back: hold it beside the original in even, neutral light
      </SectionLabel>
      <FormFields
        form={form.form}
        of={backForm}
        lines={{ seen: 3, toChange: 2 }}
        options={{ verdict: PROOF_VERDICTS.map((v) => [v, VERDICTS[v]] as const) }}
      />
    </FormPart>
  );
};
