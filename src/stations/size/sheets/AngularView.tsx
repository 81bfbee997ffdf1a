'use client';
import type { Viewer } from 'openseadragon';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { pictureTiles } from '@/shell/drawing';
import type { TiledPicture } from '@/shell/drawing';
import type { LookSource } from '../lookSource';
import type { Hung, Scene } from '@/core/size';
import { windowsOf, drawWall } from './drawWall';

const Frame = styled.div`
  position: relative;
  flex: 1;
  min-height: 220px;
  background: var(--table);
  border: 1px solid var(--line);
  overflow: hidden;
  > canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  > div {
    position: absolute;
    inset: 0;
  }
`;

interface AngularViewProps {
  scene: Scene;
  /** The picture's own tiles: what is seen until the print's windows come. */
  tiles: TiledPicture;
  /** CSS pixels for each millimetre of the wall. */
  scale: number;
  /** The windows of a print at that scale. */
  look: (print: Hung) => LookSource;
  /** What is looked at first. */
  centre: Hung;
  label: string;
}

/** Prints on a wall at the angle they subtend: dragged and moved by arrow keys, never scaled but by stepping. */
export function AngularView({
  scene,
  tiles,
  scale,
  look,
  centre,
  label,
}: AngularViewProps) {
  const glass = useRef<HTMLDivElement>(null);
  const wall = useRef<HTMLCanvasElement>(null);
  const viewer = useRef<Viewer | null>(null);
  const latest = useRef({ scene, tiles, scale, look, centre });
  latest.current = { scene, tiles, scale, look, centre };
  const hang = useRef<() => void>(() => undefined);
  useEffect(() => {
    let gone = false;
    void import('openseadragon').then(({ default: OSD }) => {
      if (gone || !glass.current) return;
      const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
      const made = OSD({
        element: glass.current,
        // Nothing is turned or blended: the plain canvas is there at once.
        drawer: 'canvas',
        showNavigationControl: false,
        animationTime: still ? 0 : 0.25,
        maxZoomPixelRatio: Infinity,
        minZoomImageRatio: 0,
        visibilityRatio: 0,
        // What is added never moves what is seen.
        preserveViewport: true,
        imageLoaderLimit: 6,
        gestureSettingsMouse: {
          clickToZoom: false,
          dblClickToZoom: false,
          scrollToZoom: false,
          pinchToZoom: false,
        },
        gestureSettingsTouch: { pinchToZoom: false, dblClickToZoom: false },
      });
      viewer.current = made;
      // Arrow keys move; the scale is changed by stepping alone.
      made.addHandler('canvas-key', (event) => {
        const { key } = event.originalEvent;
        if (!key.startsWith('Arrow')) event.preventDefaultAction = true;
        event.preventVerticalPan = false;
      });
      const draw = () => {
        const canvas = wall.current;
        const pen = canvas?.getContext('2d');
        if (!canvas || !pen) return;
        const sharp = window.devicePixelRatio;
        const { clientWidth, clientHeight } = made.element;
        canvas.width = Math.round(clientWidth * sharp);
        canvas.height = Math.round(clientHeight * sharp);
        pen.setTransform(sharp, 0, 0, sharp, 0, 0);
        const origin = made.viewport.viewportToViewerElementCoordinates(
          new OSD.Point(0, 0),
        );
        const now = made.viewport.getZoom(true) * clientWidth;
        drawWall(
          pen,
          latest.current.scene,
          (x, y) => [origin.x + x * now, origin.y + y * now],
          now,
        );
        canvas.dataset.scale = now.toFixed(4);
      };
      made.addHandler('update-viewport', draw);
      made.addHandler('resize', () => hang.current());
      let shown: string | null = null;
      hang.current = () => {
        const { scene: s, tiles: t, scale: k, look: l, centre: c } = latest.current;
        const { world, viewport } = made;
        viewport.zoomTo(k / made.element.clientWidth, undefined, true);
        if (shown !== c.key) {
          const { fit } = c;
          viewport.panTo(
            new OSD.Point(c.x + fit.sheet.width / 2, c.y + fit.sheet.height / 2),
            true,
          );
          shown = c.key;
        }
        world.removeAll();
        for (const print of s.hung) {
          const { crop, image, left, above } = print.fit;
          const whole = {
            width: image.width / crop.width,
            height: image.height / crop.height,
          };
          const [x, y] = [print.x + left, print.y + above];
          made.addTiledImage({
            tileSource: pictureTiles(t),
            x: x - crop.left * whole.width,
            y: y - crop.top * whole.height,
            width: whole.width,
            clip: new OSD.Rect(
              crop.left * t.width,
              crop.top * t.height,
              crop.width * t.width,
              crop.height * t.height,
            ),
          });
          made.addTiledImage({ tileSource: windowsOf(l(print)), x, y, width: image.width });
        }
        draw();
      };
      const frame = made.element;
      /** For who waits for them: whether all that is seen has come, of the picture's own tiles and of the windows. */
      const whole = () => {
        const items = Array.from({ length: made.world.getItemCount() }, (_, i) =>
          made.world.getItemAt(i),
        );
        const there = (windows: boolean) =>
          items
            .filter((item) => (item.source.maxLevel === 0) === windows)
            .every((item) => item.getFullyLoaded());
        frame.dataset.whole = `${there(false) ? 'pixels' : ''} ${there(true) ? 'windows' : ''}`;
      };
      made.world.addHandler('add-item', (event) =>
        event.item.addHandler('fully-loaded-change', whole),
      );
      made.addHandler('tile-loaded', (event) => {
        // For who waits for them: the picture's own tiles first, the print's windows then.
        frame.dataset[event.tile.getUrl().includes('/looks/') ? 'windows' : 'pixels'] =
          'there';
      });
      hang.current();
    });
    return () => {
      gone = true;
      viewer.current?.destroy();
      viewer.current = null;
    };
  }, []);
  const key = JSON.stringify([
    scene.hung.map((h) => [
      h.key,
      h.x,
      h.y,
      h.fit.image,
      h.fit.crop,
      h.fit.left,
      h.fit.above,
    ]),
    tiles.sha256,
    scale,
    centre.key,
  ]);
  useEffect(() => hang.current(), [key]);
  return (
    <Frame>
      <canvas ref={wall} aria-hidden data-testid="wall" />
      <div ref={glass} role="img" aria-label={label} data-testid="angular" />
    </Frame>
  );
}
