'use client';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { labCss } from '@/shell/drawing';
import { Choose } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Link } from '@/shell/link';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { SlipTable, useAddressOf } from '@/shell/table';
import { Small } from '@/shell/words';
import { brightenedWords, permanenceLine } from '@/studio/words/paperWords';
import { volumeWords, whiteWords } from '../profiles/words';
import { OnPaper } from './OnPaper';
import { PLACES } from './places';
import { bestOf } from './best';
import type { CompareView } from './view';

const Sides = styled(SlipTable)`
  table-layout: fixed;
  td,
  th {
    vertical-align: top;
    white-space: normal;
  }
  td:not(:first-child),
  th:not(:first-child) {
    text-align: left;
    padding-left: 14px;
  }
  td b {
    font-weight: 600;
  }
`;

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

function useRows(
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
            p.cost.from === 'lot' ? 'of the lot in stock' : 'its part of a sheet'
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

/** Two or three papers side by side, drawn to one scale, with a picture as it prints on each. */
export function CompareDrawer(view: CompareView) {
  const { papers, all, works, work, picture, size, sizes } = view;
  const router = useRouter();
  const addressOf = useAddressOf();
  const rows = useRows(papers, size.label);
  const now = PLACES.map((_, i) => String(papers[i]?.id ?? ''));
  const put = (place: number, id: string) =>
    router.replace(
      addressOf(
        Object.fromEntries(PLACES.map((p, i) => [p, (i === place ? id : now[i]) || null])),
      ),
    );
  return (
    <>
      <DrawerHead title="Papers side by side" sum={papers.map((p) => p.name).join(', ')}>
        <ButtonLink $plain href="/papers">
          Papers
        </ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {papers.length === 0 ? (
            <Empty title="No paper yet">
              <p>Describe two papers first: here they lie side by side.</p>
            </Empty>
          ) : (
            <Sides aria-label="Papers side by side">
              <thead>
                <tr>
                  <th style={{ width: 128 }}> </th>
                  {papers.map((p) => (
                    <th key={p.id}>
                      <Link
                        href={`/papers?paper=${p.id}`}
                        style={{ font: "400 17px/1.2 'Newsreader', serif" }}
                      >
                        {p.name}
                      </Link>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {picture && (
                  <tr>
                    <td>{work?.title}, as it prints</td>
                    {papers.map((p) => (
                      <td key={p.id}>
                        <OnPaper paper={p} picture={picture} title={work?.title ?? ''} />
                      </td>
                    ))}
                  </tr>
                )}
                {rows.map(([name, of]) => (
                  <tr key={name}>
                    <td>{name}</td>
                    {papers.map((p) => (
                      <td key={p.id}>{of(p)}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </Sides>
          )}
        </Surface>
        <Slip label="What is compared">
          <SlipTitle>What is compared</SlipTitle>
          {PLACES.map((place, i) => (
            <Choose
              key={place}
              label={`${['First', 'Second', 'Third'][i]} paper`}
              value={now[i] ?? ''}
              options={[
                ...(i < 2 ? [] : [['', 'no third'] as [string, string]]),
                ...all.map((p) => [String(p.id), p.name] as [string, string]),
              ]}
              onChange={(id) => put(i, id)}
            />
          ))}
          <Choose
            label="Picture"
            value={String(work?.id ?? '')}
            options={[
              ['', 'without a picture'],
              ...works.map((w) => [String(w.id), w.title] as [string, string]),
            ]}
            onChange={(id) => router.replace(addressOf({ work: id || null }))}
          />
          <Choose
            label="Size of a print"
            value={size.key}
            options={sizes.map((s) => [s.key, s.label])}
            onChange={(key) => router.replace(addressOf({ size: key }))}
          />
          <Small>
            Whites, blacks and gamuts are measured from the profile that each paper is
            printed through; the picture is shown by it, relative colorimetric, with the
            white of the paper. Bold: the deepest black, the largest gamut, the least cost.
          </Small>
          {papers.some((p) => !p.profile) && (
            <Small>
              Of a paper without a profile neither white nor colours are known:{' '}
              <Link href="/papers/profiles?bring=1">bring one</Link>.
            </Small>
          )}
        </Slip>
      </Bench>
    </>
  );
}
