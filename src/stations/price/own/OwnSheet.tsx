'use client';
import { useMemo } from 'react';
import { batchPaid } from '@/core/price';
import { minor } from '@/core/units';
import { useLiveForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import type { PriceView } from '../view';
import { OwnChart } from './OwnChart';
import { ownForm } from './ownForm';
import type { OwnAsked } from './ownForm';
import { ownShown } from './ownShown';
import { monthsWords, ownWords } from './ownWords';

/** Prints of a batch elsewhere, whose share one is compared with. */
const BATCH = 5;
const KINDS = [
  ['printer', 'a printer'],
  ['capture', 'equipment for capture'],
] as const;

/** What it buys beside, in words. */
const BUYS = {
  printer:
    'What it buys beside: tests at once, sizes and papers of one’s own choice, no days of waiting, and numbers that nobody else handles. It wants room, care, and to be used: idle inks are cleaned away.',
  capture:
    'What it buys beside: captures on any day, again when one failed, originals that need not travel. It wants room, light that is measured, and practice.',
} as const;

/** What is asked at first: this size elsewhere and here, all that the studio sells a month; what it costs is typed. */
function begun({ compared, channelPace, start }: PriceView): OwnAsked {
  const elsewhere = compared.routes
    .filter((r) => r.kind !== 'ownPrinter')
    .flatMap((r) => {
      const paid = batchPaid(r.prices, Math.max(BATCH, r.prices.leastQuantity));
      return paid ? [paid.total / Math.max(BATCH, r.prices.leastQuantity)] : [];
    });
  const pace = channelPace.reduce((sum, c) => sum + c.perMonth, 0);
  return {
    kind: 'printer',
    bought: minor(0),
    firstInks: minor(0),
    calibration: minor(0),
    perMonth: minor(0),
    elsewhere: minor(elsewhere.length === 0 ? 0 : Math.min(...elsewhere)),
    own: minor(start.printing + start.paper),
    pace: Math.round(10 * pace) / 10,
    growth: 0,
    offPace: 0.3,
    offElsewhere: 0.1,
    offOwn: 0.15,
  };
}

/** One's own printer, or capture: when it has paid for itself, and what that hangs on. */
export function OwnSheet({ view, head }: { view: PriceView; head: React.ReactNode }) {
  const { currency, picked } = view;
  const format = useFormat();
  const begin = begun(view);
  const { form, values: asked } = useLiveForm(
    ownForm,
    ownForm.write(begin, useBench()),
    begin,
  );
  const wanted = JSON.stringify(asked);
  const shown = useMemo(() => ownShown(JSON.parse(wanted) as OwnAsked), [wanted]);
  const { back, figures } = shown;
  const field = { form, of: ownForm };
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>When it has paid for itself</TableHead>
        {figures.first > 0 ? (
          <OwnChart shown={shown} currency={currency} />
        ) : (
          <p style={{ color: 'var(--soft)' }}>
            Type what it costs, at the right: until then there is nothing to pay back.
          </p>
        )}
        <Small>{BUYS[asked.kind]}</Small>
      </Surface>
      <Slip label="One’s own">
        <SlipTitle>
          {asked.kind === 'printer' ? 'A printer' : 'Capture'} of one’s own
        </SlipTitle>
        <SlipSub>
          each is one print at {picked!.label}, as this view knows it; type your own
        </SlipSub>
        <Figures
          figures={[
            {
              value: figures.first > 0 && back.prints !== null ? String(back.prints) : '–',
              unit: '',
              label: asked.kind === 'printer' ? 'prints pay for it' : 'works pay for it',
            },
            {
              value: figures.first > 0 ? monthsWords(back.months, format) : '–',
              unit: '',
              label: 'until it is paid',
            },
          ]}
        />
        {figures.first > 0 && <Sentence>{ownWords(shown, format)}</Sentence>}
        <FormFields
          {...field}
          only={[
            'kind',
            'bought',
            'firstInks',
            'calibration',
            'perMonth',
            'elsewhere',
            'offElsewhere',
            'own',
            'offOwn',
            'pace',
            'offPace',
            'growth',
          ]}
          options={{ kind: KINDS }}
        />
        <Small>
          The band draws each figure from a triangle as wide as it may be off: a rule of
          thumb.
        </Small>
      </Slip>
    </Bench>
  );
}
