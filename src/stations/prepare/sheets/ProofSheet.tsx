'use client';
import { isFigure, isFlag, isText, listOf, shape } from '@/core/facts';
import type { Guard } from '@/core/facts';
import { pixelsOf } from '@/core/units';
import { useMemo, useState } from 'react';
import { layOutProof, ppiOf } from '@/core/prepare';
import type { ProofPlace } from '@/core/prepare';
import {
  Bench,
  Button,
  Figures,
  Problem,
  SectionLabel,
  Sentence,
  Slip,
  SlipSub,
  SlipTable,
  SlipTitle,
  Small,
  Surface,
  Tick,
  useAction,
  useFormat,
  useKept,
} from '@/shell';
import { NumberRow } from '../NumberRow';
import { PlainChoice } from '../PlainChoice';
import type { SheetProps } from '../sheetProps';
import { orderProofSheet } from '../proofActions';
import { SHEET_CHOICES, proofProblemWords, wishOf } from '../proofWish';
import type { ProofDesk } from '../proofWish';
import { PIECE_HINTS, PIECE_WORDS, proposalFigure } from '../sheetWords';
import { PiecePicker } from './PiecePicker';
import { ProofDrawing } from './ProofDrawing';
import { WrittenSheets } from './WrittenSheets';

type Place = ProofPlace & { said?: string };
type Desk = Omit<ProofDesk, 'places'> & { places: Place[] };

const isDesk = shape({
  sizes: listOf(isText),
  places: listOf(shape({ x: isFigure, y: isFigure })),
  sheet: isText,
  own: shape({ width: isFigure, height: isFigure }),
  width: isFigure,
  height: isFigure,
  margin: isFigure,
  overview: isFlag,
}) as Guard<Desk>;

const USUAL: Desk = {
  sizes: [],
  places: [],
  sheet: 'auto',
  own: { width: 300, height: 400 },
  width: 70,
  height: 55,
  margin: 5,
  overview: true,
};

/** Proof sheet: pieces of the print at its full final size, on a small sheet. */
export function ProofSheet({ view, master, picked, desk: recipeDesk, head }: SheetProps) {
  const { work, offered, papers } = view;
  const { recipe, exact } = recipeDesk;
  const format = useFormat();
  const [kept, keep] = useKept(`proof-sheet-${work.id}`, isDesk);
  const [cursor, setCursor] = useState({ x: 0.5, y: 0.5 });
  const [proposing, setProposing] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
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
  const propose = async () => {
    setProposing(true);
    const answer = await fetch(
      `/api/proposals/${master.id}?width=${perPicture.width}&height=${perPicture.height}`,
    ).catch(() => null);
    setProposing(false);
    if (!answer?.ok)
      return setTrouble(
        'No pieces could be proposed: the picture is not read yet. Wait until Capture has read it, or choose by hand.',
      );
    setTrouble(null);
    const found = (await answer.json()) as {
      x: number;
      y: number;
      tests: Place['tests'];
      figure: number;
    }[];
    const own = desk.places.filter((p) => p.tests === 'byHand');
    put({
      places: [
        ...own,
        ...found.map(({ x, y, tests, figure }) => ({
          x,
          y,
          tests,
          ...(tests === 'byHand' ? {} : { said: proposalFigure({ tests, figure }) }),
        })),
      ],
    });
  };
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
        <div style={{ display: 'flex', gap: '3px 12px', flexWrap: 'wrap', fontSize: 13 }}>
          {offered.map((o) => (
            <label key={o.key}>
              <Tick
                checked={desk.sizes.includes(o.key)}
                onChange={(e) =>
                  put({
                    sizes: e.target.checked
                      ? [...desk.sizes, o.key]
                      : desk.sizes.filter((k) => k !== o.key),
                  })
                }
              />{' '}
              {o.label}
            </label>
          ))}
        </div>
        {desk.places.length > 0 && (
          <SlipTable aria-label="Pieces">
            <tbody>
              {desk.places.map((p, i) => (
                <tr key={i}>
                  <td className="wrap">
                    {i + 1}&ensp;{PIECE_WORDS[p.tests]}
                    {p.said && <small style={{ color: 'var(--soft)' }}> {p.said}</small>}
                    <br />
                    <small style={{ color: 'var(--soft)' }}>{PIECE_HINTS[p.tests]}</small>
                  </td>
                  <td>
                    <button
                      type="button"
                      className="link"
                      aria-label={`Take off piece ${i + 1}`}
                      onClick={() => put({ places: desk.places.filter((_, k) => k !== i) })}
                    >
                      off
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </SlipTable>
        )}
        <Problem>{problem ?? trouble}</Problem>
        <NumberRow
          label="piece wide"
          unit="mm"
          value={desk.width}
          limits={[15, 400]}
          most={200}
          step={5}
          onChange={(width) => put({ width })}
        />
        <NumberRow
          label="piece high"
          unit="mm"
          value={desk.height}
          limits={[15, 400]}
          most={200}
          step={5}
          onChange={(height) => put({ height })}
        />
        <PlainChoice
          label="sheet"
          value={desk.sheet}
          options={[
            ['auto', 'the one with least waste'],
            ['own', 'a sheet of my own size'],
            ...[...SHEET_CHOICES, ...papers].map(
              (s) =>
                [
                  s.name,
                  `${s.name}, ${Math.round(s.width)} × ${Math.round(s.height)} mm`,
                ] as const,
            ),
          ]}
          onChange={(sheet) => put({ sheet })}
        />
        {desk.sheet === 'own' && (
          <>
            <NumberRow
              label="sheet wide"
              unit="mm"
              value={desk.own.width}
              limits={[60, 1500]}
              step={5}
              onChange={(width) => put({ own: { ...desk.own, width } })}
            />
            <NumberRow
              label="sheet high"
              unit="mm"
              value={desk.own.height}
              limits={[60, 1500]}
              step={5}
              onChange={(height) => put({ own: { ...desk.own, height } })}
            />
          </>
        )}
        <label style={{ fontSize: 12.5 }}>
          <Tick
            checked={desk.overview}
            onChange={(e) => put({ overview: e.target.checked })}
          />{' '}
          the whole picture small, with the pieces marked
        </label>
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
