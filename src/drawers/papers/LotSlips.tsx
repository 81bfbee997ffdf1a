'use client';
import { useRouter } from 'next/navigation';
import { Fragment } from 'react';
import { formatKey } from '@/core/paper';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { Fold, FormFields, Pair } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import {
  FactList,
  Figures,
  FormPart,
  FormSlip,
  Slip,
  SlipSub,
  SlipTitle,
} from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { lotAmount } from '@/studio/words/lotWords';
import { formatName } from '@/studio/words/formatWords';
import { countOfLot, putPaperBack, receivePaper, takeOfLot } from './lotActions';
import { countForm, lotForm, takeForm } from './lotForm';
import type { PapersView } from './view';

type Lot = NonNullable<PapersView['lot']>;

/** A delivery of the picked paper. */
export function NewLot({
  view,
}: {
  view: PapersView & { newLot: Record<string, string> };
}) {
  const router = useRouter();
  const format = useFormat();
  const { picked, newLot } = view;
  const back = `/papers?paper=${picked!.id}`;
  const form = useActionForm(receivePaper, newLot, {
    fixed: { paperId: String(picked!.id) },
    done: 'Delivery noted.',
    onDone: () => router.push(back),
  });
  const f = { form: form.form, of: lotForm };
  return (
    <FormSlip label={`Delivery of ${picked!.name}`} form={form} verb="Note it" back={back}>
      <FormFields {...f} only={['kind', 'name']} />
      <Pair>
        <FormFields {...f} only={['width', 'height']} stacked />
      </Pair>
      <FormFields {...f} only={['core', 'pieces', 'price', 'per', 'supplier']} />
      {view.formats.length > 1 && (
        <Small>
          As{' '}
          {view.formats.map((of, i) => (
            <Fragment key={formatKey(of)}>
              {i > 0 && ' · '}
              <Link href={`${back}&lot=new&as=${encodeURIComponent(formatKey(of))}`}>
                {formatName(of, format)}
              </Link>
            </Fragment>
          ))}
        </Small>
      )}
      <Small>Prints take their paper from the oldest lot that has enough for them.</Small>
    </FormSlip>
  );
}

const measure = (lot: Lot) => (lot.kind === 'roll' ? 'run' : 'sheets');

/** Paper that no print of the log book took. */
const Take = ({ lot }: { lot: Lot }) => {
  const form = useActionForm(
    takeOfLot,
    { kind: 'test', reason: '' },
    { fixed: { lotId: String(lot.id) }, done: 'Taken.' },
  );
  return (
    <FormPart form={form} verb="Take it out">
      <FormFields form={form.form} of={takeForm} only={['kind', measure(lot), 'reason']} />
    </FormPart>
  );
};

const Count = ({ lot }: { lot: Lot }) => {
  const form = useActionForm(
    countOfLot,
    { reason: 'counted' },
    { fixed: { lotId: String(lot.id) }, done: 'Counted.' },
  );
  return (
    <FormPart form={form} verb="Keep the count" plain>
      <FormFields form={form.form} of={countForm} only={[measure(lot), 'reason']} />
    </FormPart>
  );
};

const PutBack = ({ useId, what }: { useId: number; what: string }) => {
  const { run, sending } = useAction(putPaperBack, 'Put back.');
  return (
    <Button
      $small
      $plain
      isDisabled={sending}
      aria-label={`Put back: ${what} was not printed`}
      onPress={() => run({ useId: String(useId) })}
    >
      Put back
    </Button>
  );
};

/** Uses that the slip has room for. */
const SHOWN = 6;

/** One lot: what is left of it, what took of it, what may be noted. */
export function LotSlip({ lot, view }: { lot: Lot; view: PapersView }) {
  const format = useFormat();
  const { picked, uses } = view;
  const left =
    lot.kind === 'roll'
      ? format.length(lot.left)
      : format.number(lot.left, lot.left % 1 === 0 ? 0 : 2);
  return (
    <Slip label={`Lot ${lot.name}`}>
      <SlipTitle>Lot {lot.name}</SlipTitle>
      <SlipSub>
        <Link href={`/papers?paper=${picked!.id}`}>{picked!.name}</Link>,{' '}
        {format.day(lot.at)}
        {lot.supplier && `, ${lot.supplier}`}
      </SlipSub>
      <Figures
        figures={[
          {
            value: left,
            unit: '',
            label: lot.kind === 'roll' ? 'of the roll left' : 'sheets left',
          },
          {
            value: format.money(lot.price, lot.currency),
            unit: '',
            label: lot.kind === 'roll' ? 'the roll' : 'a sheet',
          },
        ]}
      />
      <FactList
        facts={[
          ['Size', format.size({ width: lot.width, height: lot.height })],
          ...(lot.core === null
            ? []
            : [['Core', format.length(lot.core)] as [string, string]]),
          [
            'Came with',
            lot.kind === 'roll' ? format.length(lot.height) : `${lot.pieces} sheets`,
          ],
        ]}
      />
      {uses.some((u) => u.lotId === lot.id) && (
        <SectionLabel>What took of it last</SectionLabel>
      )}
      <FactList
        facts={uses
          .filter((u) => u.lotId === lot.id)
          .slice(0, SHOWN)
          .map((u) => [
            `${format.day(u.at)}, ${u.kind === 'counted' ? 'counted: ' : ''}${u.reason}`,
            <span
              key={u.id}
              style={{
                display: 'inline-flex',
                gap: 8,
                alignItems: 'center',
                whiteSpace: 'nowrap',
              }}
            >
              {u.amount > 0 ? '−' : '+'}
              {lotAmount(u.lotKind, Math.abs(u.amount))}
              {['print', 'test', 'spoiled'].includes(u.kind) && !u.isBack && (
                <PutBack useId={u.id} what={u.reason} />
              )}
            </span>,
          ])}
      />
      {lot.left > 0 && (
        <Fold title="Take out by hand: a test, a spoiled sheet">
          <Take key={`take ${lot.id}`} lot={lot} />
        </Fold>
      )}
      <Fold title="Count it">
        <Count key={`count ${lot.id}`} lot={lot} />
      </Fold>
    </Slip>
  );
}
