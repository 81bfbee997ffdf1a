'use client';
import styled from 'styled-components';
import { ButtonLink, useAction } from '@/shell/actions';
import { Choose } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { Pencil } from '@/shell/words';
import { LINE_STATE_WORDS } from '../words';
import { moveLine } from './lineActions';
import type { OrderBenchView } from './view';

const Wide = styled(SlipTable)`
  font-size: 13.5px;
  tr[data-out] td {
    color: var(--soft);
    text-decoration: line-through;
  }
  td:nth-child(2),
  th:nth-child(2) {
    text-align: left;
  }
`;

type Line = OrderBenchView['lines'][number];

const Named = ({ line }: { line: Line }) => (
  <span style={{ font: "400 15.5px/1.3 'Newsreader', serif" }}>
    {line.quantity > 1 && `${line.quantity} × `}
    {line.kind === 'goods' ? line.name : line.work} <Pencil>{line.label}</Pencil>
  </span>
);

/** In which parcel a line lies; where it may still be moved, it is chosen here. */
function ParcelChoice({ line, view }: { line: Line; view: OrderBenchView }) {
  const { run } = useAction(moveLine);
  const { parcels, order } = view;
  const own = parcels.find((p) => p.id === line.parcelId);
  const open = parcels.filter((p) => !p.sealed);
  if (line.state !== 'open' || own?.sealed) return <>{own ? own.place : '–'}</>;
  return (
    <Choose
      label={`Parcel of ${line.work || line.name || ''} ${line.label ?? ''}`}
      value={String(line.parcelId ?? '')}
      style={{ width: 130 }}
      onChange={(parcel) => run({ order: order.number, line: String(line.id), parcel })}
      options={[
        ...open.map((p) => [String(p.id), `parcel ${p.place}`] as const),
        ['0', 'one of its own'],
      ]}
    />
  );
}

/** The lines of an order: what each is, its paper, its parcel, its price. */
export function LinesTable({ view }: { view: OrderBenchView }) {
  const format = useFormat();
  const { order, lines, parcels } = view;
  const sealed = (line: Line) =>
    parcels.some((p) => p.id === line.parcelId && p.sealed !== null);
  return (
    <Wide aria-label="Lines of the order">
      <thead>
        <tr>
          <th>line</th>
          <th>on</th>
          <th>parcel</th>
          <th>price</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={line.id} data-out={line.state === 'removed' || undefined}>
            <td>
              <Named line={line} />
            </td>
            <td>
              {[line.sizeLabel, line.paper].filter(Boolean).join(', ')}
              {line.printed > 0 && (
                <span style={{ color: 'var(--soft)', display: 'block' }}>
                  {line.printed} of {line.quantity} printed
                </span>
              )}
              {line.paperTraits?.scuffs && (
                <span style={{ color: 'var(--ochre)', display: 'block' }}>
                  ▲ scuffs at a touch: gloves, tissue
                </span>
              )}
            </td>
            <td>
              {line.state === 'removed' ? '–' : <ParcelChoice line={line} view={view} />}
            </td>
            <td>
              {format.money(line.price, line.currency)}
              {line.refund > 0 && ` − ${format.amount(line.refund, line.currency)}`}
            </td>
            <td>
              {LINE_STATE_WORDS[line.state]}{' '}
              {(line.state === 'shipped' || (line.state === 'open' && !sealed(line))) &&
                order.state !== 'cancelled' && (
                  <ButtonLink
                    $small
                    $plain
                    href={`/orders/${order.number}?do=line&line=${line.id}`}
                    aria-label={`${line.state === 'shipped' ? 'It came back' : 'Change'}: ${line.work || line.name || ''} ${line.label ?? ''}`}
                  >
                    {line.state === 'shipped' ? 'It came back' : 'Change'}
                  </ButtonLink>
                )}
            </td>
          </tr>
        ))}
      </tbody>
    </Wide>
  );
}
