'use client';
import { useState } from 'react';
import styled from 'styled-components';
import type { Corners } from '@/core/capture/geometry';
import type { GreyCard } from '@/core/proof';
import { Button, useAction } from '@/shell/actions';
import { Choose, Tick } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { Small } from '@/shell/words';
import type { ProofView } from '../view';
import { placePhotograph } from './actions';
import { DifferencePlate } from './DifferencePlate';
import { PhotographPlate } from './PhotographPlate';
import type { PhotographView } from './view';

const Side = styled.div`
  display: flex;
  gap: 18px;
  flex-wrap: wrap;
  align-items: flex-start;
`;

const Row = styled.div`
  display: flex;
  gap: 16px;
  flex-wrap: wrap;
  align-items: end;
`;

/** What a grey card throws back where nothing else is said: 18 of 100. */
const GREY = 0.18;

interface PlacedPhotographProps {
  view: ProofView;
  photograph: PhotographView;
  round: NonNullable<ProofView['round']>;
}

/** The photograph beside the map of differences; the corners can be moved, and what is beside it said. */
export function PlacedPhotograph({ view, photograph, round }: PlacedPhotographProps) {
  const { placing, width, height, said, master } = photograph;
  const [corners, setCorners] = useState<Corners>(placing.proof);
  const [card, setCard] = useState<GreyCard | null>(placing.card);
  const [proofAt, setProofAt] = useState(placing.proofAt);
  const { run, sending, problem } = useAction(placePhotograph, 'Placed.');
  const changed =
    corners !== placing.proof || card !== placing.card || proofAt !== placing.proofAt;
  const place = () =>
    run({
      workId: String(view.work.id),
      roundId: String(round.id),
      photographId: String(photograph.id),
      proofAt,
      corners: JSON.stringify(corners),
      cards: JSON.stringify(card ? [card] : []),
    });
  return (
    <>
      <Side>
        <PhotographPlate
          photograph={photograph}
          corners={corners}
          onCorners={setCorners}
          card={card}
          onCard={(at) => setCard(card && { ...card, ...at })}
          round={round.round}
        />
        {said && master && <DifferencePlate map={said.map} {...master} />}
      </Side>
      <Row>
        {placing.original && (
          <Choose
            label="The proof lies"
            value={proofAt}
            onChange={(side) => setProofAt(side === 'left' ? 'left' : 'right')}
            options={[
              ['left', 'The proof lies left'],
              ['right', 'The proof lies right'],
            ]}
          />
        )}
        <Tick
          checked={card !== null}
          onChange={(on) =>
            setCard(on ? { x: 0.5 * width, y: 0.93 * height, reflectance: GREY } : null)
          }
        >
          A grey card lies beside it (18 %)
        </Tick>
        <Button $small isDisabled={!changed || sending} onPress={place}>
          Compare anew
        </Button>
      </Row>
      <Problem>{problem}</Problem>
      <Small style={{ color: 'var(--soft)' }}>
        Corners: drag them, or Tab to one and use the arrow keys, with Shift ten pixels at a
        time. Map: each part of the print against the master.
      </Small>
    </>
  );
}
