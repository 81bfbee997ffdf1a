'use client';
import { ButtonLink } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { Sentence, Small } from '@/shell/words';
import type { PriceView } from '../view';
import { manyForm } from './manyForm';
import type { ManyAsked, ManyShown } from './manyShown';
import { bestWords, demandWords, perChannelWords, tells, testWords } from './manyWords';

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

/** How many to make: what the best batch leaves by each who prints, and what was asked. */
export function ManySlip({
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
      <Small>{perChannelWords(shown)}</Small>
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
