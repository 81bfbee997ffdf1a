'use client';
import { useState } from 'react';
import { INTENTS } from '@/core/prepare';
import { PROOF_VERDICTS } from '@/core/proof';
import type { ByEye } from '@/core/proof';
import { Button, useActionForm } from '@/shell/actions';
import { Fold, FormFields } from '@/shell/fields';
import { FormPart } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { INTENT_NAMES } from '@/studio/words/recipeWords';
import { ByEyeFields } from './ByEyeFields';
import { judgeProof, noteCustomer, sendProof } from './actions';
import { backForm, customerForm, sendForm } from './proofForms';
import type { SentToo } from './proofForms';
import { VERDICTS } from './words';
import type { ProofView } from './view';

/** What is noted when a round is sent. */
export const SendRound = ({ view }: { view: ProofView }) => {
  const { work, papers, picked, today, rounds, sendable } = view;
  const last = rounds.at(-1);
  const paper =
    papers.find((p) => p.id === view.paperId) ??
    papers.find((p) => p.id === last?.paperId) ??
    papers[0];
  const [too, setToo] = useState<SentToo[]>([]);
  const form = useActionForm(
    sendProof,
    {
      file: sendable.find((f) => f.sizeKey === picked?.key)?.id ?? '',
      paperId: String(paper?.id ?? ''),
      route:
        view.printers.find((p) => p === last?.route) ??
        view.printers.find((p) => p === paper?.profile?.printer) ??
        view.printers[0]!,
      intent: last?.intent ?? 'relative',
      setting: last?.setting ?? paper?.profile?.setting ?? paper?.setting ?? '',
      lot: last?.lot ?? '',
      cost: '0',
      sentOn: today,
      dueOn: '',
      remarks: last?.toChange ?? '',
    },
    {
      fixed: {
        workId: String(work.id),
        sizeKey: picked?.key ?? '',
        too: JSON.stringify(too),
      },
      done: 'Proof round noted as sent.',
      onDone: () => setToo([]),
    },
  );
  const paperId = papers.map((p) => [String(p.id), `${p.name}, ${p.weight} g/m²`] as const);
  const file = [
    ['', 'nothing of ours: only noted'] as const,
    ...sendable.map((f) => [f.id, `${f.name}${f.strip ? ' (strip)' : ''}`] as const),
  ];
  const options = {
    paperId,
    file,
    route: view.printers.map((p) => [p, p] as const),
    intent: INTENTS.map((i) => [i, INTENT_NAMES[i]] as const),
  };
  const f = { form: form.form, of: sendForm, options };
  const nameOf = ({ file: id, paperId: on }: SentToo) =>
    `${sendable.find((s) => s.id === id)?.name ?? 'only noted'} on ${papers.find((p) => p.id === on)?.name ?? 'a paper'}`;
  const now = form.form.watch(['file', 'paperId']);
  const standsIn = (id: string | undefined) => {
    const use = papers.find((p) => String(p.id) === id)?.profile;
    return use?.standIn
      ? `“${use.setting}” stands in on ${use.printer || 'the own printer'}: its driver lacks this paper`
      : undefined;
  };
  return (
    <FormPart
      form={form}
      verb={too.length > 0 ? `Note ${too.length + 1} as sent` : 'Note it as sent'}
    >
      <SectionLabel>{last ? 'Send a further round' : 'Send the first round'}</SectionLabel>
      <FormFields {...f} only={['file', 'paperId']} stacked />
      <FormFields {...f} only={['route', 'cost', 'remarks']} lines={{ remarks: 2 }} />
      <Fold title="Days, intent, setting, lot">
        <FormFields
          {...f}
          only={['sentOn', 'dueOn', 'intent', 'setting', 'lot']}
          hints={{ setting: standsIn(form.form.watch('paperId')) }}
        />
      </Fold>
      {too.length > 0 && (
        <Small>
          Along with it: {too.map(nameOf).join('; ')}.{' '}
          <button type="button" className="link" onClick={() => setToo([])}>
            None of them
          </button>
        </Small>
      )}
      <Button
        $plain
        $small
        onPress={() => setToo([...too, { file: String(now[0]), paperId: Number(now[1]) }])}
      >
        Keep this one, and add another
      </Button>
    </FormPart>
  );
};

/** What is said of a round that came back. */
export const JudgeRound = ({ view }: { view: ProofView }) => {
  const { work, out, today } = view;
  const [byEye, setByEye] = useState<ByEye>({});
  const form = useActionForm(
    judgeProof,
    {
      seen: '',
      toChange: '',
      verdict: 'approved',
      lux: view.light?.lux ? String(Math.round(view.light.lux)) : '',
      kelvin: view.light?.lightKelvin ? String(view.light.lightKelvin) : '',
      backOn: today,
    },
    {
      fixed: {
        workId: String(work.id),
        roundId: String(out?.id ?? ''),
        byEye: JSON.stringify(byEye),
      },
      done: 'Verdict kept.',
    },
  );
  const f = { form: form.form, of: backForm };
  return (
    <FormPart form={form} verb="Keep this verdict">
      <SectionLabel>
        It came back: hold it beside the original in even, neutral light
      </SectionLabel>
      <Fold title="By eye, in what light">
        <ByEyeFields value={byEye} onChange={setByEye} />
        <FormFields {...f} only={['lux', 'kelvin', 'backOn']} />
      </Fold>
      <FormFields
        {...f}
        only={['seen', 'toChange', 'verdict']}
        lines={{ seen: 2, toChange: 2 }}
        options={{ verdict: PROOF_VERDICTS.map((v) => [v, VERDICTS[v]] as const) }}
      />
    </FormPart>
  );
};

/** What the customer of a print said of its proof. */
export const CustomerSaid = ({ view, roundId }: { view: ProofView; roundId: number }) => {
  const form = useActionForm(
    noteCustomer,
    { sentOn: view.today, agreed: 'agree', said: '' },
    {
      fixed: { workId: String(view.work.id), roundId: String(roundId) },
      done: 'Noted what they said.',
    },
  );
  return (
    <Fold title="What its customer says">
      <FormPart form={form} verb="Note it">
        <FormFields form={form.form} of={customerForm} lines={{ said: 2 }} />
      </FormPart>
    </Fold>
  );
};
