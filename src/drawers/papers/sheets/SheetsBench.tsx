'use client';
import { useState } from 'react';
import { Button } from '@/shell/actions';
import { useSingleKeys } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { SheetTabs, useSheet } from '@/shell/frame';
import { Link } from '@/shell/link';
import { Empty, Problem, Progress } from '@/shell/said';
import { Small, TitleBlock } from '@/shell/words';
import { PickedLine } from './PickedLine';
import { PiecesSlip } from './PiecesSlip';
import { PiecesTable } from './PiecesTable';
import { PrintedSlip } from './PrintedSlip';
import { RulesSlip } from './RulesSlip';
import { SheetsDrawing } from './SheetsDrawing';
import { wayOn } from './onTable';
import { SheetsSlip } from './SheetsSlip';
import { useSheetsDesk } from './useSheetsDesk';
import type { SheetsView } from './view';
import { bestWords, wantedWords } from './words';

const SHOWN = ['sheets', 'pieces', 'rules', 'printed'] as const;
type Shown = (typeof SHOWN)[number];
const NAMES: Record<Shown, string> = {
  sheets: 'Sheets',
  pieces: 'Pieces and paper',
  rules: 'How it is cut',
  printed: 'Printed',
};
const shownOf = (asked: string): Shown => SHOWN.find((s) => s === asked) ?? 'sheets';

const KEYS = [
  { key: 'k', does: 'the picked piece: keep it in its place, or let go of it' },
  { key: 'x', does: 'the picked piece: lay it across, or upright again' },
  { key: '1 – 9', does: 'the picked piece: onto that sheet' },
  { key: '← ↑ → ↓', does: 'the picked piece: 5 mm that way' },
] as const;

const STEP = 5;
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** Sheets and rolls to be cut: what lies where, to scale, and what is done with each sheet. */
export function SheetsBench(view: SheetsView) {
  const desk = useSheetsDesk(view);
  const { planning, picked, shown, state } = desk;
  const [at, setAt] = useState(0);
  const [show, turn] = useSheet(
    shownOf(view.show),
    shownOf,
    (s) => `/sheets/${view.id}?show=${s}`,
  );
  useSingleKeys(KEYS, (key) => {
    if (!picked) return false;
    const place = desk.placeOf(picked);
    // While it is planned the piece lies nowhere yet: its keys do nothing, and nothing else.
    if (!place) return 'kx123456789'.includes(key) || key in ARROWS;
    const sheet = desk.sheetOf(picked);
    if (key === 'k') desk.lock(picked);
    else if (key === 'x') {
      if (state.pieces.find((p) => p.id === picked.piece)?.mayTurn) desk.turn(picked);
    } else if (/^[1-9]$/.test(key)) {
      if (!state.plan?.sheets[Number(key) - 1]) return false;
      desk.move(picked, Number(key) - 1, null);
    } else if (ARROWS[key]) {
      const [dx, dy] = ARROWS[key];
      const roll =
        state.stock.find((s) => s.id === state.plan?.sheets[sheet]?.stock)?.kind === 'roll';
      const by = wayOn({ lying: roll }, dx, dy);
      const { x, y, turned } = place;
      desk.move(picked, sheet, {
        x: Math.max(0, x + by.x),
        y: Math.max(0, y + by.y),
        turned,
      });
    } else return false;
    return true;
  });
  // The sheet of the picked piece, wherever that came to lie; else the one that was asked for.
  const of = picked ? desk.sheetOf(picked) : -1;
  const sheet = Math.min(of >= 0 ? of : at, Math.max(0, (shown?.sheets.length ?? 1) - 1));
  const toSheet = (index: number) => {
    setAt(index);
    if (index !== of) desk.pick(null);
  };
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>Sheets to cut</h1>
          <p>
            {wantedWords(state)} ·{' '}
            <Link href={`/papers?paper=${view.paper.id}`}>{view.paper.name}</Link>
          </p>
        </TitleBlock>
        <SheetTabs
          label="This plan"
          current={show}
          onTurn={turn}
          sheets={SHOWN.map((id) => ({
            id,
            name:
              id === 'printed' && view.printed.length > 0
                ? `${NAMES[id]} (${view.printed.filter((p) => !p.undone).length})`
                : NAMES[id],
            href: `/sheets/${view.id}?show=${id}`,
          }))}
        />
        {planning.share !== null && (
          <div style={{ display: 'flex', gap: 12, alignItems: 'center' }}>
            <div style={{ flex: 1 }}>
              <Progress
                label={
                  planning.best
                    ? `Planning: the best so far is ${bestWords(planning.best)}`
                    : 'Planning'
                }
                share={planning.share}
              />
            </div>
            <Button $small $plain onPress={planning.stop}>
              Stop with the best so far
            </Button>
          </div>
        )}
        <Problem>{desk.problem}</Problem>
        {desk.halted && (
          <Button $small onPress={desk.again} style={{ alignSelf: 'flex-start' }}>
            Plan it
          </Button>
        )}
        {state.pieces.length === 0 ? (
          <Empty
            title={
              view.printed.length > 0 ? 'All of it is printed' : 'Nothing to print here'
            }
          >
            <p>
              Put prints on the plan under Pieces and paper: what orders wait for, editions
              to be filled, proofs, cards.
            </p>
          </Empty>
        ) : state.stock.length === 0 ? (
          <Empty title="No paper to cut from">
            <p>
              Nothing whole is left of {view.paper.name}.{' '}
              <Link href={`/papers?paper=${view.paper.id}&lot=new`}>Note a delivery</Link>,
              then plan anew.
            </p>
            <Button $small onPress={desk.anew}>
              Plan anew
            </Button>
          </Empty>
        ) : (
          <SheetsDrawing view={view} desk={desk} sheet={sheet} onSheet={toSheet} />
        )}
        {picked && <PickedLine desk={desk} picked={picked} />}
        {!picked && shown && shown.sheets.length > 0 && (
          <Small>
            Pick a piece to keep it in its place, turn it or move it; the rest is planned
            around it.
          </Small>
        )}
        {shown && shown.sheets.length > 0 && (
          <PiecesTable desk={desk} plan={shown} currency={view.currency} />
        )}
      </Surface>
      {show === 'pieces' ? (
        <PiecesSlip view={view} />
      ) : show === 'rules' ? (
        <RulesSlip view={view} />
      ) : show === 'printed' ? (
        <PrintedSlip view={view} />
      ) : (
        <SheetsSlip view={view} desk={desk} sheet={sheet} onSheet={toSheet} />
      )}
    </Bench>
  );
}
