'use client';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { Figures } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import type { ProofView } from '../view';
import { AnswerTable } from './AnswerTable';
import { ChangeToTry } from './ChangeToTry';
import { RoundSlip } from '../RoundSlip';
import { ReadStrip } from './ReadStrip';
import { StripDrawing } from './StripDrawing';
import { meansWords } from '@/studio/words/proofWords';

/** What came back, measured: the strip against the master, by tone and hue, and what to change. */
export function MeasuredSheet({ view, head }: { view: ProofView; head: React.ReactNode }) {
  const { work, round, reading, measured, against, picked, read } = view;
  const format = useFormat();
  const size = picked ? `&size=${encodeURIComponent(picked.key)}` : '';
  return (
    <Bench>
      <Surface>
        {head}
        {!round ? (
          <Empty title="Nothing was sent yet">
            <p>
              A round is measured when it is back. Send a proof sheet with a control strip.
            </p>
            <ButtonLink href={`/works/${work.id}/proof?sheet=rounds${size}`}>
              Go to the rounds
            </ButtonLink>
          </Empty>
        ) : !view.strip ? (
          <Empty title={`Nothing of round ${round.round} can be measured`}>
            <p>
              No control strip is on what was sent. Write a proof sheet with one, and send
              that.
            </p>
            <ButtonLink href={`/works/${work.id}/prepare?sheet=proof${size}`}>
              Write a proof sheet
            </ButtonLink>
          </Empty>
        ) : view.fault !== null ? (
          <Empty title={`The reading of round ${round.round} says nothing`}>
            <p>{view.fault}</p>
          </Empty>
        ) : !measured ? (
          <Empty title={`Round ${round.round} on ${round.paper} is not measured yet`}>
            <p>
              Lay the strip under the instrument when the ink is dry, a day after printing,
              and have it read; or drop its readings.
            </p>
          </Empty>
        ) : (
          <>
            <StripDrawing measured={measured} />
            <Small>
              Each patch: the master above, the print below, over the white of its paper;
              ΔE00 where it is seen side by side. Foretold: ΔE00 of a soft proof of this
              printing, for the most part the paper’s own.
              {measured.missing.length > 0 && ` Not read: ${measured.missing.join(', ')}.`}
            </Small>
            <AnswerTable drift={measured.drift} foretold={measured.foretold} />
          </>
        )}
      </Surface>
      {round && (
        <RoundSlip
          view={view}
          round={round}
          label="Measured"
          sheet="measured"
          by={reading && { name: reading.source, at: reading.at }}
          not={(id) => (read.includes(id) ? '' : ' (not read)')}
          plain={Boolean(measured?.change.moved.length)}
        >
          {measured && (
            <>
              <Figures
                figures={[
                  {
                    value: format.number(measured.drift.mean, 1),
                    unit: '',
                    label: 'mean ΔE00',
                  },
                  {
                    value: format.number(measured.drift.worst.difference, 1),
                    unit: '',
                    label: measured.drift.worst.name,
                  },
                  ...(measured.foretold === null
                    ? []
                    : [
                        {
                          value: format.number(measured.foretold.mean, 1),
                          unit: '',
                          label: 'was foretold',
                        },
                      ]),
                ]}
              />
              <Sentence $tone={measured.drift.mean < 2 ? 'plain' : 'caution'}>
                In the mean {meansWords(measured.drift.mean)} (rule of thumb); paper L*{' '}
                {format.number(measured.paper[0], 1)}, b*{' '}
                {format.number(measured.paper[2], 1)}.
              </Sentence>
              {against && (
                <Sentence $tone={against.passes ? 'plain' : 'stop'}>
                  Since the approved round {against.round}: ΔE00{' '}
                  {format.number(against.mean, 1)} in the mean,{' '}
                  {format.number(against.worst.difference, 1)} at “{against.worst.name}”.{' '}
                  {against.passes
                    ? 'It passes.'
                    : `It does not pass: ${view.limits.mean} and ${view.limits.worst} are allowed.`}
                </Sentence>
              )}
              <ChangeToTry key={reading?.id} view={view} change={measured.change} />
              {reading && (
                <Small>
                  <a href={`/api/proof-readings/${reading.id}`}>Readings as CGATS</a>,{' '}
                  <a href={`/api/proof-readings/${reading.id}?form=csv`}>as CSV</a>
                </Small>
              )}
            </>
          )}
          {view.strip && <ReadStrip view={view} />}
        </RoundSlip>
      )}
    </Bench>
  );
}
