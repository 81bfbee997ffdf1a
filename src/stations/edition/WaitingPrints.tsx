'use client';
import { useActionForm } from '@/shell/actions';
import { Choose, Field, Fold } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { FormPart } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { spoilPiece } from './actions';
import { spoiledPieceForm } from './editionForms';
import type { EditionView } from './view';

type Waiting = EditionView['waiting'][number];

/** Prints of one paper, lot and day are not told apart: the first of each stands for them. */
const kinds = (waiting: readonly Waiting[]): Waiting[] =>
  waiting.filter(
    (w, i) =>
      i ===
      waiting.findIndex((o) => o.lot === w.lot && o.paper === w.paper && o.at === w.at),
  );

const Spoil = ({ pieceId }: { pieceId: number }) => {
  const form = useActionForm(
    spoilPiece,
    { reason: '' },
    { fixed: { pieceId: String(pieceId) }, done: 'Noted as spoiled.' },
  );
  return (
    <FormPart form={form} verb="Note it as spoiled" plain>
      <Field form={form.form} of={spoiledPieceForm} name="reason" words />
    </FormPart>
  );
};

/** Prints that were cut from sheets and wait for their numbers: which of them is numbered next. */
export function WaitingPrints({
  waiting,
  piece,
  onPiece,
}: {
  waiting: readonly Waiting[];
  /** The one that gets the next number; null: another, made now. */
  piece: number | null;
  onPiece: (id: number | null) => void;
}) {
  const format = useFormat();
  const n = waiting.length;
  return (
    <>
      <SectionLabel>
        {n === 1 ? 'One print waits for its number' : `${n} prints wait for their numbers`}
      </SectionLabel>
      <Choose
        label="Print that is numbered"
        value={String(piece ?? '')}
        options={[
          ...kinds(waiting).map(
            (w) => [String(w.id), `${w.paper}, ${w.lot}, ${format.day(w.at)}`] as const,
          ),
          ['', 'another print, its paper taken now'] as const,
        ]}
        onChange={(id) => onPiece(id === '' ? null : Number(id))}
      />
      {piece === null ? (
        <Small>A print that is made now takes its paper when it is numbered.</Small>
      ) : (
        <Fold title="It is spoiled">
          <Spoil key={piece} pieceId={piece} />
        </Fold>
      )}
    </>
  );
}
