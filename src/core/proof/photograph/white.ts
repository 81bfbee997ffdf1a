import type { Place } from '../../capture/geometry';
import type { Vector } from '../../colour';
import { GROUPS, lightIn } from './cells';
import type { Cell, LinearPicture } from './cells';
import { fieldAt, lightField } from './lightField';
import type { LightField, LightSample } from './lightField';
import { perspectivePoint } from './perspective';
import type { Way } from './perspective';

/** A grey card: its place in the photograph, pixels, and what part of the light it throws back. */
export interface GreyCard extends Place {
  reflectance: number;
}

/** Light of a channel below which a part says nothing of the fall of light. */
const DARK = 0.004;
const { abs, log, max } = Math;

/** How far outside of a picture its white border is looked for, shares of its longer side. */
const RINGS = [0.007, 0.012, 0.02, 0.03];
const ALONG_SIDE = 48;
/** A border is of one light: most of it, within so much (logarithm). */
const OF_ONE_LIGHT = 0.05;
const MOST_OF_IT = 0.6;

/** Light in the border around a picture, where it is of one colour all around. */
export function borderOf(
  picture: LinearPicture,
  photograph: LinearPicture,
  way: Way,
): LightSample[][] {
  const side = max(picture.width, picture.height);
  const channels: LightSample[][] = [[], [], []];
  let taken: LightField | null = null;
  for (const share of RINGS) {
    const out = share * side;
    const places: Place[] = [];
    for (let k = 0; k < ALONG_SIDE; k += 1) {
      const [x, y] = [picture.width, picture.height].map(
        (v) => (v * (k + 0.5)) / ALONG_SIDE,
      ) as [number, number];
      places.push({ x, y: -out }, { x, y: picture.height + out });
      places.push({ x: -out, y }, { x: picture.width + out, y });
    }
    const ring: LightSample[][] = [[], [], []];
    for (const place of places) {
      const light: Vector = [0, 0, 0];
      let n = 0;
      const reach = 0.003 * side;
      let inside = true;
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          const at = perspectivePoint(way, place.x + dx * reach, place.y + dy * reach);
          inside &&=
            at.x > 1 &&
            at.y > 1 &&
            at.x < photograph.width - 1 &&
            at.y < photograph.height - 1;
          if (!inside) continue;
          lightIn(photograph, at.x, at.y, light);
          n += 1;
        }
      if (!inside || light.some((v) => v / n < DARK)) continue;
      const at = perspectivePoint(way, place.x, place.y);
      light.forEach((v, c) =>
        ring[c]!.push({
          x: (2 * at.x) / photograph.width - 1,
          y: (2 * at.y) / photograph.height - 1,
          value: log(v / n),
          weight: 1,
          group: null,
        }),
      );
    }
    const green = ring[1]!;
    if (green.length < places.length * 0.4) continue;
    const field = lightField(green, 0);
    const near = green.map((s) => abs(s.value - fieldAt(field, s.x, s.y)) < OF_ONE_LIGHT);
    if (near.filter(Boolean).length < MOST_OF_IT * green.length) continue;
    const first = taken;
    if (
      first &&
      green.some(
        (s) => abs(fieldAt(field, s.x, s.y) - fieldAt(first, s.x, s.y)) > OF_ONE_LIGHT,
      )
    )
      continue;
    taken ??= field;
    ring.forEach((list, c) => channels[c]!.push(...list.filter((_, i) => near[i])));
  }
  return channels;
}

/** Light of a grey card, as if it were white. */
export function cardOf(
  { x, y, reflectance }: GreyCard,
  photograph: LinearPicture,
): LightSample[][] {
  const light: Vector = [0, 0, 0];
  let n = 0;
  const reach = max(2, max(photograph.width, photograph.height) / 250);
  for (let dy = -2; dy <= 2; dy += 1)
    for (let dx = -2; dx <= 2; dx += 1, n += 1)
      lightIn(photograph, x + (dx * reach) / 2, y + (dy * reach) / 2, light);
  return light.map((v) => [
    {
      x: (2 * x) / photograph.width - 1,
      y: (2 * y) / photograph.height - 1,
      value: log(max(1e-5, v / n / reflectance)),
      weight: 1,
      group: null,
    },
  ]);
}

/** The fall of light by channel, from the parts of pictures and what is known to be white. */
export function fieldsOf(
  pictures: readonly Cell[][],
  white: readonly LightSample[][],
): LightField[] {
  return [0, 1, 2].map((c) => {
    const samples: LightSample[] = [];
    let weight = 0;
    pictures.forEach((cells, p) =>
      cells.forEach((cell) => {
        const [own, seen] = [cell.master[c as 0], cell.seen[c as 0]];
        if (own < DARK || seen < DARK) return;
        const w = (own / (own + 0.02)) * (cell.even ? 1 : 0.4);
        weight += w;
        samples.push({
          x: cell.x,
          y: cell.y,
          value: log(seen / own),
          weight: w,
          group: cell.group + p * GROUPS,
        });
      }),
    );
    const known = white[c]!;
    // What is white counts as much as all that is printed.
    const each = max(1, weight) / max(1, known.length);
    samples.push(...known.map((s) => ({ ...s, weight: each })));
    return lightField(samples, GROUPS * pictures.length);
  });
}
