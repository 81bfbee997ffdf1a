'use client';
import { useState } from 'react';
import { Button, ButtonLink, DownloadLink, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { PickLines, Weigh } from './CountAndWeigh';
import { Quotes, quoteKey } from './Quotes';
import { give, openAgain, seal, ship } from './parcelActions';
import type { OrderBenchView, ParcelView } from './view';
import { packingWords, scaleWords, sealedWords } from './words';

/** What is to be done next with a parcel that is not sealed. */
function nextWords(parcel: ParcelView): string {
  if (!parcel.parts) return 'It cannot be packed until there is something to pack it in.';
  if (!parcel.open?.counted) return 'Count every line twice, with the things in your hand.';
  return parcel.weighed === null ? 'Counted twice. Now weigh it.' : '';
}

function ParcelFigures({ parcel }: { parcel: ParcelView }) {
  const format = useFormat();
  const { total, weighed, scales, depth } = parcel;
  if (total === null) return null;
  return (
    <Figures
      figures={[
        { ...splitUnit(format.mass(total)), label: 'computed' },
        weighed === null
          ? { value: '–', unit: '', label: 'on the scales' }
          : {
              ...splitUnit(format.mass(weighed)),
              label: 'on the scales',
              tone: scales && !scales.agrees ? 'brick' : undefined,
            },
        ...(depth === null ? [] : [{ ...splitUnit(format.length(depth)), label: 'thick' }]),
      ]}
    />
  );
}

/** How a parcel left. */
const goneWords = (sealed: ParcelView['sealed']): string =>
  sealed?.contents.way === 'inHand'
    ? 'Given in hand: nothing was packed or booked. Should it come back, turn to its line.'
    : `Gone with ${sealed?.carrier}, ${sealed?.tracking}.`;

/** What was answered is what is said. */
const itself = (said: string) => said;

/** One parcel: gathered, counted twice, weighed, quoted, sealed, handed to its carrier. */
export function ParcelSlip({ view, parcel }: { view: OrderBenchView; parcel: ParcelView }) {
  const { order, currency, tolerance, voided } = view;
  const format = useFormat();
  const [service, setService] = useState<string | null>(null);
  const sealing = useAction(seal, itself);
  const shipping = useAction(ship, 'Handed to the carrier; its numbers are sold.');
  const opening = useAction(openAgain, itself);
  const giving = useAction(give, 'Given in hand; its numbers are sold.');
  const { open, sealed, scales } = parcel;
  const takes = open?.quotes.filter((q) => q.refused === null) ?? [];
  const chosen = takes.find((q) => quoteKey(q) === service) ?? takes[0];
  const ready = open?.counted === true && scales?.agrees === true;
  const fixed = { order: order.number, parcel: String(parcel.id) };
  const words = open
    ? packingWords(open.chosen, format)
    : sealedWords(sealed.contents, format);
  return (
    <Slip
      label="The parcel"
      actions={
        parcel.shippedAt ? (
          <ButtonLink href={`/log?order=${order.number}`}>Its whole story</ButtonLink>
        ) : sealed ? (
          <>
            <Button isDisabled={shipping.sending} onPress={() => shipping.run(fixed)}>
              Handed over: mark as shipped
            </Button>
            <Button $plain isDisabled={opening.sending} onPress={() => opening.run(fixed)}>
              Open it again
            </Button>
          </>
        ) : (
          <>
            <Button
              isDisabled={!ready || !chosen || sealing.sending}
              onPress={() =>
                chosen &&
                sealing.run({
                  ...fixed,
                  carrier: chosen.carrier,
                  service: chosen.service,
                  cost: chosen.cost,
                })
              }
            >
              Seal and label
            </Button>
            <Button
              $plain
              isDisabled={giving.sending || parcel.lines.length === 0}
              onPress={() => giving.run(fixed)}
            >
              Given in hand
            </Button>
          </>
        )
      }
    >
      <SlipTitle>{words[0]}</SlipTitle>
      <SlipSub>{words[1]}</SlipSub>
      {open && !open.chosen.packing && (
        <ButtonLink $small href="/materials" style={{ alignSelf: 'flex-start' }}>
          See the packing material
        </ButtonLink>
      )}
      <ParcelFigures parcel={parcel} />
      <Sentence $tone={open && scales && !scales.agrees ? 'stop' : 'plain'}>
        {parcel.shippedAt
          ? goneWords(sealed)
          : sealed
            ? `Sealed for ${sealed.carrier}, ${format.money(sealed.cost, sealed.currency)}. Write the name, ${order.number} and the weight on the pack, then hand it over.`
            : scales
              ? scaleWords(scales, format)
              : nextWords(parcel)}
      </Sentence>
      {parcel.documents.length > 0 && (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 6 }}>
          {parcel.documents.map((d) => (
            <DownloadLink key={d.id} $small $plain href={`/api/documents/${d.id}`}>
              {d.kind} PDF
            </DownloadLink>
          ))}
        </div>
      )}
      {voided.length > 0 && open && (
        <Small>
          ▲ A booking with {voided[0]!.carrier} had no parcel when Glassine was started: it
          was voided {format.day(voided[0]!.at)}.
        </Small>
      )}
      {open && open.quotes.length > 0 && (
        <Quotes
          quotes={open.quotes}
          chosen={chosen ? quoteKey(chosen) : null}
          onChoose={setService}
          currency={currency}
        />
      )}
      {parcel.parts && parcel.parts.length > 0 && (
        <>
          <SectionLabel>Gather: first count, second count</SectionLabel>
          <PickLines order={order.number} parcel={parcel} />
        </>
      )}
      {open && parcel.parts && <Weigh order={order.number} parcel={parcel} />}
      <Problem>
        {sealing.problem ?? shipping.problem ?? opening.problem ?? giving.problem}
      </Problem>
      {open && (
        <Small>
          Scales may differ by {tolerance} g (rule of thumb). Cotton gloves, clean table.
        </Small>
      )}
    </Slip>
  );
}
