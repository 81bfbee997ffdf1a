'use client';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { Row, RowWords } from './rows';
import { undoPrinted } from './sheetActions';
import type { SheetsView } from './view';

type Printed = SheetsView['printed'][number];
type Print = Printed['prints'][number];

/** What became of a print, or where it goes on. */
function Fate({ print }: { print: Print }) {
  const { purpose, fate, workId, sizeKey } = print;
  const work = `/works/${workId}`;
  if (fate === 'numbered') return <>has its number</>;
  if (fate === 'spoiled') return <>spoiled</>;
  if (purpose === 'edition')
    return <Link href={`${work}/edition?size=${sizeKey}`}>give it its number</Link>;
  if (purpose === 'proof')
    return <Link href={`${work}/proof?size=${sizeKey}`}>say what is seen</Link>;
  return <>{purpose === 'order' ? 'to its order' : 'printed'}</>;
}

/** Sheets of this plan that were printed: what came of each, and the way back. */
export function PrintedSlip({ view }: { view: SheetsView }) {
  const format = useFormat();
  const { run, sending, problem } = useAction(
    undoPrinted,
    'Taken back: its paper is in the lot again.',
  );
  return (
    <Slip label="Printed">
      <SlipTitle>Printed</SlipTitle>
      {view.printed.length === 0 && (
        <Small>No sheet of this plan is printed yet. Its paper is taken when it is.</Small>
      )}
      <Problem>{problem}</Problem>
      {view.printed.map((s) => (
        <div key={s.id} style={{ display: 'grid', gap: 5 }}>
          <SectionLabel>
            {format.day(s.at)}, lot {s.lot}
            {s.spoiled && `, spoiled: ${s.reason}`}
            {s.undone && ', taken back'}
          </SectionLabel>
          {!s.undone && !s.spoiled && (
            <div>
              {s.prints.map((p) => (
                <Row key={p.id}>
                  <RowWords>
                    {p.what}
                    <small>{format.money(p.cost, p.currency)} of paper</small>
                  </RowWords>
                  <Fate print={p} />
                </Row>
              ))}
            </div>
          )}
          {s.undone && s.prints.some((p) => p.purpose === 'proof') && (
            <Small>
              ▲ Its proof is out as a round all the same: judge it at Proof, and say that it
              was not printed.
            </Small>
          )}
          {!s.undone && !s.prints.some((p) => p.fate === 'numbered') && (
            <Button
              $small
              $plain
              isDisabled={sending}
              style={{ alignSelf: 'flex-start', justifySelf: 'start' }}
              onPress={() => run({ sheetId: String(s.id), reason: 'it was not printed' })}
            >
              It was not printed
            </Button>
          )}
        </div>
      ))}
    </Slip>
  );
}
