import { mm } from '../../units';
import type { Millimetres, Size } from '../../units';

/** Two equal lights, one on each side of the work, at the height of its centre. */
export interface LightPlan {
  /** From the work's centre to each light. */
  distance: Millimetres;
  /** Where each light stands: beside the work's centre, and in front of its plane. */
  aside: Millimetres;
  before: Millimetres;
  /** Brightest over darkest point of the work, in stops. */
  stops: number;
}

const STEPS = 24;

/**
 * Falloff over a work, stops: illuminance of each light = cos(incidence) / distance squared
 * (inverse square and Lambert's cosine law), taken over a grid. Lights count as points that
 * shine alike in all directions.
 * @example lightFalloff(size(400, 500), 1500, 45) // 0.115
 */
export function lightFalloff(work: Size, distance: number, angleDegrees: number): number {
  const a = (angleDegrees * Math.PI) / 180;
  const aside = distance * Math.sin(a);
  const before = distance * Math.cos(a);
  let darkest = Infinity;
  let brightest = 0;
  for (let i = 0; i <= STEPS; i += 1)
    for (let j = 0; j <= STEPS; j += 1) {
      const x = (i / STEPS - 0.5) * work.width;
      const y = (j / STEPS - 0.5) * work.height;
      let light = 0;
      for (const side of [-1, 1]) {
        const far = Math.hypot(x - side * aside, y, before);
        light += before / far ** 3;
      }
      darkest = Math.min(darkest, light);
      brightest = Math.max(brightest, light);
    }
  return Math.log2(brightest / darkest);
}

/** The nearest place of two lights at which the falloff is good; found by bisection. */
export function placeLights(
  work: Size,
  angleDegrees: number,
  goodStops: number,
): LightPlan {
  let near = Math.hypot(work.width, work.height) / 10;
  let far = Math.hypot(work.width, work.height) * 50;
  for (let i = 0; i < 60; i += 1) {
    const middle = (near + far) / 2;
    if (lightFalloff(work, middle, angleDegrees) <= goodStops) far = middle;
    else near = middle;
  }
  const a = (angleDegrees * Math.PI) / 180;
  return {
    distance: mm(far),
    aside: mm(far * Math.sin(a)),
    before: mm(far * Math.cos(a)),
    stops: lightFalloff(work, far, angleDegrees),
  };
}
