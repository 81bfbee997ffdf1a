'use client';
import { ButtonLink } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Small } from '@/shell/words';
import type { SheetId } from './sheetNames';
import type { ProofView } from './view';

interface RoundSlipProps {
  view: ProofView;
  round: NonNullable<ProofView['round']>;
  label: string;
  /** The sheet that other rounds are looked at on. */
  sheet: SheetId;
  /** By what, and when, the round was looked at; null: it was not yet. */
  by: { name: string; at: string } | null;
  /** What is said of a round of which there is nothing. */
  not?: (roundId: number) => string;
  /** Whether there is something to press on the slip itself. */
  plain: boolean;
  children: React.ReactNode;
}

/** The slip of a round that came back: which it is, by what it was looked at, the ways to the others. */
export function RoundSlip({
  view,
  round,
  label,
  sheet,
  by,
  not,
  plain,
  children,
}: RoundSlipProps) {
  const { work, rounds, picked } = view;
  const format = useFormat();
  const size = picked ? `&size=${encodeURIComponent(picked.key)}` : '';
  return (
    <Slip
      label={label}
      actions={
        <ButtonLink $plain={plain} href={`/works/${work.id}/proof?sheet=rounds${size}`}>
          Go to the rounds
        </ButtonLink>
      }
    >
      <SlipTitle>
        Round {round.round}, {round.paper}
      </SlipTitle>
      <SlipSub>
        {by
          ? `${by.name}, ${format.day(by.at)}`
          : `${round.file ?? 'no file'}, sent ${format.day(round.sentAt)}`}
      </SlipSub>
      {rounds.length > 1 && (
        <Small>
          {rounds.map((r, i) => (
            <span key={r.id}>
              {i > 0 && ', '}
              {r.id === round.id ? (
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
      )}
      {children}
    </Slip>
  );
}
