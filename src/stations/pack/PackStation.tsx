'use client';
import { useState } from 'react';
import { daysUntil } from '@/core/pack';
import {
  Bench,
  Button,
  ButtonLink,
  DownloadLink,
  Empty,
  Figures,
  Pencil,
  Problem,
  SectionLabel,
  Sentence,
  Slip,
  SlipSub,
  SlipTable,
  SlipTitle,
  Small,
  Surface,
  TableHead,
  TitleBlock,
  splitUnit,
  useAction,
  useFormat,
} from '@/shell';
import { layInStock, seal, ship } from './actions';
import { PickLines, Weigh } from './CountAndWeigh';
import { ParcelDrawing, WeightBar } from './ParcelDrawing';
import type { ReckonedParcel } from './parcel';
import type { PackView } from './view';
import { REFUSED, packingWords, scaleWords } from './words';

function promised(
  dueOn: string,
  shippedAt: string | null,
  today: string,
  day: (iso: string) => string,
): string {
  if (shippedAt) return `shipped ${day(shippedAt)}`;
  const days = daysUntil(dueOn, today);
  const when =
    days < 0
      ? `${-days} ${days === -1 ? 'day' : 'days'} late`
      : days === 0
        ? 'leaves today'
        : days === 1
          ? 'leaves tomorrow at the latest'
          : `leaves within ${days} days`;
  return `promised ${day(dueOn)}, ${when}`;
}

/** Pack: one order on the table, counted twice, weighed, sealed, labelled, handed over. */
export function PackStation(view: PackView) {
  const { work, order, orders, reckoned, preview, today, documents } = view;
  const format = useFormat();
  const sealing = useAction(seal, 'Sealed: certificate, packing slip and label are made.');
  const shipping = useAction(ship, 'Handed over; its number is sold.');
  const stocking = useAction(layInStock, 'Packing material laid in.');
  const [service, setService] = useState<string | null>(null);
  if (!order)
    return (
      <Bench>
        <Surface>
          <TitleBlock>
            <h1>{work.title}</h1>
            <p>No order for this work yet</p>
          </TitleBlock>
          <Empty title="Nothing to pack">
            <p>
              An order takes a numbered impression. Take one from the edition, or from the
              orders drawer.
            </p>
            <ButtonLink href={`/orders?new=1&work=${work.id}`}>New order</ButtonLink>
          </Empty>
        </Surface>
      </Bench>
    );
  const whole = reckoned as ReckonedParcel | null;
  const words = whole && packingWords(whole, format);
  const takes = whole?.quotes.filter((q) => q.refused === null) ?? [];
  const chosen = takes.find((q) => `${q.carrier}/${q.service}` === service) ?? takes[0];
  const ready = whole?.counted === true && whole.scales?.agrees === true;
  const next = !whole?.parcel
    ? 'It cannot be packed until there is something to pack it in.'
    : !whole.counted
      ? 'Count every line twice, with the things in your hand.'
      : order.weighed === null
        ? 'Counted twice. Now weigh it.'
        : '';
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>
            Order {order.number}, <em>{work.title}</em> <Pencil>{whole?.label}</Pencil>
          </h1>
          <p>
            to {order.customer.name}, {order.customer.town} ·{' '}
            {promised(order.dueOn, order.shippedAt, today, format.day)}
          </p>
        </TitleBlock>
        {whole && <ParcelDrawing reckoned={whole} picture={preview} />}
        {whole?.parcel && (
          <TableHead>What it should weigh, part by part, and what the scales say</TableHead>
        )}
        {whole && <WeightBar reckoned={whole} weighed={order.weighed} />}
        {orders.length > 1 && (
          <>
            <TableHead>Orders of this work</TableHead>
            <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}>
              {orders.map((o) => (
                <ButtonLink
                  key={o.number}
                  $small
                  $plain
                  href={`/works/${work.id}/pack?order=${o.number}`}
                  aria-current={o.number === order.number ? 'true' : undefined}
                  style={
                    o.number === order.number
                      ? { background: '#161616', color: '#fff' }
                      : { color: 'var(--ink)', borderColor: 'var(--ink)' }
                  }
                >
                  {o.number} {o.customer} {o.shipped ? '✓' : ''}
                </ButtonLink>
              ))}
            </div>
          </>
        )}
      </Surface>
      <Slip
        label="The parcel"
        actions={
          order.shippedAt ? (
            <ButtonLink
              href={`/log?impression=${order.editionId}:${order.series}:${order.impression}`}
            >
              Its whole story
            </ButtonLink>
          ) : order.label ? (
            <Button
              isDisabled={shipping.sending}
              onPress={() => shipping.run({ order: order.number })}
            >
              Handed over: mark as shipped
            </Button>
          ) : (
            <Button
              isDisabled={!ready || !chosen || sealing.sending}
              onPress={() =>
                chosen &&
                sealing.run({
                  order: order.number,
                  carrier: chosen.carrier,
                  service: chosen.service,
                })
              }
            >
              Seal and label
            </Button>
          )
        }
      >
        <SlipTitle>{words?.[0]}</SlipTitle>
        <SlipSub>{words?.[1]}</SlipSub>
        {whole?.packing.way === 'none' && (
          <>
            <Button
              $small
              isDisabled={stocking.sending}
              onPress={() => stocking.run({})}
              style={{ alignSelf: 'flex-start' }}
            >
              Lay in the usual packing material
            </Button>
            <Small>
              Sleeves, boards, mailers and tubes for common sheets, five of each. Their
              masses are usual figures (rule of thumb): the scales have the last word.
            </Small>
          </>
        )}
        {whole?.parcel && (
          <Figures
            figures={[
              { ...splitUnit(format.mass(whole.parcel.total)), label: 'computed' },
              order.weighed === null
                ? { value: '–', unit: '', label: 'on the scales' }
                : {
                    ...splitUnit(format.mass(order.weighed)),
                    label: 'on the scales',
                    tone: whole.scales?.agrees ? undefined : 'brick',
                  },
              { ...splitUnit(format.length(whole.parcel.depth)), label: 'thick' },
            ]}
          />
        )}
        <Sentence $tone={whole?.scales && !whole.scales.agrees ? 'stop' : 'plain'}>
          {order.shippedAt
            ? `Gone with ${order.label?.carrier}, ${order.label?.tracking}.`
            : order.label
              ? `Sealed. Write the name, ${order.number} and the weight on the pack, then hand it over.`
              : whole?.scales
                ? scaleWords(whole.scales, format)
                : next}
        </Sentence>
        {documents.length > 0 && (
          <div style={{ display: 'flex', flexWrap: 'wrap', gap: 6 }}>
            {documents.map((d) => (
              <DownloadLink key={d.id} $small $plain href={`/api/documents/${d.id}`}>
                {d.kind} PDF
              </DownloadLink>
            ))}
          </div>
        )}
        {whole && whole.quotes.length > 0 && !order.label && (
          <SlipTable aria-label="Carriers">
            <thead>
              <tr>
                <th>carrier (simulated)</th>
                <th>days</th>
                <th>billed</th>
                <th>cost</th>
              </tr>
            </thead>
            <tbody>
              {whole.quotes.map((q) => {
                const key = `${q.carrier}/${q.service}`;
                const can = q.refused === null;
                return (
                  <tr
                    key={key}
                    data-opens={can || undefined}
                    tabIndex={can ? 0 : undefined}
                    aria-selected={chosen === q}
                    onClick={() => can && setService(key)}
                    onKeyDown={(e) => e.key === 'Enter' && can && setService(key)}
                  >
                    <td>
                      {q.carrier}, {q.service}
                    </td>
                    {can ? (
                      <>
                        <td>{q.days}</td>
                        <td>{format.mass(q.billable)}</td>
                        <td>{format.amount(q.cost)}</td>
                      </>
                    ) : (
                      <td colSpan={3}>{REFUSED[q.refused!]}</td>
                    )}
                  </tr>
                );
              })}
            </tbody>
          </SlipTable>
        )}
        {whole && whole.lines.length > 0 && (
          <>
            <SectionLabel>Gather: first count, second count</SectionLabel>
            <PickLines view={view} reckoned={whole} />
          </>
        )}
        {!order.label && whole?.parcel && <Weigh view={view} />}
        <Problem>{sealing.problem ?? shipping.problem}</Problem>
        {!order.label && (
          <Small>
            Scales may differ by {whole?.rules.scaleTolerance} g (rule of thumb). Cotton
            gloves, clean table.
          </Small>
        )}
      </Slip>
    </Bench>
  );
}
