'use client';
import { Button } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { pieceWords } from '@/studio/words/sheetWords';
import type { PickedPiece, SheetsDesk } from './useSheetsDesk';

/** The picked piece: where it lies, and what can be done with it. */
export function PickedLine({ desk, picked }: { desk: SheetsDesk; picked: PickedPiece }) {
  const format = useFormat();
  const place = desk.placeOf(picked);
  const piece = desk.state.pieces.find((p) => p.id === picked.piece);
  const sheets = desk.state.plan?.sheets ?? [];
  const on = desk.sheetOf(picked);
  const busy = desk.planning.share !== null;
  if (!place || !piece) return null;
  return (
    <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
      <span style={{ fontSize: 13 }}>
        {pieceWords(piece)}: {format.length(place.x)} from the left,{' '}
        {format.length(place.y)} from the top{place.turned ? ', turned' : ''}
      </span>
      <Button $small $plain isDisabled={busy} onPress={() => desk.lock(picked)}>
        {desk.isLocked(picked) ? 'Let go' : 'Keep it here'}
      </Button>
      <Button
        $small
        $plain
        isDisabled={busy || !piece.mayTurn}
        onPress={() => desk.turn(picked)}
      >
        {piece.mayTurn ? 'Turn it' : 'Its grain is kept'}
      </Button>
      {sheets.map((_, i) =>
        i === on || i > 8 ? null : (
          <Button
            key={i}
            $small
            $plain
            isDisabled={busy}
            onPress={() => desk.move(picked, i, null)}
          >
            Onto sheet {i + 1}
          </Button>
        ),
      )}
    </div>
  );
}
