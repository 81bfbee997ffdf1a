'use client';
import type { Viewer } from 'openseadragon';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ButtonLink, useSingleKeys } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useWideScreen } from '@/shell/drawing';
import type { Overlay } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { Small } from '@/shell/words';
import type { ProofView } from '../view';
import { Left, Panes, Right, Two } from './layout';
import { PapersAtHand } from './PapersAtHand';
import { WhatIsLost } from './WhatIsLost';
import { PaperSlip } from './PaperSlip';
import { ShownAs } from './ShownAs';
import { usePaperDesk } from './paperDesk';
import { ProofPane } from './ProofPane';
import { placeRings, reachMarks } from './drawMarks';
import type { ProofPicture, Shown } from '@/shell/drawing';
import { useFigures } from './useFigures';
import { useReach } from './useReach';
import { bestPaper } from './words';

const KEYS = [
  { key: 'b', does: 'the untouched master, while it is held' },
  { key: 'm', does: 'marks of what is out of reach' },
  { key: 'w', does: 'paper white' },
  { key: 'k', does: 'black of the ink' },
  { key: 's', does: 'master and papers side by side' },
] as const;

const SPACES = ['a98-rgb', 'srgb'];

/** The picture as it would print on a paper: seen, and what the paper cannot hold measured. */
export function PaperSheet({
  view,
  picture,
  head,
}: {
  view: ProofView;
  picture: ProofPicture;
  head: React.ReactNode;
}) {
  const { papers, work, picked } = view;
  const printable = papers.filter((p) => p.profile);
  // A paper that was pressed is shown at once; what else the view says of it follows.
  const [pressed, setPressed] = useState({ id: view.paperId, from: view.paperId });
  const wanted = pressed.from === view.paperId ? pressed.id : view.paperId;
  const paper = papers.find((p) => p.id === wanted) ?? printable[0] ?? papers[0] ?? null;
  const on = paper?.profile ? `icc:${paper.profile.sha256}` : null;
  const wide = useWideScreen();
  const [desk, set] = usePaperDesk(work.id, view.screens, wide);
  const { number } = useFormat();
  const [split, setSplit] = useState(0.5);
  const [master, setMaster] = useState(false);
  const [lookAt, setLookAt] = useState<{ x: number; y: number } | null>(null);
  const [ready, setReady] = useState(false);
  const group = useRef(new Set<Viewer>());
  const others = printable.filter((p) => p.id !== paper?.id);
  const measured = [
    ...(on ? [on] : []),
    ...others.map((p) => `icc:${p.profile!.sha256}`),
    ...SPACES,
  ];
  const { by, trouble } = useFigures(picture.masterId, measured, ready);
  const figures = on ? (by[on] ?? null) : null;
  const intent = desk.intent ?? figures?.recommended.intent ?? 'relative';
  const reach = useReach(picture, desk.marks ? on : null);
  useSingleKeys(KEYS, (key) => {
    if (key === 'b') setMaster(true);
    else if (key === 'm') set({ marks: !desk.marks });
    else if (key === 'w') set({ paperWhite: !desk.paperWhite });
    else if (key === 'k') set({ blackInk: !desk.blackInk });
    else if (key === 's') set({ beside: !desk.beside });
    else return false;
    return true;
  });
  useEffect(() => {
    const up = (e: KeyboardEvent) => e.key === 'b' && setMaster(false);
    window.addEventListener('keyup', up);
    return () => window.removeEventListener('keyup', up);
  }, []);
  const places = figures?.reach.places;
  const draw = useMemo<Overlay>(() => {
    const marks = desk.marks && reach ? reachMarks(reach, desk.threshold, picture) : null;
    const rings = places ? placeRings(places, picture) : null;
    return (pen, seen) => {
      marks?.(pen, seen);
      rings?.(pen, seen);
    };
  }, [desk.marks, desk.threshold, reach, places, picture]);
  const plain: Shown = {
    show: 'master',
    on: '',
    intent,
    blackPoint: true,
    paperWhite: desk.paperWhite,
    blackInk: desk.blackInk,
    screen: desk.screen,
    recipe: view.recipe?.id ?? null,
  };
  const proofOn = (target: string): Shown => ({ ...plain, show: 'proof', on: target });
  const href = (id: number) =>
    `/works/${work.id}/proof?sheet=paper&paper=${id}${picked ? `&size=${encodeURIComponent(picked.key)}` : ''}`;
  if (!paper || !on)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty
            title={paper ? `${paper.name} has no profile yet` : 'There is no paper yet'}
          >
            <p>
              {paper
                ? 'A profile says what the printer makes of numbers on this paper. Bring it, and the picture is seen on the paper before any is spent.'
                : 'Add a paper to the drawer, and bring its profile.'}
            </p>
            <ButtonLink href={paper ? '/papers/profiles?bring=1' : '/papers?new=1'}>
              {paper ? 'Bring its profile' : 'Add a paper'}
            </ButtonLink>
          </Empty>
        </Surface>
      </Bench>
    );
  const found = figures?.intents[intent];
  const pane = { picture, split, lookAt, group, onShown: () => setReady(true) };
  return (
    <Bench>
      <Surface>
        {head}
        <Two $whole={desk.beside}>
          <Left>
            <Panes>
              {desk.beside ? (
                [null, paper, ...others.slice(0, 2)].map((p) => (
                  <ProofPane
                    key={p?.id ?? 0}
                    {...pane}
                    under={p ? proofOn(`icc:${p.profile!.sha256}`) : plain}
                    over={null}
                    labels={[p?.name ?? 'master', '']}
                    said={p ? `${work.title} as it would print on ${p.name}` : work.title}
                    draw={p?.id === paper.id ? draw : undefined}
                  />
                ))
              ) : (
                <ProofPane
                  {...pane}
                  under={plain}
                  over={master ? null : proofOn(on)}
                  labels={[
                    'master',
                    `on ${paper.name}${view.recipe ? `, by “${view.recipe.name}”` : ''}`,
                  ]}
                  onSplit={setSplit}
                  draw={draw}
                  said={`${work.title}: the master left of the line, as it would print on ${paper.name} right of it`}
                />
              )}
            </Panes>
            <ShownAs desk={desk} set={set} screens={view.screens} wide={wide} />
            <Small>
              {desk.beside
                ? 'They move together; + and the wheel go closer.'
                : 'Drag the line; hold b for the master; + and the wheel go closer.'}
            </Small>
          </Left>
          {desk.beside ? null : (
            <Right>
              <Problem>{trouble}</Problem>
              {found ? (
                <WhatIsLost found={found} intent={intent} onLook={setLookAt} />
              ) : (
                !trouble && <Small>Measuring what {paper.name} holds of it …</Small>
              )}
              <PapersAtHand
                papers={papers}
                picked={paper.id}
                picture={picture}
                shown={proofOn(on)}
                by={by}
                href={href}
                onPick={(id) => setPressed({ id, from: view.paperId })}
                shownToo={ready}
                best={bestPaper(papers, by, paper.id, number)}
              />
            </Right>
          )}
        </Two>
      </Surface>
      <PaperSlip
        view={view}
        paper={paper}
        figures={figures}
        by={by}
        intent={intent}
        onIntent={(to) => set({ intent: to })}
        lookAt={lookAt}
        onLook={setLookAt}
      />
    </Bench>
  );
}
