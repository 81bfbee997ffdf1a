'use client';
import { useRouter } from 'next/navigation';
import type { LaidSheet } from '@/core/edition';
import { Button, ButtonLink } from '@/shell/actions';
import { FactList } from '@/shell/slip';
import { Pencil, SectionLabel } from '@/shell/words';
import { SpoilForm } from './SpoilForm';
import { STATE_WORDS } from './words';

/** One impression on the slip: how it stands, and what can be done with it. */
export function ImpressionPart({
  editionId,
  cell,
  orderHref,
  onAgain,
}: {
  editionId: number;
  cell: LaidSheet;
  orderHref: string;
  onAgain: () => void;
}) {
  const router = useRouter();
  const left = { alignSelf: 'flex-start' };
  return (
    <>
      <SectionLabel>
        <Pencil>{cell.label}</Pencil>
      </SectionLabel>
      <FactList
        facts={[
          ['State', STATE_WORDS[cell.state]],
          ['Printing', String(cell.printing)],
          ...(cell.order ? ([['Order', cell.order]] as [string, string][]) : []),
        ]}
      />
      {cell.state === 'numbered' && (
        <ButtonLink $small href={orderHref} style={left}>
          Take an order for {cell.label}
        </ButtonLink>
      )}
      {(cell.state === 'numbered' || cell.state === 'damaged') && (
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
