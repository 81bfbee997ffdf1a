'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Tick, Upload } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { Figures } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { AnswerTable } from '../measured/AnswerTable';
import { ChangeToTry } from '../measured/ChangeToTry';
import { meansWords } from '@/studio/words/proofWords';
import { RoundSlip } from '../RoundSlip';
import type { ProofView } from '../view';
import { PlacedPhotograph } from './PlacedPhotograph';
import { sureWords } from './words';

interface SheetProps {
  view: ProofView;
  head: React.ReactNode;
}

/** What came back, photographed: where it differs from the master, and what to change. */
export function PhotographedSheet({ view, head }: SheetProps) {
  const { work, round, photographs, photograph, photographable, picked } = view;
  const format = useFormat();
  const size = picked ? `&size=${encodeURIComponent(picked.key)}` : '';
  const rounds = (
    <ButtonLink $plain href={`/works/${work.id}/proof?sheet=rounds${size}`}>
      Go to the rounds
    </ButtonLink>
  );
  const said = photograph?.said ?? null;
  return (
    <Bench>
      <Surface>
        {head}
        {!round ? (
          <Empty title="Nothing was sent yet">
            <p>A round is photographed when it is back.</p>
            {rounds}
          </Empty>
        ) : !photographable ? (
          <Empty title={`Nothing to hold round ${round.round} against`}>
            <p>This round does not say which master it was made from.</p>
            {rounds}
          </Empty>
        ) : !photograph ? (
          <Empty title={`Round ${round.round} on ${round.paper} is not photographed yet`}>
            <p>
              Lay the print flat in even light, if you can beside the original, with its
              white border in sight; camera straight above, no flash. A scan does as well.
            </p>
          </Empty>
        ) : (
          <PlacedPhotograph
            key={`${photograph.id} ${JSON.stringify(photograph.placing)}`}
            view={view}
            photograph={photograph}
            round={round}
          />
        )}
        {said && <AnswerTable drift={said.drift} foretold={null} counted="parts" />}
      </Surface>
      {round && photographable && (
        <RoundSlip
          view={view}
          round={round}
          label="Photographed"
          sheet="photographed"
          by={photograph}
          plain
        >
          {photographs.length > 1 && (
            <Small>
              {photographs.map((p, i) => (
                <span key={p.id}>
                  {i > 0 && ', '}
                  {p.id === photograph?.id ? (
                    p.name
                  ) : (
                    <a
                      href={`/works/${work.id}/proof?sheet=photographed&round=${round.id}&photograph=${p.id}${size}`}
                    >
                      {p.name}
                    </a>
                  )}
                </span>
              ))}
            </Small>
          )}
          {photograph && !said && (
            <Sentence $tone="stop">
              {photograph.seen
                ? 'Nothing can be told: what lies within the corners is not this picture, or too little of it.'
                : 'Nothing can be told: the file of this photograph, or of its master, is gone. Bring it again.'}
            </Sentence>
          )}
          {photograph?.seen && (
            <Small>{sureWords(photograph.seen, photograph.placing.byHand, format)}</Small>
          )}
          {said && (
            <>
              <Figures
                figures={[
                  {
                    value: format.number(said.drift.mean, 1),
                    unit: '',
                    label: 'mean ΔE00',
                  },
                  { value: format.number(said.drift.p95, 1), unit: '', label: '95 of 100' },
                  {
                    value: format.number(said.falloff, 2),
                    unit: 'stops',
                    label: 'light, evened out',
                  },
                ]}
              />
              <Sentence $tone={said.drift.mean < 2 ? 'plain' : 'caution'}>
                In the mean {meansWords(said.drift.mean)} (rule of thumb). {said.basis}
              </Sentence>
              {said.change && (
                <ChangeToTry
                  key={photograph!.id}
                  view={view}
                  change={said.change}
                  of={{ photographId: String(photograph!.id) }}
                />
              )}
            </>
          )}
          <BringPhotograph view={view} roundId={round.id} />
        </RoundSlip>
      )}
    </Bench>
  );
}

/** Where a photograph of a round is dropped. */
function BringPhotograph({ view, roundId }: { view: ProofView; roundId: number }) {
  const router = useRouter();
  const [byHand, setByHand] = useState(false);
  return (
    <>
      <Upload
        url={`/api/proof-photographs?work=${view.work.id}&round=${roundId}${byHand ? '&byHand=1' : ''}`}
        accept={['.jpg', '.jpeg', '.png', '.tif', '.tiff']}
        invitation={
          view.photograph
            ? 'Drop another photograph'
            : 'Drop a photograph or scan of this print'
        }
        doing={byHand ? 'Taking in' : 'Looking for the print in'}
        onDone={() => router.refresh()}
      />
      <Tick checked={byHand} onChange={setByHand}>
        Place its corners by hand
      </Tick>
    </>
  );
}
