'use client';
import { useMemo } from 'react';
import { fittedDemand } from '@/core/price';
import { minor } from '@/core/units';
import { ButtonLink, useLiveForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { Sentence, Small, TableHead } from '@/shell/words';
import type { PriceView } from '../view';
import { ManyChart } from './ManyChart';
import { SimulatedTable } from './SimulatedTable';
import { guessFault, manyForm } from './manyForm';
import { firstGuesses, manyShown } from './manyShown';
import type { ManyAsked, ManyShown } from './manyShown';
import { bestWords, demandWords, tells, testWords } from './manyWords';
import { simulationWish, useSimulation } from './useSimulation';

const MONTHS = 12;
const TEST_FAULT = 0.1;
const WANTED = [
  ['sales', 'as ordered'],
  ['guesses', 'by guess'],
] as const;

const MISSING_WORDS = [
  ['lost', 'is lost'],
  ['again', 'a second batch, where it pays'],
] as const;

const ONCE_WORDS = [
  ['counted', 'are in it'],
  ['paid', 'were paid before'],
] as const;

/** Channels that sell what was made: one that prints itself needs no batch. */
const sellsBatches = (channels: PriceView['channels']) =>
  channels
    .filter((c) => c.terms.basePrice === null)
    .map((c) => [c.channel, c.channel] as const);

/** What is asked at first: the price that is kept, a year, what was ordered where that tells. */
const begun = ({
  set,
  start,
  currency,
  sold,
  third,
  numbersLeft,
  editionSize,
}: PriceView): ManyAsked => ({
  price: set?.currency === currency ? set.price : (third ?? minor(0)),
  channel: start.channel === 'print on demand' ? 'private' : start.channel,
  months: MONTHS,
  wantedFrom: tells(fittedDemand(sold, MONTHS).because) ? 'sales' : 'guesses',
  ...firstGuesses(sold, MONTHS),
  unsoldWorth: minor(0),
  storage: minor(0),
  damaged: 0,
  missing: 'lost',
  // Of an edition that was begun they were paid with its first prints.
  once: numbersLeft !== null && numbersLeft < (editionSize ?? 0) ? 'paid' : 'counted',
  testFault: TEST_FAULT,
});

/** How many to make: what the best batch leaves by each who prints, and what was asked. */
function ManySlip({
  view,
  shown,
  asked,
  form,
}: {
  view: PriceView;
  shown: ManyShown;
  asked: ManyAsked;
  form: Form;
}) {
  const format = useFormat();
  const [first] = shown.routes;
  const test = testWords(shown, format);
  const field = { form, of: manyForm };
  return (
    <Slip
      label="How many"
      actions={
        <ButtonLink
          $plain
          href={`/works/${view.work.id}/price?sheet=routes&size=${view.picked!.key}`}
        >
          Who prints
        </ButtonLink>
      }
    >
      <SlipTitle>{view.picked!.label}</SlipTitle>
      <SlipSub>{demandWords(shown, asked.months, format)}</SlipSub>
      {first && (
        <Figures
          figures={[
            { value: String(first.best.quantity), unit: '', label: 'best batch' },
            {
              value: format.amount(Math.round(first.best.expectedProfit)),
              unit: '',
              label: 'left on average',
              tone: first.best.expectedProfit < 0 ? 'brick' : undefined,
            },
            {
              value: first.sold === null ? '–' : String(first.sold),
              unit: '',
              label: 'sold, it is paid',
            },
          ]}
        />
      )}
      <Sentence>{bestWords(shown, format)}</Sentence>
      <SlipTable aria-label="The best batch of each">
        <thead>
          <tr>
            <th>who</th>
            <th>batch</th>
            <th>tied up</th>
            <th>left</th>
            <th>paid by</th>
          </tr>
        </thead>
        <tbody>
          {shown.routes.map(({ route, best, sold }) => (
            <tr key={route.prices.name}>
              <td className="wrap">{route.prices.name}</td>
              <td>{best.quantity}</td>
              <td>{format.amount(best.total)}</td>
              <td>{format.amount(Math.round(best.expectedProfit))}</td>
              <td>{sold ?? 'never'}</td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
      {first && (
        <FactList
          facts={shown.perChannel.map(({ channel, sold }): [string, string] => [
            `paid through ${channel}`,
            sold === null ? 'never' : `${sold} sold`,
          ])}
        />
      )}
      {test && <Small>{test}</Small>}
      <FormFields
        {...field}
        only={['price', 'channel', 'months']}
        options={{ channel: sellsBatches(view.channels) }}
      />
      <FormFields
        {...field}
        only={[
          'wantedFrom',
          ...(asked.wantedFrom === 'guesses' || !tells(shown.because)
            ? ['low', 'likely', 'high']
            : []),
        ]}
        options={{ wantedFrom: WANTED }}
      />
      <FormFields
        {...field}
        only={['once', 'missing', 'unsoldWorth', 'storage', 'damaged', 'testFault']}
        options={{ missing: MISSING_WORDS, once: ONCE_WORDS }}
      />
    </Slip>
  );
}

/** How many at once: what is expected to be left, over every batch. */
export function ManySheet({ view, head }: { view: PriceView; head: React.ReactNode }) {
  const { currency, compared, sold, numbersLeft, start, channels } = view;
  const bench = useBench();
  const begin = begun(view);
  const { form, values: asked } = useLiveForm(
    manyForm,
    manyForm.write(begin, bench),
    begin,
    guessFault,
  );
  const known = JSON.stringify(asked);
  const shown = useMemo(
    () =>
      manyShown(JSON.parse(known) as ManyAsked, {
        start,
        channels,
        sold,
        numbersLeft,
        routes: compared.routes,
      }),
    [known, start, channels, sold, numbersLeft, compared],
  );
  const simulation = useSimulation(simulationWish(shown, asked, numbersLeft));
  return (
    <Bench>
      <Surface>
        {head}
        {shown.routes.length === 0 ? (
          <Empty title="Nobody prints it yet">
            <p>
              {numbersLeft === 0
                ? 'Every number of the edition is printed.'
                : 'How many pays best depends on who prints, and what they ask.'}
            </p>
            <ButtonLink href="/prices">Price lists</ButtonLink>
          </Empty>
        ) : (
          <>
            <TableHead>What a batch is expected to leave</TableHead>
            <ManyChart shown={shown} currency={currency} />
            <SimulatedTable
              simulation={simulation}
              months={asked.months}
              currency={currency}
            />
          </>
        )}
      </Surface>
      <ManySlip view={view} shown={shown} asked={asked} form={form} />
    </Bench>
  );
}
