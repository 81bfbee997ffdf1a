'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { patchBox, ruleOf, stepIn } from '@/core/prepare';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { isMeant, useKeyLines } from '@/shell/actions';
import { Strips } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import type { MasterView } from '@/studio/reads/workPage';
import { STEP_NAMES } from '../words';
import { PatchPlaceMap } from './PatchPlaceMap';
import { Frame, Row, Split } from './patchFrame';
import { patchWish } from './patchWish';
import { usePatch } from './usePatch';
import { useRoom } from './useRoom';

const PATCH_KEYS = [
  { key: 'b', does: 'held: the patch untouched' },
  { key: 'v', does: 'the patch closer, or not' },
];

/** What the print is held against. */
type Against = 'untouched' | 'without';

interface PatchViewProps {
  master: MasterView;
  plan: PrintPlan;
  recipe: Recipe;
  /** The step that is unfolded; -1 for none. */
  at: number;
}

/** A piece of the print at its full resolution, beside the same piece untouched. */
export function PatchView({ master, plan, recipe, at }: PatchViewProps) {
  const format = useFormat();
  const { frame, room } = useRoom();
  const [centre, setCentre] = useState({ x: 0.5, y: 0.5 });
  const [share, setShare] = useState(0.5);
  const [against, setAgainst] = useState<Against>('untouched');
  const [zoom, setZoom] = useState<1 | 2>(1);
  const [blinking, setBlinking] = useState(false);
  const step = recipe.steps[at];
  const without = against === 'without' && step !== undefined && step.kind !== 'resample';
  const { facts, id } = master;

  const box = useMemo(
    () => room && patchBox(room, plan, zoom, centre),
    [room, plan, zoom, centre],
  );
  const wish = useMemo(
    () => box && patchWish({ facts, id }, plan, recipe, { box, at, share, without }),
    [box, facts, id, plan, recipe, without, at, share],
  );
  const { before, after, ms, made, busy, problem } = usePatch(wish);

  const { singleKeys } = useBench();
  useKeyLines(PATCH_KEYS);
  const key = useCallback((event: KeyboardEvent) => {
    if (!isMeant(event)) return;
    const down = event.type === 'keydown';
    if (event.key === 'b') setBlinking(down);
    else if (event.key === 'v' && down) setZoom((z) => (z === 1 ? 2 : 1));
    else return;
    event.preventDefault();
  }, []);
  useEffect(() => {
    if (!singleKeys) return;
    window.addEventListener('keydown', key, true);
    window.addEventListener('keyup', key);
    return () => {
      window.removeEventListener('keydown', key, true);
      window.removeEventListener('keyup', key);
    };
  }, [key, singleKeys]);

  const shownWidth = box && room ? ((box.right - box.left) * zoom) / room.dense : 0;
  const shownHeight = box && room ? ((box.bottom - box.top) * zoom) / room.dense : 0;
  const shown = { width: shownWidth, height: shownHeight };
  const cut = blinking ? 1 : share;
  const beforeName =
    without && step ? `without: ${STEP_NAMES[step.kind].toLowerCase()}` : 'untouched';
  return (
    <>
      <Frame
        ref={frame}
        data-testid="patch"
        data-ms={ms ?? ''}
        data-made={made}
        aria-busy={busy}
      >
        <canvas ref={before} style={shown} aria-label={`Patch, ${beforeName}`} role="img" />
        <canvas
          ref={after}
          style={{ ...shown, clipPath: `inset(0 0 0 ${cut * 100}%)` }}
          aria-label="Patch, as it prints"
          role="img"
        />
        {made === 0 && !problem && (
          <p style={{ position: 'absolute', inset: '40% 0 auto', textAlign: 'center' }}>
            Reading the picture’s own pixels …
          </p>
        )}
        <b style={{ left: 6 }}>{beforeName}</b>
        {!blinking && shownWidth > 0 && (
          <>
            <b style={{ left: shownWidth - 6, transform: 'translateX(-100%)' }}>
              as it prints
            </b>
            <Split
              share={share}
              width={shownWidth}
              label="Line between untouched and as it prints"
              onShare={setShare}
            />
          </>
        )}
      </Frame>
      <Row>
        {box && (
          <PatchPlaceMap
            preview={master.preview}
            facts={facts}
            plan={plan}
            box={box}
            onMove={setCentre}
          />
        )}
        <div style={{ display: 'grid', gap: 7, flex: 1, minWidth: 0 }}>
          <div style={{ display: 'flex', gap: 10, flexWrap: 'wrap' }}>
            <div style={{ width: 230 }}>
              <Strips
                label="Held against"
                value={against}
                options={[
                  ['untouched', 'untouched'],
                  ['without', 'without this step'],
                ]}
                onChange={setAgainst}
              />
            </div>
            <div style={{ width: 110 }}>
              <Strips
                label="Print pixels on the screen"
                value={String(zoom)}
                options={[
                  ['1', '1 : 1'],
                  ['2', '2 : 1'],
                ]}
                onChange={(z) => setZoom(z === '2' ? 2 : 1)}
              />
            </div>
          </div>
          {box && (
            <span>
              {box.right - box.left} × {box.bottom - box.top} px of the print’s{' '}
              {plan.image.width} × {plan.image.height}, one print pixel to{' '}
              {zoom === 1 ? 'one' : 'two'} of the screen
              {ms !== null && `; made in ${format.number(ms)} ms`}
            </span>
          )}
          <span>
            Hold <kbd>b</kbd> to see it {beforeName.split(':')[0]}, <kbd>v</kbd> to go
            closer; drag the line, or step it with the arrow keys.
          </span>
          {without === false && against === 'without' && (
            <span>
              Unfold a step at the right: the line then shows what that step does.
            </span>
          )}
          {stepIn(recipe, 'adjust') && facts.colourModel === 'grey' && (
            <span>
              {ruleOf(recipe) === 1
                ? 'A grey picture has no warmth and no saturation: those are left alone.'
                : 'A grey picture has no saturation: it is left alone. Warmth tints it.'}
            </span>
          )}
          {problem && (
            <span role="alert" style={{ color: 'var(--brick)' }}>
              {problem}
            </span>
          )}
        </div>
      </Row>
    </>
  );
}
