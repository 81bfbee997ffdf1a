'use client';
import { ButtonLink, DownloadLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { PrintOnSheet } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { CustomerSaid, JudgeRound, SendRound } from './RoundForms';
import { RoundLine } from './RoundLine';
import { UsualChanges } from './UsualChanges';
import type { ProofView } from './view';
import { Rounds, Columns, standing } from './proofParts';

/** The rounds of a size, round by round, until one is approved. */
export function RoundsSheet({ view, head }: { view: ProofView; head: React.ReactNode }) {
  const { work, master, picked, papers, rounds, out, reference, file } = view;
  const last = rounds.at(-1);
  const format = useFormat();
  const cost = rounds.reduce((total, r) => total + r.cost, 0);
  const scale = picked
    ? Math.min(240 / picked.fit.sheet.width, 330 / picked.fit.sheet.height)
    : 1;
  return (
    <Bench>
      <Surface>
        {head}
        {picked && (
          <>
            <Columns>
              <svg
                viewBox={`-4 -4 ${picked.fit.sheet.width * scale + 10} ${picked.fit.sheet.height * scale + 10}`}
                width="100%"
                role="img"
                aria-label={`Print of ${picked.label}, to scale with its border`}
              >
                <PrintOnSheet
                  fit={picked.fit}
                  picture={master?.preview ?? null}
                  scale={scale}
                  x={0}
                  y={0}
                />
              </svg>
              {rounds.length === 0 ? (
                <Empty title="Nothing sent yet">
                  <p>
                    {file
                      ? `The print file ${file} is ready to go.`
                      : 'Write the print file first, so that the round knows what was sent.'}
                  </p>
                  {!file && (
                    <ButtonLink href={`/works/${work.id}/prepare?size=${picked.key}`}>
                      Prepare the file
                    </ButtonLink>
                  )}
                </Empty>
              ) : (
                <Rounds>
                  {[...rounds].reverse().map((r) => (
                    <RoundLine key={r.id} round={r} view={view} />
                  ))}
                </Rounds>
              )}
            </Columns>
          </>
        )}
      </Surface>
      {picked && (
        <Slip
          label="Proof"
          actions={
            reference !== null && (
              <ButtonLink href={`/works/${work.id}/edition?size=${picked.key}`}>
                Go to Edition
              </ButtonLink>
            )
          }
        >
          <SlipTitle>{picked.label}</SlipTitle>
          <SlipSub>{file ?? 'no print file yet'}</SlipSub>
          <Figures
            figures={[
              {
                value: String(rounds.length),
                unit: '',
                label: rounds.length === 1 ? 'round' : 'rounds',
              },
              {
                value: format.amount(cost),
                unit: view.currency,
                label: 'proofs have cost',
              },
            ]}
          />
          <Sentence
            $tone={
              out ? 'caution' : (view.standing?.reasons.length ?? 0) > 0 ? 'stop' : 'plain'
            }
          >
            {standing(view)}
          </Sentence>
          {!out && <UsualChanges key={view.usual?.paperId} view={view} />}
          {papers.length === 0 ? (
            <>
              <Small>There is no paper in the drawer yet.</Small>
              <ButtonLink href="/papers?new=1" $small>
                Add a paper
              </ButtonLink>
            </>
          ) : out ? (
            <JudgeRound key={out.id} view={view} />
          ) : (
            <SendRound key={rounds.length} view={view} />
          )}
          {!out && last && <CustomerSaid view={view} roundId={last.id} />}
          <Small>Changing paper, printer, profile or size re-opens the question.</Small>
          {rounds.length > 0 && (
            <DownloadLink
              $small
              $plain
              href={`/api/proof-reports/${work.id}?size=${encodeURIComponent(picked.key)}`}
            >
              Report of these rounds (PDF)
            </DownloadLink>
          )}
        </Slip>
      )}
    </Bench>
  );
}
