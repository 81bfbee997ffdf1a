'use client';
import { useRouter } from 'next/navigation';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { Problem } from '@/shell/said';
import { FormSlip } from '@/shell/slip';
import { SlipTable, useAddressOf } from '@/shell/table';
import { Small, TableHead } from '@/shell/words';
import { noteAllOrdered, noteNotComing, noteOrdered } from './actions';
import { orderedForm } from './orderedForm';
import { listSeen, orderedName, supplierWords } from './words';
import type { PurchasesView } from './view';

/** That a line of the list was ordered: how many, of whom, for when. */
export function OrderedSlip({
  line,
  today,
}: {
  line: NonNullable<PurchasesView['ordering']>;
  today: string;
}) {
  const format = useFormat();
  const router = useRouter();
  const back = useAddressOf()({ ordered: '' });
  const name = orderedName(line, format);
  const { quantity, supplier, comesOn } = line;
  const start = orderedForm.write(
    { kind: line.kind, ref: line.id, name, quantity, supplier, orderedOn: today, comesOn },
    useBench(),
  );
  const form = useActionForm(noteOrdered, start, {
    fixed: { kind: line.kind, ref: String(line.id) },
    done: 'It is on its way.',
    onDone: () => router.push(back),
  });
  return (
    <FormSlip label="It was ordered" form={form} verb="Note the order" back={back}>
      <FormFields form={form.form} of={orderedForm} />
      <Small>
        Until a delivery of it is noted it stands under what is on its way, and neither here
        nor on the table as to be ordered.
      </Small>
    </FormSlip>
  );
}

/** All of a supplier's list at once. */
export function AllOrdered({
  list: { supplier, lines },
  within,
}: {
  list: PurchasesView['lists'][number];
  within: string;
}) {
  const { run, sending, problem } = useAction(noteAllOrdered, 'All of it is on its way.');
  return (
    <>
      <Button
        $small
        $plain
        isDisabled={sending}
        aria-label={`All of ${supplierWords(supplier)} was ordered`}
        onPress={() => run({ supplier, within, seen: listSeen(lines) })}
      >
        All ordered
      </Button>
      <Problem>{problem}</Problem>
    </>
  );
}

type Coming = PurchasesView['coming'][number];

const NotComing = ({ of }: { of: Coming }) => {
  const { run, sending, problem } = useAction(noteNotComing, 'Noted: it does not come.');
  return (
    <>
      <Button
        $small
        $plain
        isDisabled={sending}
        aria-label={`${of.name} does not come`}
        onPress={() => run({ purchaseId: String(of.id) })}
      >
        not coming
      </Button>
      <Problem>{problem}</Problem>
    </>
  );
};

/** What was ordered and is not here yet. */
export function OnTheWay({ coming }: { coming: readonly Coming[] }) {
  const format = useFormat();
  return (
    <>
      <TableHead>On its way</TableHead>
      <SlipTable aria-label="On its way" style={{ tableLayout: 'fixed' }}>
        <thead>
          <tr>
            <th style={{ width: '30%' }}>What</th>
            <th style={{ width: '21%' }}>Of</th>
            <th>Ordered</th>
            <th>Is to come</th>
            <th style={{ width: '9%' }}>How many</th>
            <th style={{ width: '13%' }} />
          </tr>
        </thead>
        <tbody>
          {coming.map((p) => (
            <tr key={p.id} data-tone={p.late ? 'caution' : undefined}>
              <td className="wrap">
                <Link href={p.href}>{p.name}</Link>
              </td>
              <td className="wrap">{p.supplier || 'not noted'}</td>
              <td>{format.day(p.orderedOn)}</td>
              <td>
                {p.comesOn === null
                  ? 'not said'
                  : `${p.late ? '▲ ' : ''}${format.day(p.comesOn)}`}
              </td>
              <td>{p.quantity}</td>
              <td>
                <NotComing of={p} />
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
    </>
  );
}
