'use client';
import { useRouter } from 'next/navigation';
import { Button, ButtonLink, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { Problem } from '@/shell/said';
import { FactList } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { beginSheets } from './sheets/actions';
import type { PapersView } from './view';

/** The deliveries of a paper of which something is left, the oldest first: prints take from it. */
export function Lots({
  lots,
  plans,
  paperId,
}: Pick<PapersView, 'lots' | 'plans'> & { paperId: number }) {
  const format = useFormat();
  const router = useRouter();
  const begin = useAction(beginSheets, undefined, (id) => router.push(`/sheets/${id}`));
  const left = (lot: PapersView['lots'][number]) =>
    lot.kind === 'roll'
      ? format.length(lot.left)
      : `${format.number(lot.left, lot.left % 1 === 0 ? 0 : 2)} of ${lot.pieces}`;
  return (
    <>
      <SectionLabel>Lots</SectionLabel>
      {lots.length === 0 && (
        <Small>None: prints take no paper until a delivery is noted.</Small>
      )}
      <FactList
        facts={lots.map((lot) => [
          `${lot.name}, ${
            lot.kind === 'roll'
              ? `roll of ${format.length(lot.width)}`
              : format.size({ width: lot.width, height: lot.height })
          }`,
          <Link key={lot.id} href={`/papers?paper=${paperId}&lot=${lot.id}`}>
            {left(lot)}
          </Link>,
        ])}
      />
      {plans.length > 0 && (
        <FactList
          facts={plans.map((plan) => [
            `Sheets to cut, ${format.day(plan.changedAt)}`,
            <Link key={plan.id} href={`/sheets/${plan.id}`}>
              {plan.pieces === 0 ? 'all printed' : `${plan.pieces} to print`}
            </Link>,
          ])}
        />
      )}
      <div style={{ display: 'flex', gap: 8 }}>
        <Button
          isDisabled={begin.sending || lots.length === 0}
          onPress={() => begin.run({ paperId: String(paperId) })}
        >
          Plan sheets
        </Button>
        <ButtonLink $plain href={`/papers?paper=${paperId}&lot=new`}>
          Note a delivery
        </ButtonLink>
      </div>
      <Problem>{begin.problem}</Problem>
    </>
  );
}
