'use client';
import { ButtonLink } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { FactList } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import type { PapersView } from './view';

/** The deliveries of a paper of which something is left, the oldest first: prints take from it. */
export function Lots({ lots, paperId }: Pick<PapersView, 'lots'> & { paperId: number }) {
  const format = useFormat();
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
      <ButtonLink
        $plain
        href={`/papers?paper=${paperId}&lot=new`}
        style={{ alignSelf: 'flex-start' }}
      >
        Note a delivery
      </ButtonLink>
    </>
  );
}
