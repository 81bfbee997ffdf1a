import { fitted, lightAt } from './plane';
import type { LightPlane } from './plane';
import { areaOf, cornersOf, scaledWay } from './perspective';
import type { Way } from './perspective';

/** Pixels of the longer sides that are searched. */
const PICTURE = 36;
const PHOTOGRAPH = 96;
/** Degrees that a photograph is turned by, and the share of it that the picture takes, one after another. */
const TURNED = [-9, -6, -3, 0, 3, 6, 9];
const LARGEST = 1.08;
const SMALLER = 0.93;
const SMALLEST = 0.3;
const { PI, cos, max, min, sin, sqrt } = Math;

interface Likely {
  way: Way;
  alike: number;
}

/**
 * Where a picture could lie in a photograph that shows nothing to go by: laid over it at every size,
 * turn and place, both made small, and held against it. The likeliest first, of places of their own; ways
 * of the picture's own pixels.
 */
export function likelyWays(
  picture: LightPlane,
  photograph: LightPlane,
  most = 5,
): Likely[] {
  const small = fitted(picture, PICTURE);
  const seen = fitted(photograph, PHOTOGRAPH);
  const { width, height, data } = small;
  const places: { x: number; y: number; light: number }[] = [];
  let mean = 0;
  for (let y = 0; y < height; y += 2)
    for (let x = 0; x < width; x += 2) {
      const light = data[y * width + x]!;
      places.push({ x: x + 0.5 - width / 2, y: y + 0.5 - height / 2, light });
      mean += light;
    }
  mean /= places.length;
  let own = 0;
  for (const p of places) {
    p.light -= mean;
    own += p.light ** 2;
  }
  if (own / places.length < 1) return [];
  const found: Likely[] = [];
  const room = min(seen.width / width, seen.height / height);
  for (const degrees of TURNED)
    for (let size = LARGEST * room; size > SMALLEST * room; size *= SMALLER) {
      const [c, s] = [cos((degrees * PI) / 180) * size, sin((degrees * PI) / 180) * size];
      const turned = places.map((p) => ({
        x: c * p.x - s * p.y,
        y: s * p.x + c * p.y,
        light: p.light,
      }));
      const [rx, ry] = [(width * size) / 2, (height * size) / 2].map((v) => v * 0.94) as [
        number,
        number,
      ];
      const step = max(1, size * 0.8);
      let best: { x: number; y: number; alike: number } | null = null;
      for (
        let y = min(ry, seen.height / 2);
        y <= max(seen.height - ry, seen.height / 2);
        y += step
      )
        for (
          let x = min(rx, seen.width / 2);
          x <= max(seen.width - rx, seen.width / 2);
          x += step
        ) {
          let [sum, squares, both] = [0, 0, 0];
          for (const p of turned) {
            const light = lightAt(seen, x + p.x, y + p.y);
            sum += light;
            squares += light * light;
            both += light * p.light;
          }
          const other = squares - (sum * sum) / turned.length;
          const alike = other > 0 ? both / sqrt(own * other) : 0;
          if (!best || alike > best.alike) best = { x, y, alike };
        }
      if (!best) continue;
      const [mx, my] = [width / 2, height / 2];
      const way = [
        c,
        -s,
        best.x - c * mx + s * my,
        s,
        c,
        best.y - s * mx - c * my,
        0,
        0,
        1,
      ];
      found.push({
        alike: best.alike,
        way: scaledWay(way, [small, picture], [seen, photograph]),
      });
    }
  const kept: Likely[] = [];
  const cornersAt = (l: Likely) => cornersOf(l.way, picture.width, picture.height);
  for (const likely of found.sort((a, b) => b.alike - a.alike)) {
    if (kept.length >= most) break;
    const corners = cornersAt(likely);
    const near = 0.06 * sqrt(areaOf(corners));
    const apart = kept.every((k) =>
      cornersAt(k).some(
        (p, i) => Math.hypot(p.x - corners[i]!.x, p.y - corners[i]!.y) > near,
      ),
    );
    if (apart) kept.push(likely);
  }
  return kept;
}
