'use client';
import { reckonPrice } from '@/core/price';
import type { PriceValues } from '@/core/price';
import { Button, ButtonLink, useActionForm, useLiveRead } from '@/shell/actions';
import type { ActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Field } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import { CostCurve } from './CostCurve';
import { MishapSlip, Mishaps } from './Mishaps';
import { PARTS, PriceBar } from './PriceBar';
import type { Reckoned } from './PriceBar';
import { PriceFields } from './PriceFields';
import { keepPrice } from './actions';
import { NOTHING_LEFT, priceForm } from './priceForm';
import type { PriceView } from './view';
import { taxWords } from '@/studio/words/taxWords';

/** The price found, what goes, and what stays. */
function PriceSlip({
  view,
  found,
  keeping,
}: {
  view: PriceView;
  found: Reckoned | null;
  keeping: ActionForm;
}) {
  const { work, picked, set, third, workCurrency } = view;
  const { form, submit, sending, problem } = keeping;
  const format = useFormat();
  const field = { form, of: priceForm };
  const sale = found?.sale ?? null;
  return (
    <Slip
      label="The price"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending || sale === null}>
            Keep this price
          </Button>
          {set && (
            <ButtonLink $plain href={`/works/${work.id}/finish?size=${picked?.key}`}>
              Go to Finish
            </ButtonLink>
          )}
        </>
      }
    >
      <SlipTitle>{picked?.label}</SlipTitle>
      <SlipSub>
        {set
          ? `kept ${format.day(set.at)}: ${format.money(set.price, set.currency)}`
          : 'no price kept yet'}
      </SlipSub>
      <Figures
        figures={[
          {
            value: sale ? format.amount(sale.gross) : '–',
            unit: '',
            label: 'price, gross',
          },
          { value: sale ? format.amount(sale.net) : '–', unit: '', label: 'net to you' },
        ]}
      />
      <Sentence>
        {sale && found
          ? `Of ${format.money(sale.gross)}, ${format.money(found.cost.total)} is cost and ${format.money(sale.fees)} goes to the channel: ${format.percent(sale.margin, 1)} stays.`
          : 'Margin and fees must leave something of the price.'}
      </Sentence>
      <Field {...field} name="margin" />
      <Field {...field} name="step" />
      <Field {...field} name="asked" />
      {sale && found && (
        <FactList
          facts={[
            ...found.cost.parts
              .filter((p) => p.amount > 0)
              .map((p): [string, string] => [PARTS[p.part], format.amount(p.amount)]),
            ['cost of one impression', format.amount(found.cost.total)],
            ['channel takes', format.amount(sale.fees)],
          ]}
        />
      )}
      {third !== null && (
        <Small>
          Rule of thumb: a print at the original’s size at about a third of the original,{' '}
          {format.money(third, workCurrency)}.
        </Small>
      )}
      <Small>{taxWords(sale?.gross ?? null, view.tax, format)}</Small>
      <Mishaps view={view} />
      <Problem>{problem}</Problem>
    </Slip>
  );
}

/** What is wrong with values that are right each for itself. */
const together = (values: PriceValues): Record<string, string> =>
  reckonPrice(values).sale ? {} : { margin: NOTHING_LEFT };

/** Cost: what one impression is made of, what the channel takes, and the price that leaves the margin. */
export function CostSheet({ view, head }: { view: PriceView; head: React.ReactNode }) {
  const { work, picked, currency, start } = view;
  const bench = useBench();
  const keeping = useActionForm(keepPrice, priceForm.write(start, bench), {
    fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
    done: 'Price kept.',
    keptAs: `price-${work.id}-${picked?.key ?? ''}`,
  });
  const values = useLiveRead(keeping.form, priceForm, together);
  const found = values && reckonPrice(values);
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>Where the price goes</TableHead>
        {found?.sale ? (
          <PriceBar cost={found.cost} sale={found.sale} />
        ) : (
          <p style={{ color: 'var(--soft)', height: 92 }}>
            No price can be found from these numbers; the field says why.
          </p>
        )}
        {values && found?.sale && (
          <CostCurve values={values} price={found.sale.gross} currency={currency} />
        )}
        <PriceFields
          form={keeping.form}
          currency={currency}
          view={view}
          channels={view.channels}
          onKeep={keeping.submit}
        />
      </Surface>
      {view.noting ? (
        <MishapSlip view={view} />
      ) : (
        <PriceSlip view={view} found={found} keeping={keeping} />
      )}
    </Bench>
  );
}
