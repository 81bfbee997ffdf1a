'use client';
import { useRouter } from 'next/navigation';
import type { LaidSheet } from '@/core/edition';
import { Button, ButtonLink } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { FactList } from '@/shell/slip';
import { Pencil, SectionLabel } from '@/shell/words';
import { SpoilForm } from './SpoilForm';
import type { EditionView } from './view';
import { STATE_WORDS } from './words';

/** One impression on the slip: how it stands, and what can be done with it. */
export function ImpressionPart({
  editionId,
  cell,
  out,
  orderHref,
  onAgain,
}: {
  editionId: number;
  cell: LaidSheet;
  /** Where it is out on consignment; null: nowhere. */
  out: EditionView['out'][number] | null;
  orderHref: string;
  onAgain: () => void;
}) {
  const router = useRouter();
  const format = useFormat();
  const left = { alignSelf: 'flex-start' };
  return (
    <>
      <SectionLabel>
        <Pencil>{cell.label}</Pencil>
      </SectionLabel>
      <FactList
        facts={[
          ['State', out ? 'out on consignment' : STATE_WORDS[cell.state]],
          ...(out
            ? ([['Hangs at', `${out.name}, until ${format.day(out.fetchOn)}`]] as [
                string,
                string,
              ][])
            : []),
          ['Printing', String(cell.printing)],
          ...(cell.order ? ([['Order', cell.order]] as [string, string][]) : []),
        ]}
      />
      {out && (
        <ButtonLink $small href={`/consignments?of=${out.consignment}`} style={left}>
          See consignment {out.consignment}
        </ButtonLink>
      )}
      {cell.state === 'numbered' && !out && (
        <ButtonLink $small href={orderHref} style={left}>
          Take an order for {cell.label}
        </ButtonLink>
      )}
      {(cell.state === 'numbered' || cell.state === 'damaged') && !out && (
        <SpoilForm
          key={cell.label}
          editionId={editionId}
          cell={cell}
          onDone={() => router.refresh()}
        />
      )}
      {cell.state === 'spoiled' && (
        <Button $small onPress={onAgain} style={left}>
          Print {cell.label} again
        </Button>
      )}
      {cell.order && (
        <ButtonLink $small $plain href={`/orders/${cell.order}`} style={left}>
          See order {cell.order}
        </ButtonLink>
      )}
    </>
  );
}
