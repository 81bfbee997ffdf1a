'use client';
import { Small } from '@/shell/words';
import type { SheetId } from './sheetNames';
import type { ProofView } from './view';

/** The rounds of a size, each a way to what was read of it. */
export function RoundLinks({
  view,
  sheet,
  not,
}: {
  view: ProofView;
  sheet: SheetId;
  /** What is said of a round of which there is nothing. */
  not?: (roundId: number) => string;
}) {
  const { work, round, rounds, picked } = view;
  const size = picked ? `&size=${encodeURIComponent(picked.key)}` : '';
  if (rounds.length < 2) return null;
  return (
    <Small>
      {rounds.map((r, i) => (
        <span key={r.id}>
          {i > 0 && ', '}
          {r.id === round?.id ? (
            `round ${r.round}`
          ) : (
            <a href={`/works/${work.id}/proof?sheet=${sheet}&round=${r.id}${size}`}>
              round {r.round}
              {not?.(r.id)}
            </a>
          )}
        </span>
      ))}
    </Small>
  );
}
