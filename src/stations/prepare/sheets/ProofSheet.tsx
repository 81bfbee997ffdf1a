'use client';
import { pixelsOf } from '@/core/units';
import { useMemo, useState } from 'react';
import { layOutProof, ppiOf } from '@/core/prepare';
import { Button, useAction, useKept } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { RuleNotice } from '../RuleNotice';
import type { SheetProps } from '../sheetProps';
import { orderProofSheet } from '../proofActions';
import { proofProblemWords, wishOf } from '../proofWish';
import { PiecePicker } from './PiecePicker';
import { PiecesTable, ProofChoices } from './ProofChoices';
import { ProofDrawing } from './ProofDrawing';
import { USUAL, isDesk } from './proofDesk';
import type { Desk } from './proofDesk';
import { WrittenSheets } from './WrittenSheets';
import { useProposals } from './useProposals';

/** Proof sheet: pieces of the print at its full final size, on a small sheet. */
export function ProofSheet({ view, master, picked, desk: recipeDesk, head }: SheetProps) {
  const { work, offered, papers } = view;
  const { recipe, exact } = recipeDesk;
  const format = useFormat();
  const [kept, keep] = useKept(`proof-sheet-${work.id}`, isDesk);
  const [cursor, setCursor] = useState({ x: 0.5, y: 0.5 });
  const { run, sending, problem } = useAction(orderProofSheet, 'Proof sheet ordered.');
  const desk = useMemo<Desk>(
    () => ({ ...USUAL, sizes: [picked.key], ...kept }),
    [kept, picked.key],
  );
  const put = (over: Partial<Desk>) => keep({ ...desk, ...over });
  const ppi = ppiOf(recipe);
  const plain = useMemo(
    () => ({ ...desk, places: desk.places.map(({ x, y, tests }) => ({ x, y, tests })) }),
    [desk],
  );
  const { facts } = master;
  const wish = useMemo(
    () => wishOf(plain, facts, offered, papers, ppi),
    [plain, facts, offered, papers, ppi],
  );
  const layout = useMemo(() => layOutProof(wish, facts), [wish, facts]);
  const laid = 'code' in layout ? null : layout;
  const sizes = wish.sizes.length;
  const largest = wish.sizes.reduce<(typeof wish.sizes)[number] | null>(
    (a, b) => (a && a.plan.factor >= b.plan.factor ? a : b),
    null,
  );
  const perPicture = largest
    ? {
        width: Math.min(1, pixelsOf(desk.width, ppi) / largest.plan.factor / facts.width),
        height: Math.min(
          1,
          pixelsOf(desk.height, ppi) / largest.plan.factor / facts.height,
        ),
      }
    : { width: 0.2, height: 0.2 };
  const add = (at: { x: number; y: number }) =>
    put({ places: [...desk.places, { ...at, tests: 'byHand' }] });
  const { propose, proposing, trouble } = useProposals(master.id, perPicture, (found) =>
    put({ places: [...desk.places.filter((p) => p.tests === 'byHand'), ...found] }),
  );
  return (
    <Bench>
      <Surface>
        {head}
        <div style={{ display: 'flex', gap: 18, alignItems: 'flex-start' }}>
          <PiecePicker
            preview={master.preview}
            whole={facts}
            places={desk.places}
            piece={perPicture}
            cursor={cursor}
            onCursor={setCursor}
            onAdd={add}
          />
          {laid ? (
            <ProofDrawing
              layout={laid}
              sizes={wish.sizes}
              preview={master.preview}
              whole={facts}
              ppi={ppi}
            />
          ) : (
            <Sentence
              $tone={'code' in layout && layout.code === 'nothing' ? 'plain' : 'stop'}
            >
              {'code' in layout && proofProblemWords(layout, desk.places)}
            </Sentence>
          )}
        </div>
      </Surface>
      <Slip
        label="The proof sheet"
        actions={
          <>
            <Button
              onPress={() =>
                run({
                  workId: String(work.id),
                  recipe: JSON.stringify(recipe),
                  recipeId: String(exact?.id ?? ''),
                  desk: JSON.stringify(plain),
                })
              }
              isDisabled={sending || !laid}
            >
              Write the proof sheet
            </Button>
            <Button
              $plain
              onPress={() => void propose()}
              isDisabled={proposing || !largest}
            >
              Propose pieces
            </Button>
          </>
        }
      >
        <SlipTitle>Resolution proof</SlipTitle>
        <SlipSub>
          {laid
            ? `${laid.sheet.name}, ${format.length(laid.sheet.width)} × ${format.length(laid.sheet.height)}`
            : 'nothing laid out yet'}
          , {ppi} ppi
        </SlipSub>
        <Figures
          figures={[
            {
              value: String(laid?.pieces.length ?? 0),
              unit: '',
              label:
                sizes > 1 ? `pieces, ${desk.places.length} at ${sizes} sizes` : 'pieces',
            },
            {
              value: laid ? format.number(laid.waste * 100) : '–',
              unit: '%',
              label: 'of the sheet left white',
            },
          ]}
        />
        <RuleNotice workId={work.id} sizeKey={picked.key} desk={recipeDesk} />
        <div style={{ display: 'flex', gap: '3px 12px', flexWrap: 'wrap', fontSize: 13 }}>
          {offered.map((o) => (
            <Tick
              key={o.key}
              checked={desk.sizes.includes(o.key)}
              onChange={(on) =>
                put({
                  sizes: on
                    ? [...desk.sizes, o.key]
                    : desk.sizes.filter((k) => k !== o.key),
                })
              }
            >
              {o.label}
            </Tick>
          ))}
        </div>
        <PiecesTable desk={desk} put={put} />
        <Problem>{problem ?? trouble}</Problem>
        <ProofChoices desk={desk} put={put} papers={papers} />
        <WrittenSheets view={view} kind="resolution" />
        <SectionLabel>How it is judged</SectionLabel>
        <Small>
          On the paper of the final print, from where that print will be looked at: judged
          in the hand it always disappoints. The distance stands under each piece.
        </Small>
      </Slip>
    </Bench>
  );
}
