'use client';
import { useMemo, useState } from 'react';
import { readField, writeAmount } from '@/core/input';
import { Button, useActionForm, useLastRight, useLiveRead } from '@/shell/actions';
import type { ActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import type { Ladder } from '@/core/price';
import { LADDER_WORDS } from '@/studio/words/ladderWords';
import type { PriceView } from '../view';
import { HandPrices } from './HandPrices';
import { LadderDrawing } from './LadderDrawing';
import { keepLadder } from './actions';
import { ladderForm } from './ladderForm';
import type { ByHand } from './ladderForm';
import { ladderKnown } from './ladderKnown';
import { firstLadder, keptAsked, ladderShown } from './ladderShown';
import type { LadderAsked, LadderKnown } from './ladderTypes';
import { keptInWords, stepsWords, variantFacts, warningWords } from './ladderWords';
import { TakeList } from './TakeList';
import { Variants } from './Variants';

const FIELDS: Record<LadderAsked['by'], string[]> = {
  area: ['throughSize', 'throughPrice', 'andSize', 'andPrice'],
  lengthPlusWidth: ['throughSize', 'throughPrice', 'andSize', 'andPrice'],
  shareOfOriginal: ['originalPrice', 'share'],
  margin: ['margin'],
  hand: [],
};

/** The picked size by the ladder: what is asked, what each channel leaves, how it rises. */
function RowSlip({
  view,
  known,
  ladder,
  asked,
  keeping,
  hand,
}: {
  view: PriceView;
  known: LadderKnown;
  ladder: Ladder;
  asked: LadderAsked;
  keeping: ActionForm;
  hand: React.ReactNode;
}) {
  const format = useFormat();
  const size = known.sizes.find((s) => s.key === view.picked!.key) ?? known.sizes[0]!;
  const row = ladder.rows.find((r) => r.id === size.key)!;
  const field = { form: keeping.form, of: ladderForm };
  const choices = [
    ['', 'no size'] as const,
    ...known.sizes.map((s) => [s.key, s.label] as const),
  ];
  const first = row.sales[0];
  return (
    <Slip
      label="The ladder"
      actions={
        <Button onPress={keeping.submit} isDisabled={keeping.sending}>
          Keep this ladder
        </Button>
      }
    >
      <SlipTitle>
        {size.label}, {size.edition === null ? 'open' : `limited to ${size.edition}`}
      </SlipTitle>
      <SlipSub>{keptInWords(size, format)}</SlipSub>
      <Figures
        figures={[
          {
            value: row.price === null ? '–' : format.amount(row.price),
            unit: '',
            label: 'ask now',
          },
          ...(first
            ? [
                {
                  value: format.amount(first.sale.net),
                  unit: '',
                  label: `stays, ${first.channel}`,
                  tone: first.sale.net < 0 ? ('brick' as const) : undefined,
                },
              ]
            : []),
          ...(row.last !== null
            ? [{ value: format.amount(row.last), unit: '', label: 'the last one' }]
            : []),
        ]}
      />
      <Sentence>{stepsWords(row, size, format)}</Sentence>
      {!size.costKnown && (
        <Small>
          ▲ What one costs is not known yet, so what it leaves cannot be told: keep its
          price at Cost, or its paper in a proof round.
        </Small>
      )}
      <FormFields {...field} only={['by']} options={{ by: Object.entries(LADDER_WORDS) }} />
      <FormFields
        {...field}
        only={FIELDS[asked.by]}
        options={{ throughSize: choices, andSize: choices }}
      />
      {asked.by === 'hand' && hand}
      <FormFields
        {...field}
        only={['limitedTimes', 'every', 'up', 'rounding', 'ceiling']}
      />
      <Variants
        field={field}
        known={known}
        framing={size.framing}
        other={asked.otherPaper !== ''}
      />
      <Problem>{keeping.problem}</Problem>
      <FactList facts={variantFacts(ladder, size.key, asked, format)} />
      <FactList
        facts={row.sales.map(({ channel, sale }): [string, React.ReactNode] => [
          channel,
          `${format.amount(sale.fees)} fees, ${format.amount(sale.net)} left`,
        ])}
      />
      <TakeList view={view} />
    </Slip>
  );
}

/** The ladder: all sizes with their prices by one rule, and what is odd in it. */
export function LadderSheet({ view, head }: { view: PriceView; head: React.ReactNode }) {
  const { work, picked, currency, third, start, keptLadder } = view;
  const format = useFormat();
  const bench = useBench();
  const known = ladderKnown(view);
  const first = firstLadder(known, { third, step: start.step });
  const begin = keptLadder ? keptAsked(keptLadder, known, first) : first;
  const [typed, setTyped] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      known.sizes.map((s) => [
        s.key,
        s.kept === null ? '' : writeAmount(s.kept, currency, bench.locale),
      ]),
    ),
  );
  const hand: ByHand = Object.fromEntries(
    known.sizes.map((s) => {
      const read = readField(ladderForm.fields.throughPrice, typed[s.key] ?? '', bench);
      return [s.key, read.ok ? read.value : null];
    }),
  );
  const keeping = useActionForm(keepLadder, ladderForm.write(begin, bench), {
    fixed: { workId: String(work.id), hand: JSON.stringify(hand) },
    done: (n) => (n === 1 ? 'Kept: one price is new.' : `Kept: ${n} prices are new.`),
  });
  const read = useLiveRead(keeping.form, ladderForm);
  const asked = useLastRight(read, begin);
  const wanted = JSON.stringify({ asked, hand });
  const ladder = useMemo(() => {
    const now = JSON.parse(wanted) as { asked: LadderAsked; hand: ByHand };
    return ladderShown(now.asked, now.hand, ladderKnown(view));
  }, [wanted, view]);
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>Prices over all sizes</TableHead>
        <LadderDrawing
          ladder={ladder}
          sizes={known.sizes}
          picked={picked!.key}
          preview={view.master?.preview ?? null}
          currency={currency}
        />
        {ladder.warnings.map((w) => (
          <Small key={JSON.stringify(w)}>▲ {warningWords(w, known.sizes, format)}</Small>
        ))}
      </Surface>
      <RowSlip
        view={view}
        known={known}
        ladder={ladder}
        asked={asked}
        keeping={keeping}
        hand={
          <HandPrices
            known={known}
            typed={typed}
            onType={(key, text) => setTyped((now) => ({ ...now, [key]: text }))}
          />
        }
      />
    </Bench>
  );
}
