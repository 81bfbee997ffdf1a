'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { costOfImpression } from '@/core/price';
import { minor } from '@/core/units';
import { Button, useLiveForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { Sentence, Small, TableHead } from '@/shell/words';
import { taxWords } from '@/studio/words/taxWords';
import type { PriceView } from '../view';
import { ChannelsChart } from './ChannelsChart';
import { TermsSlip } from './TermsSlip';
import { channelsForm } from './channelForms';
import { channelsShown } from './channelsShown';
import type { ChannelShown, ChannelsAsked } from './channelsShown';
import { needsWords, notReckonedWords, onePriceWords } from './channelsWords';

/** Sold on a fair day, and months that a piece is listed, where nothing else is known: rules of thumb. */
const A_DAY = 8;
const LISTED = 6;

/** What is asked at first: the price that is kept, its cost, what it leaves through its own channel. */
function begun({
  set,
  start,
  currency,
  third,
  channels,
  channelPace,
}: PriceView): ChannelsAsked {
  const cost = costOfImpression(start).total;
  const price = set?.currency === currency ? set.price : (third ?? minor(2 * cost));
  // The month is the site's, whatever of it is sold there.
  const paced = channels.find((c) => c.terms.perMonth > 0)?.channel;
  const pace = channelPace.find((c) => c.channel === paced)?.perMonth ?? 1;
  return {
    price,
    cost,
    wantedNet: set?.currency === currency ? set.net : minor(0.4 * price),
    perMonth: Math.max(0.1, Math.round(10 * pace) / 10),
    perDay: A_DAY,
    monthsListed: LISTED,
  };
}

/** One price side by side: gross, fees, cost, what is left; what each channel would have to ask. */
function ChannelsSlip({
  label,
  shown,
  asked,
  form,
  notReckoned,
  onTerms,
  tax,
}: {
  tax: PriceView['tax'];
  label: string;
  notReckoned: PriceView['notReckoned'];
  shown: readonly ChannelShown[];
  asked: ChannelsAsked;
  form: Form;
  onTerms: (channel: string) => void;
}) {
  const format = useFormat();
  const words = shown.flatMap((c) => needsWords(c, asked.wantedNet, format));
  return (
    <Slip label="Channels">
      <SlipTitle>{label}</SlipTitle>
      <SlipSub>at {format.money(asked.price)} on every channel</SlipSub>
      <SlipTable aria-label="Side by side">
        <thead>
          <tr>
            <th>channel</th>
            <th>fees</th>
            <th>cost</th>
            <th>left</th>
            <th>would ask</th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ channel, sale, priceForNet }) => (
            <tr key={channel} data-tone={sale.net < 0 ? 'stop' : undefined}>
              <td className="wrap">{channel}</td>
              <td>{format.amount(sale.fees)}</td>
              <td>{format.amount(sale.cost)}</td>
              <td>
                {sale.net < 0 ? `▼ ${format.amount(sale.net)}` : format.amount(sale.net)}
              </td>
              <td>{priceForNet === null ? 'none' : format.amount(priceForNet)}</td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
      <Sentence>{onePriceWords(shown, format)}</Sentence>
      <FormFields form={form} of={channelsForm} />
      {words.map((w) => (
        <Small key={w}>{w}</Small>
      ))}
      <TableHead>What each asks</TableHead>
      <SlipTable aria-label="Terms of the channels">
        <tbody>
          {shown.map(({ channel, keptOn, terms }) => (
            <tr key={channel}>
              <td className="wrap">
                {channel}
                <Small>
                  {keptOn ? `kept ${format.day(keptOn)}` : 'usual, rule of thumb'}
                  {terms.saleOrReturn ? '; sale or return' : ''}
                  {terms.daysUntilPaid > 0
                    ? `; paid after ${terms.daysUntilPaid} days`
                    : ''}
                </Small>
              </td>
              <td>
                <Button
                  $small
                  $plain
                  aria-label={`Change what ${channel} asks`}
                  onPress={() => onTerms(channel)}
                >
                  Change
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
      {notReckoned && <Small>{notReckonedWords(notReckoned)}</Small>}
      <Small>
        Print on demand costs its base price; the month and the fair day are spread over
        what is sold. {taxWords(asked.price, tax, format)}
      </Small>
    </Slip>
  );
}

/** Channels: what one price leaves on each, and what each would have to ask. */
export function ChannelsSheet({ view, head }: { view: PriceView; head: React.ReactNode }) {
  const { channels, currency, start, picked } = view;
  const router = useRouter();
  const begin = begun(view);
  const { form, values: asked } = useLiveForm(
    channelsForm,
    channelsForm.write(begin, useBench()),
    begin,
  );
  const [changing, setChanging] = useState<string | null>(null);
  const shown = channelsShown(channels, asked, {
    hour: start.hourlyRate,
    step: start.step,
  });
  const known = channels.find((c) => c.channel === changing);
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>What a price leaves on each channel</TableHead>
        <ChannelsChart shown={shown} currency={currency} />
        <Small>▲ in blue: the price at which the channel leaves what is wanted.</Small>
      </Surface>
      {known ? (
        <TermsSlip
          key={known.channel}
          known={known}
          onLeave={() => setChanging(null)}
          onKept={() => {
            setChanging(null);
            router.refresh();
          }}
        />
      ) : (
        <ChannelsSlip
          label={picked!.label}
          shown={shown}
          asked={asked}
          form={form}
          notReckoned={view.notReckoned}
          onTerms={setChanging}
          tax={view.tax}
        />
      )}
    </Bench>
  );
}
