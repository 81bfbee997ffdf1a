'use client';
import { Button, ButtonLink, useAction } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { SheetTabs } from '@/shell/frame';
import { Empty, Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { Small, TableHead, TitleBlock } from '@/shell/words';
import { promiseWords } from '@/studio/words/orderWords';
import { AddLineSlip, AddressSlip, CancelSlip, NotesSlip } from './ChangeSlips';
import { ChangeLineSlip, ReturnSlip } from './LineSlips';
import { LinesTable } from './LinesTable';
import { ParcelDrawing } from './ParcelDrawing';
import { ParcelSlip } from './ParcelSlip';
import { WeightBar } from './WeightBar';
import { splitByRule } from './parcelActions';
import type { OrderBenchView, ParcelView } from './view';

/** The slip that was asked for; the parcel's unless something else was. */
function AskedSlip({ view }: { view: OrderBenchView }) {
  const { doing, line, adding, picked } = view;
  if (doing === 'add' && adding) return <AddLineSlip view={view} adding={adding} />;
  if (doing === 'address') return <AddressSlip view={view} />;
  if (doing === 'notes') return <NotesSlip view={view} />;
  if (doing === 'cancel') return <CancelSlip view={view} />;
  if (doing === 'line' && line)
    return line.shippedAt ? (
      <ReturnSlip key={line.id} view={view} line={line} />
    ) : (
      <ChangeLineSlip key={line.id} view={view} line={line} />
    );
  if (picked) return <ParcelSlip key={picked.id} view={view} parcel={picked} />;
  return (
    <Slip label="The parcel">
      <SlipTitle>{view.order.state === 'cancelled' ? 'Cancelled' : 'No parcel'}</SlipTitle>
      <Small>
        {view.order.state === 'cancelled'
          ? 'Its numbers are back with their editions.'
          : 'Add a line; it is laid into a parcel by the rule.'}
      </Small>
    </Slip>
  );
}

const tabName = ({ place, lines, sealed, shippedAt, open }: ParcelView): string => {
  const given = sealed?.contents.way === 'inHand';
  const way = given ? 'in hand' : (sealed?.contents.way ?? open?.chosen.packing?.way ?? '');
  const things = `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`;
  const state = given ? '' : shippedAt ? ', shipped' : sealed ? ', sealed' : '';
  return `Parcel ${place}: ${[way, things].filter(Boolean).join(', ')}${state}`;
};

function ParcelOnTable({ view, parcel }: { view: OrderBenchView; parcel: ParcelView }) {
  const { parts, total, weighed, scales, lines } = parcel;
  if (!parts || total === null)
    return parcel.sealed ? null : (
      <Empty title="Nothing takes it yet">
        <p>Its slip says what is lacking; packing material has a drawer of its own.</p>
      </Empty>
    );
  return (
    <>
      <ParcelDrawing parts={parts} lines={lines} previews={view.previews} />
      <TableHead>What it should weigh, part by part, and what the scales say</TableHead>
      <WeightBar
        parts={parts}
        total={total}
        weighed={weighed}
        agrees={scales?.agrees !== false}
      />
    </>
  );
}

/** What can be changed of an order as long as nothing of it is final. */
function Changes({ view }: { view: OrderBenchView }) {
  const { order, parcels } = view;
  const splitting = useAction(splitByRule, 'Laid into parcels by the rule.');
  if (order.state === 'cancelled' || order.state === 'shipped') return null;
  const href = (doing: string) => `/orders/${order.number}?do=${doing}`;
  return (
    <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}>
      <ButtonLink $small href={href('add')}>
        Add a line
      </ButtonLink>
      {parcels.some((p) => !p.sealed) && view.lines.length > 1 && (
        <Button
          $small
          $plain
          isDisabled={splitting.sending}
          onPress={() => splitting.run({ order: order.number })}
        >
          Split by rule
        </Button>
      )}
      <ButtonLink $small $plain href={href('address')}>
        Address
      </ButtonLink>
      <ButtonLink $small $plain href={href('notes')}>
        Wish and note
      </ButtonLink>
      <ButtonLink $small $plain href={href('cancel')}>
        Cancel the order
      </ButtonLink>
      <Problem>{splitting.problem}</Problem>
    </div>
  );
}

/** The bench of one order: its lines, its parcels, and the one on the table. */
export function OrderBench(view: OrderBenchView) {
  const { order, parcels, picked } = view;
  const format = useFormat();
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>Order {order.number}</h1>
          <p>
            to {order.to.name}, {order.to.town} · {order.channel} ·{' '}
            {promiseWords(order, format.day)}
          </p>
          {order.wish && <p>Wish: {order.wish}</p>}
          {order.note && <p>Note to the packer: {order.note}</p>}
        </TitleBlock>
        {parcels.length > 0 && (
          <SheetTabs
            label="Parcels"
            current={String(picked?.id)}
            sheets={parcels.map((p) => ({
              id: String(p.id),
              name: tabName(p),
              href: `/orders/${order.number}?parcel=${p.id}`,
            }))}
          />
        )}
        {picked && <ParcelOnTable view={view} parcel={picked} />}
        <LinesTable view={view} />
        <Changes view={view} />
      </Surface>
      <AskedSlip view={view} />
    </Bench>
  );
}
