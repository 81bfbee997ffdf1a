'use client';
import type { ReactNode } from 'react';
import { labCss } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import {
  PAPER_COST_FROM,
  brightenedWords,
  permanenceLine,
} from '@/studio/words/paperWords';
import { volumeWords, whiteWords } from '../profiles/words';
import { bestOf } from './best';
import type { CompareView } from './view';

type Beside = CompareView['papers'][number];

/** How thick it is, drawn forty times. */
const Thick = ({ mm }: { mm: number }) => (
  <svg width={120} height={Math.max(4, mm * 40)} aria-hidden style={{ display: 'block' }}>
    <rect
      x={0.5}
      y={0.5}
      width={119}
      height={Math.max(3, mm * 40 - 1)}
      fill="#fdfdfd"
      stroke="#444"
    />
  </svg>
);

/** White of the paper and its deepest black, as its profile has them. */
const WhiteAndBlack = ({ portrait }: { portrait: NonNullable<Beside['portrait']> }) => (
  <svg width={120} height={30} aria-hidden style={{ display: 'block' }}>
    <rect
      x={0.5}
      y={0.5}
      width={70}
      height={29}
      fill={labCss(portrait.white)}
      stroke="#444"
    />
    <rect
      x={70.5}
      y={0.5}
      width={49}
      height={29}
      fill={labCss(portrait.black)}
      stroke="#444"
    />
  </svg>
);

const Gamut = ({ volume, most }: { volume: number; most: number }) => (
  <svg width={120} height={12} aria-hidden style={{ display: 'block' }}>
    <rect x={0.5} y={0.5} width={119} height={11} fill="none" stroke="#999" />
    <rect x={0.5} y={0.5} width={(119 * volume) / most} height={11} fill="#8c8c8c" />
  </svg>
);

/** What is not known of a paper without a measured profile. */
const unknown = (p: Beside) => (p.profile ? 'its bytes are gone' : 'no profile yet');

/** What is said of each paper, row by row: its name, and how one paper has it. */
export function useRows(
  papers: readonly Beside[],
  size: string,
): [string, (p: Beside) => ReactNode][] {
  const format = useFormat();
  const best = bestOf(papers);
  const most = Math.max(1, ...papers.map((p) => p.portrait?.volume ?? 0));
  const marked = (is: boolean, text: ReactNode) => (is ? <b>{text}</b> : text);
  return [
    [
      'White, and black',
      (p) =>
        p.portrait ? (
          <>
            <WhiteAndBlack portrait={p.portrait} />
            L* {format.number(p.portrait.white[0], 1)}, {whiteWords(p.portrait.white)};
            black{' '}
            {marked(best.black === p.id, `L* ${format.number(p.portrait.black[0], 1)}`)}
          </>
        ) : (
          unknown(p)
        ),
    ],
    [
      'Gamut, thousands of Lab units',
      (p) =>
        p.portrait ? (
          <>
            <Gamut volume={p.portrait.volume} most={most} />
            {marked(best.gamut === p.id, volumeWords(p.portrait))}
          </>
        ) : (
          unknown(p)
        ),
    ],
    [
      'Thickness, drawn forty times',
      (p) => (
        <>
          <Thick mm={p.thickness} />
          {format.thickness(p.thickness)}
        </>
      ),
    ],
    ['Weight', (p) => `${p.weight} g/m²`],
    [
      'What it is',
      (p) =>
        [
          p.base,
          p.surface,
          p.acidFree && 'acid-free',
          brightenedWords(p.brightened),
          p.signedWith !== 'not known' && `signed with ${p.signedWith}`,
          p.scuffs && '▲ scuffs at a touch',
        ]
          .filter(Boolean)
          .join(', '),
    ],
    [
      `Paper of one print, ${size}`,
      (p) =>
        marked(
          best.cost === p.id,
          `${format.money(p.cost.amount, p.cost.currency)}, ${
            PAPER_COST_FROM[p.cost.from]
          }`,
        ),
    ],
    ['Left', (p) => `${format.number(p.sheets, p.sheets % 1 === 0 ? 0 : 1)} sheets`],
    ['Lasts', (p) => permanenceLine(p) ?? 'no figure with its source'],
    [
      'How it came out',
      (p) =>
        p.said.length === 0 ? (
          <Link href={`/papers?paper=${p.id}&life=1`}>nothing noted yet</Link>
        ) : (
          p.said.map((s) => (
            <span key={s.day} style={{ display: 'block' }}>
              {s.words}
            </span>
          ))
        ),
    ],
  ];
}
