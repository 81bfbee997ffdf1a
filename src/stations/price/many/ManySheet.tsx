'use client';
import { useMemo } from 'react';
import { fittedDemand } from '@/core/price';
import { minor } from '@/core/units';
import { ButtonLink, useLiveForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useBench } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { TableHead } from '@/shell/words';
import type { PriceView } from '../view';
import { ManyChart } from './ManyChart';
import { ManySlip } from './ManySlip';
import { SimulatedTable } from './SimulatedTable';
import { guessFault, manyForm } from './manyForm';
import { firstGuesses, manyShown } from './manyShown';
import type { ManyAsked } from './manyShown';
import { tells } from './manyWords';
import { simulationWish, useSimulation } from './useSimulation';

const MONTHS = 12;
const TEST_FAULT = 0.1;
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
