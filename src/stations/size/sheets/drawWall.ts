import { LOOK_TILE } from '../lookSource';
import type { LookSource } from '../lookSource';
import type { Scene } from '@/core/size';
import { PERSON, SOFA } from '../figures';

export const windowsOf = (look: LookSource) => ({
  width: look.width,
  height: look.height,
  tileSize: LOOK_TILE,
  tileOverlap: 0,
  minLevel: 0,
  maxLevel: 0,
  getTileUrl: (_: number, x: number, y: number) => look.url(x * LOOK_TILE, y * LOOK_TILE),
});

/** Wall, sheets, sofa, person and floor, under the pixels of the prints. */
export function drawWall(
  pen: CanvasRenderingContext2D,
  scene: Scene,
  at: (x: number, y: number) => [number, number],
  scale: number,
) {
  const figure = (path: string, x: number, size: number, shade: string) => {
    const [left, foot] = at(x, scene.floor);
    pen.save();
    pen.translate(left, foot);
    pen.scale(size * scale, size * scale);
    pen.fillStyle = shade;
    pen.fill(new Path2D(path));
    pen.restore();
  };
  const [, floor] = at(0, scene.floor);
  pen.fillStyle = 'rgba(0,0,0,.16)';
  pen.fillRect(0, floor, pen.canvas.width, pen.canvas.height);
  figure(SOFA, scene.sofa.x, scene.sofa.width, '#7c7c7c');
  figure(PERSON, scene.person.x, scene.person.height, '#565656');
  for (const { fit, x, y } of scene.hung) {
    const [left, top] = at(x, y);
    const [w, h] = [fit.sheet.width * scale, fit.sheet.height * scale];
    pen.fillStyle = 'rgba(0,0,0,.25)';
    pen.fillRect(left + 1.5, top + 2, w, h);
    pen.fillStyle = '#fdfdfc';
    pen.fillRect(left, top, w, h);
  }
}
