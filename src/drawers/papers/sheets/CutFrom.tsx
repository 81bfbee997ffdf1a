'use client';
import { Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { SectionLabel, Small } from '@/shell/words';
import { Row } from './rows';
import type { SheetsView } from './view';

/** The lots that a plan is cut from. */
export function CutFrom({
  lots,
  notTaken,
  paper,
  only,
  busy,
  onChoose,
}: Pick<SheetsView, 'lots' | 'notTaken' | 'paper'> & {
  /** Null: all of them. */
  only: number[] | null;
  busy: boolean;
  onChoose: (only: number[] | null) => void;
}) {
  const format = useFormat();
  const chosen = only ?? lots.map((l) => l.id);
  const choose = (id: number, on: boolean) => {
    const next = on ? [...chosen, id] : chosen.filter((c) => c !== id);
    onChoose(next.length === lots.length ? null : next);
  };
  return (
    <>
      <SectionLabel>Cut from</SectionLabel>
      {lots.map((lot) => (
        <Row key={lot.id}>
          <Tick
            checked={chosen.includes(lot.id)}
            isDisabled={busy}
            onChange={(on) => choose(lot.id, on)}
          >
            {lot.name},{' '}
            {lot.kind === 'roll'
              ? `roll of ${format.length(lot.width)}, ${format.distance(lot.left)} left`
              : `${format.size({ width: lot.width, height: lot.height })}, ${format.number(lot.left, lot.left % 1 === 0 ? 0 : 2)} left`}
          </Tick>
        </Row>
      ))}
      {paper.grain !== 'not known' && (
        <Small>
          The grain of its sheets runs {paper.grain}, of a roll along it: a piece that may
          not turn keeps it.
        </Small>
      )}
      {notTaken && notTaken.lots.length > 0 && (
        <Small>
          ▲ {notTaken.printer} does not take {notTaken.lots.map((l) => l.name).join(', ')}:
          too wide for it, or not what it prints on. Cut it to sheets first, or leave it
          out.
        </Small>
      )}
      {lots.some((l) => l.kind === 'sheet' && l.left % 1 !== 0) && (
        <Small>Whole sheets are cut; parts of sheets are not known by their shape.</Small>
      )}
    </>
  );
}
