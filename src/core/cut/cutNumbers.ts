import type { CutSheetPlan } from './types';

/**
 * Where the number of each cut stands: where the cut begins, beside the numbers that stand there
 * before it. `radius`, and what comes out, in mm; `within`: no number reaches beyond the sheet.
 * @example cutNumbers({ stock: 's', width: 10, length: 10, places: [], cuts: [{ x1: 4, y1: 0, x2: 4, y2: 10 }], rests: [], cost: null }, 1, true) // [{ x: 4, y: 1 }]
 */
export function cutNumbers(
  { width, length, cuts }: CutSheetPlan,
  radius: number,
  within: boolean,
): { x: number; y: number }[] {
  const inside = (v: number, most: number) =>
    within ? Math.min(Math.max(v, radius), most - radius) : v;
  const taken: { x: number; y: number }[] = [];
  for (const { x1, y1, x2 } of cuts) {
    const down = Math.abs(x1 - x2) < 1e-6;
    const [stepX, stepY] = down ? [0, radius] : [radius, 0];
    let [x, y] = [inside(x1, width), inside(y1, length)];
    while (taken.some((t) => Math.hypot(t.x - x, t.y - y) < 2 * radius - 1e-9))
      [x, y] = [x + stepX, y + stepY];
    taken.push({ x, y });
  }
  return taken;
}
