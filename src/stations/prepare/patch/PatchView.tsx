'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import { stepIn } from '@/core/prepare';
import type { PrintPlan, Recipe } from '@/core/prepare';
import { isTyping } from '@/shell/actions';
import { Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import type { MasterView } from '@/studio/reads/workPage';
import { STEP_NAMES } from '../words';
import { PatchPlaceMap } from './PatchPlaceMap';
import { usePatch } from './usePatch';
import type { PatchWish } from './usePatch';

const MOST = { width: 1000, height: 800 };
/** Most pixels of the picture under a patch: what is read and sent stays under 50 MB. */
const MOST_SOURCE = 7e6;

const Frame = styled.div`
  position: relative;
  flex: 1;
  min-height: 220px;
  overflow: hidden;
  canvas {
    position: absolute;
    left: 0;
    top: 0;
    image-rendering: pixelated;
  }
  > b {
    position: absolute;
    top: 6px;
    padding: 2px 7px;
    font: 500 11.5px 'Commissioner';
    background: rgba(255, 255, 255, 0.85);
    white-space: nowrap;
    color: #161616;
  }
`;

const Split = styled.div`
  position: absolute;
  top: 0;
  bottom: 0;
  width: 15px;
  margin-left: -7px;
  cursor: ew-resize;
  touch-action: none;
  &::after {
    content: '';
    position: absolute;
    inset: 0 7px;
    background: #fff;
    outline: 1px solid #161616;
  }
  &:focus-visible {
    outline: 2px solid var(--blue);
  }
`;

const Row = styled.div`
  display: flex;
  gap: 14px;
  align-items: flex-start;
  font-size: 12.5px;
`;

/** What the print is held against. */
type Against = 'untouched' | 'without';

interface PatchViewProps {
  master: MasterView;
  plan: PrintPlan;
  recipe: Recipe;
  /** The step that is unfolded; -1 for none. */
  at: number;
}

/** The recipe with nothing but its resizing; as the picture would be without any of it. */
const untouched = (recipe: Recipe): Pick<Recipe, 'steps'> => ({
  steps: recipe.steps.filter((s) => s.kind === 'resample'),
});

const tableUrl = (id: number, convert: Recipe['convert'] | null) =>
  `/api/patch-colours/${id}?target=${convert?.target ?? ''}&intent=${convert?.intent ?? 'relative'}&blackPoint=${convert?.blackPoint === false ? 'no' : 'yes'}`;

/** Room on the table, in whole pixels of the screen. */
function useRoom() {
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<{ width: number; height: number; dense: number } | null>(
    null,
  );
  useEffect(() => {
    if (!frame.current) return;
    const look = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      const dense = window.devicePixelRatio;
      setRoom({
        width: Math.min(MOST.width, Math.floor(width * dense)),
        height: Math.min(MOST.height, Math.floor(height * dense)),
        dense,
      });
    });
    look.observe(frame.current);
    return () => look.disconnect();
  }, []);
  return { frame, room };
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

  const box = useMemo(() => {
    if (!room) return null;
    const { image, factor } = plan;
    const fit = Math.min(
      1,
      Math.sqrt(MOST_SOURCE / ((room.width * room.height) / factor ** 2)),
    );
    const side = (length: number, whole: number) =>
      Math.max(1, Math.min(whole, Math.floor((length / zoom) * fit)));
    const width = side(room.width, image.width);
    const height = side(room.height, image.height);
    const from = (c: number, whole: number, length: number) =>
      Math.round(Math.min(whole - length, Math.max(0, c * whole - length / 2)));
    const left = from(centre.x, image.width, width);
    const top = from(centre.y, image.height, height);
    return { left, top, right: left + width, bottom: top + height };
  }, [room, plan, zoom, centre]);

  const wish = useMemo<PatchWish | null>(() => {
    if (!box) return null;
    const channels = facts.colourModel === 'grey' ? 1 : 3;
    const shape = { width: facts.width, height: facts.height, channels };
    const table = tableUrl(id, recipe.convert);
    return {
      master: id,
      shape,
      plan: { image: plan.image, source: plan.source },
      patch: box,
      split: share,
      at,
      after: { recipe, table },
      before: without
        ? {
            recipe: {
              steps: recipe.steps.map((s, i) =>
                i === at && s.kind !== 'resample' ? { ...s, on: false } : s,
              ),
            },
            table,
          }
        : { recipe: untouched(recipe), table: tableUrl(id, null) },
    };
  }, [box, facts, id, plan, recipe, without, at, share]);
  const { before, after, ms, made, busy, problem } = usePatch(wish);

  const key = useCallback((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    const down = event.type === 'keydown';
    if (event.key === 'b') setBlinking(down);
    else if (event.key === 'v' && down) setZoom((z) => (z === 1 ? 2 : 1));
    else return;
    event.preventDefault();
  }, []);
  useEffect(() => {
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', key);
    return () => {
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', key);
    };
  }, [key]);

  const slide = (event: React.PointerEvent) => {
    const rect = frame.current?.getBoundingClientRect();
    if (rect && event.buttons === 1)
      setShare(Math.min(1, Math.max(0, (event.clientX - rect.left) / shownWidth)));
  };
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
              role="slider"
              aria-label="Line between untouched and as it prints"
              aria-valuemin={0}
              aria-valuemax={100}
              aria-valuenow={Math.round(share * 100)}
              tabIndex={0}
              style={{ left: share * shownWidth }}
              onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
              onPointerMove={slide}
              onKeyDown={(e) => {
                const by = { ArrowLeft: -0.05, ArrowRight: 0.05 }[e.key];
                if (by) setShare(Math.min(1, Math.max(0, share + by)));
              }}
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
              A grey picture has no warmth and no saturation: those are left alone.
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
