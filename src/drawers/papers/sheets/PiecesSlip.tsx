'use client';
import { size } from '@/core/units';
import { useRef, useState } from 'react';
import { MOST_PIECES } from '@/core/cut';
import type { PiecePurpose, PlannedPiece } from '@/core/cut';
import { Button, useAction } from '@/shell/actions';
import { Line, Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { FindField } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import { purposeOf } from '@/studio/words/sheetWords';
import { CutFrom } from './CutFrom';
import { keepPieces } from './actions';
import { ROW, Row, RowWords } from './rows';
import type { WantedPiece } from './sheetForms';
import type { SheetsView } from './view';

const wanted = ({ id, count, mayTurn }: PlannedPiece): WantedPiece => ({
  id,
  count,
  mayTurn,
});

/** How many of a piece, kept when the field is left or Enter is pressed. */
function Count({ of, onCount }: { of: PlannedPiece; onCount: (count: number) => void }) {
  const [typed, setTyped] = useState(String(of.count));
  const count = /^\d{1,4}$/.test(typed.trim()) ? Number(typed) : 0;
  const fits = count >= 1 && count <= MOST_PIECES;
  // Enter sends it, and leaving the field afterwards does not send it again.
  const sent = useRef(of.count);
  const keep = () => {
    if (!fits || count === sent.current) return;
    sent.current = count;
    onCount(count);
  };
  return (
    <Line
      label={`How many of ${of.title}, ${of.size}`}
      value={typed}
      onChange={setTyped}
      isInvalid={!fits}
      figure
      whole
      style={{ width: 46 }}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
    />
  );
}

const FOR: readonly (readonly [PiecePurpose, string])[] = [
  ['edition', 'edition'],
  ['proof', 'proof'],
  ['card', 'card'],
];

/** What is wanted, what could be, and the paper that it is cut from. */
export function PiecesSlip({ view }: { view: SheetsView }) {
  const format = useFormat();
  const { state, offers, lots } = view;
  const { run, sending, problem } = useAction(keepPieces);
  const keep = (pieces: WantedPiece[], only: number[] | null = state.lots) =>
    run({
      planId: String(view.id),
      basedOn: String(view.stateId),
      pieces: JSON.stringify(pieces),
      lots: JSON.stringify({ only }),
    });
  const all = state.pieces.map(wanted);
  const changed = (id: string, by: Partial<WantedPiece>) =>
    keep(all.map((p) => (p.id === id ? { ...p, ...by } : p)));
  const add = (id: string, count = 1) => keep([...all, { id, count, mayTurn: true }]);
  return (
    <Slip label="Pieces and paper">
      <SlipTitle>What is printed</SlipTitle>
      {state.pieces.length === 0 && <Small>Nothing yet: choose below.</Small>}
      {state.pieces.map((p) => (
        <Row key={p.id}>
          <RowWords>
            {p.title}, {p.size}
            <small>
              {purposeOf(p)}
              {p.dueOn && `, due ${format.day(p.dueOn)}`} ·{' '}
              {format.size(size(p.width, p.height))}
              {view.notWanted.includes(p.id) && (
                <b> · ▲ its order does not wait for so many any more</b>
              )}
              {p.fileId === null && p.sheetId === null && p.workId !== null && (
                <>
                  {' · '}
                  <Link href={`/works/${p.workId}/prepare?size=${p.sizeKey ?? ''}`}>
                    ▲ no print file yet
                  </Link>
                </>
              )}
            </small>
          </RowWords>
          <Count key={p.count} of={p} onCount={(count) => changed(p.id, { count })} />
          <Tick
            checked={p.mayTurn}
            onChange={(mayTurn) => changed(p.id, { mayTurn })}
            isDisabled={sending}
          >
            turns
          </Tick>
          <Button
            $small
            $plain
            isDisabled={sending}
            aria-label={`Take ${p.title}, ${p.size} off the plan`}
            onPress={() => keep(all.filter((o) => o.id !== p.id))}
          >
            −
          </Button>
        </Row>
      ))}
      <Problem>{problem}</Problem>
      {offers.lines.length > 0 && (
        <>
          <SectionLabel>Orders wait for</SectionLabel>
          {offers.lines.map((l) => (
            <Row key={l.id}>
              <RowWords>
                {l.count > 1 && `${l.count} × `}
                {l.title}, {l.size}
                <small>
                  {purposeOf(l)}
                  {l.dueOn && `, due ${format.day(l.dueOn)}`}
                </small>
              </RowWords>
              <Button $small isDisabled={sending} onPress={() => add(l.id, l.count)}>
                Add
              </Button>
            </Row>
          ))}
        </>
      )}
      <SectionLabel>Print files</SectionLabel>
      <FindField label="Find a print file by its work" value={offers.find} />
      {offers.files.length === 0 && <Small>No print file is called so.</Small>}
      {offers.files.map((f) => (
        <div key={f.id} style={ROW}>
          <RowWords title={f.name}>
            {f.title}, {f.size}
          </RowWords>
          {FOR.map(([purpose, word]) => (
            <Button
              key={purpose}
              $small
              $plain
              isDisabled={sending || all.some((p) => p.id === `${purpose}:${f.id}`)}
              aria-label={`Add ${f.title}, ${f.size}, as ${word}`}
              onPress={() => add(`${purpose}:${f.id}`)}
            >
              {word}
            </Button>
          ))}
        </div>
      ))}
      {offers.sheets.length > 0 && (
        <>
          <SectionLabel>Proof and settings sheets</SectionLabel>
          {offers.sheets.map((s) => (
            <Row key={s.id}>
              <RowWords>{s.name}</RowWords>
              <Button
                $small
                $plain
                isDisabled={sending}
                onPress={() => add(`sheet:${s.id}`)}
              >
                Add
              </Button>
            </Row>
          ))}
        </>
      )}
      <CutFrom
        lots={lots}
        notTaken={view.notTaken}
        paper={view.paper}
        only={state.lots}
        busy={sending}
        onChoose={(only) => keep(all, only)}
      />
      <Button
        $small
        $plain
        isDisabled={sending}
        onPress={() => keep(all)}
        style={{ alignSelf: 'flex-start' }}
      >
        Plan anew with what is there now
      </Button>
    </Slip>
  );
}
