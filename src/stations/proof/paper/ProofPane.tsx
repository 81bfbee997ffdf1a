'use client';
import type { TiledImage, Viewer } from 'openseadragon';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { RefObject } from 'react';
import styled from 'styled-components';
import {
  WIDE_SCREEN,
  ZoomFrame,
  ZoomGlass,
  drawOver,
  seenOf,
  wideDrawer,
} from '@/shell/drawing';
import type { Overlay } from '@/shell/drawing';
import { FirstSight } from './FirstSight';
import { SplitLine } from './SplitLine';
import { firstTile, proofTiles } from '@/shell/drawing';
import type { ProofPicture, Shown } from '@/shell/drawing';

const Label = styled.span<{ $right?: boolean }>`
  position: absolute;
  top: 6px;
  ${({ $right }) => ($right ? 'right: 6px' : 'left: 6px')};
  padding: 1px 7px;
  font-size: 12px;
  background: rgba(255, 255, 255, 0.85);
  pointer-events: none;
`;

/** Fetched with this view, not when a pane is first drawn. */
const viewerCode = typeof window === 'undefined' ? null : import('openseadragon');

/** The pane that the others follow: the one under the pointer. */
let moving: Viewer | null = null;

interface PaneProps {
  picture: ProofPicture;
  /** What lies below, and what lies over it from the line on. */
  under: Shown;
  over: Shown | null;
  labels: readonly [string, string];
  /** The line between both, 0..1 of the picture's width. */
  split: number;
  onSplit?: ((share: number) => void) | undefined;
  draw?: Overlay | undefined;
  lookAt: { x: number; y: number } | null;
  /** Panes that move together. */
  group: RefObject<Set<Viewer>>;
  said: string;
  /** The first of its tiles is drawn. */
  onShown: () => void;
}

/** A picture as it would print, at any scale up to its own pixels, beside itself or another of it. */
export function ProofPane(props: PaneProps) {
  const { picture, under, over, labels, split, onSplit, draw, lookAt, group, said } = props;
  const glass = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLCanvasElement>(null);
  const line = useRef<HTMLDivElement>(null);
  const viewer = useRef<Viewer | null>(null);
  const redraw = useRef<() => void>(() => undefined);
  const show = useRef<(index: 0 | 1, shown: Shown | null) => void>(() => undefined);
  const [drawn, setDrawn] = useState(false);
  const latest = useRef(props);
  latest.current = props;
  const { masterId, width, height, tile, top } = picture;
  const wide = under.screen === WIDE_SCREEN;
  useEffect(() => {
    let gone = false;
    const all = group.current;
    void viewerCode?.then(({ default: OSD }) => {
      if (gone || !glass.current) return;
      const own = { masterId, width, height, tile, top };
      const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
      const made = OSD({
        element: glass.current,
        showNavigationControl: false,
        animationTime: still ? 0 : 0.3,
        maxZoomPixelRatio: 4,
        visibilityRatio: 0.6,
        drawer: wide ? wideDrawer(OSD) : 'canvas',
        gestureSettingsMouse: { clickToZoom: false, dblClickToZoom: true },
      });
      viewer.current = made;
      all.add(made);
      /** What lies below, and what lies over it. */
      const items: [TiledImage | null, TiledImage | null] = [null, null];
      redraw.current = () => {
        const seen = seenOf(made, OSD.Point);
        if (!seen) return;
        const { split: share, over: above, draw: paint } = latest.current;
        items[1]?.setClip(new OSD.Rect(width * share, 0, width * (1 - share), height));
        drawOver(sheet.current, seen, paint);
        if (line.current) {
          const foot = Math.min(seen.height, seen.top + height * seen.scale);
          line.current.style.left = `${seen.left + width * share * seen.scale}px`;
          line.current.style.top = `${Math.max(0, seen.top)}px`;
          line.current.style.height = `${foot - Math.max(0, seen.top)}px`;
          line.current.hidden = above === null;
        }
      };
      const asked: [Shown | null, Shown | null] = [null, null];
      show.current = (index, shown) => {
        asked[index] = shown;
        const leave = () => {
          const before = items[index];
          items[index] = null;
          if (before) made.world.removeItem(before);
        };
        if (!shown) return leave();
        // What is there stays until its successor can be seen.
        const first = new Image();
        first.onload = first.onerror = () => {
          const wanted = () => !gone && asked[index] === shown;
          if (!wanted()) return;
          made.addTiledImage({
            tileSource: proofTiles(own, shown),
            success: (event) => {
              const { item } = event as unknown as { item: TiledImage };
              if (!wanted()) return made.world.removeItem(item);
              if (index === 0) made.world.setItemIndex(item, 0);
              leave();
              items[index] = item;
              redraw.current();
            },
          });
        };
        first.src = firstTile(own, shown);
      };
      made.addHandler('update-viewport', () => {
        redraw.current();
        if (made !== moving) return;
        for (const other of all)
          if (other !== made) other.viewport.fitBounds(made.viewport.getBounds(), true);
      });
      made.addOnceHandler('tile-drawn', () => {
        setDrawn(true);
        latest.current.onShown();
      });
      const takes = () => (moving = made);
      made.element.addEventListener('pointerenter', takes);
      made.element.addEventListener('focusin', takes);
      moving ??= made;
      show.current(0, latest.current.under);
      if (latest.current.over) show.current(1, latest.current.over);
    });
    return () => {
      gone = true;
      show.current = () => undefined;
      const made = viewer.current;
      if (!made) return;
      all.delete(made);
      if (moving === made) moving = null;
      made.destroy();
      viewer.current = null;
    };
  }, [masterId, width, height, tile, top, wide, group]);
  const [below, above] = [JSON.stringify(under), JSON.stringify(over)];
  useEffect(() => show.current(0, JSON.parse(below) as Shown), [below]);
  useEffect(() => show.current(1, JSON.parse(above) as Shown | null), [above]);
  useLayoutEffect(() => redraw.current(), [draw, split]);
  const [x, y] = [lookAt?.x ?? null, lookAt?.y ?? null];
  useEffect(() => {
    const item = viewer.current?.world.getItemAt(0);
    if (!viewer.current || !item) return;
    const { viewport } = viewer.current;
    moving = viewer.current;
    if (x === null || y === null) return void viewport.goHome();
    viewport.zoomTo(item.imageToViewportZoom(1));
    viewport.panTo(item.imageToViewportCoordinates(x * width, y * height));
  }, [x, y, width, height]);
  return (
    <ZoomFrame>
      {!drawn && <FirstSight {...{ picture, under, over, split }} />}
      <ZoomGlass ref={glass} role="img" aria-label={said} data-testid="proof-glass" />
      <canvas ref={sheet} aria-hidden data-testid="proof-marks" />
      {onSplit && (
        <SplitLine
          line={line}
          split={split}
          sheet={sheet}
          picture={picture}
          onSplit={onSplit}
        />
      )}
      {labels[0] && (over === null || split > 0.02) && <Label>{labels[0]}</Label>}
      {labels[1] && over !== null && split < 0.98 && <Label $right>{labels[1]}</Label>}
    </ZoomFrame>
  );
}
