import { LOOK } from './keypoints';
import type { Keypoints } from './keypoints';
import { fitPerspective, perspectivePoint } from './perspective';
import type { PairedPoint, Way } from './perspective';

/** The second best look must be so much farther off than the best. */
const RATIO = 0.88;
const { PI, abs, cos, hypot, log, max, min, sin } = Math;

interface Match extends PairedPoint {
  /** How much larger and how far turned the place is in the photograph. */
  scale: number;
  turn: number;
}

/** For each place of one the place of the other that looks most like it, where no second does. */
function nearestLooks(one: Keypoints, other: Keypoints): Int32Array {
  const nearest = new Int32Array(one.count).fill(-1);
  for (let i = 0; i < one.count; i += 1) {
    const from = i * LOOK;
    let [best, second, at] = [-1, -1, -1];
    for (let j = 0; j < other.count; j += 1) {
      const to = j * LOOK;
      let like = 0;
      for (let k = 0; k < LOOK; k += 1) like += one.looks[from + k]! * other.looks[to + k]!;
      if (like > best) {
        // A place that has two angles is no second of its own.
        const same = at >= 0 && other.x[at] === other.x[j] && other.y[at] === other.y[j];
        second = same ? second : best;
        [best, at] = [like, j];
      } else if (
        like > second &&
        (other.x[at] !== other.x[j] || other.y[at] !== other.y[j])
      )
        second = like;
    }
    if (1 - best < RATIO * RATIO * (1 - second)) nearest[i] = at;
  }
  return nearest;
}

/** Places of a picture with the places of a photograph that look like them. */
export function matchesOf(picture: Keypoints, photograph: Keypoints): Match[] {
  return Array.from(nearestLooks(picture, photograph)).flatMap((j, i) =>
    j < 0
      ? []
      : [
          {
            x: picture.x[i]!,
            y: picture.y[i]!,
            toX: photograph.x[j]!,
            toY: photograph.y[j]!,
            scale: photograph.size[j]! / picture.size[i]!,
            turn: photograph.angle[j]! - picture.angle[i]!,
          },
        ],
  );
}

/** How far places may lie from where one pair says they lie: a share of the picture; later, of a perspective. */
const COARSE = 0.06;
const FINE = [0.04, 0.025, 0.015, 0.01, 0.006];
const LEAST = 6;

const turnApart = (a: number, b: number) => abs(((a - b + 3 * PI) % (2 * PI)) - PI);

/** Matches that agree with what one of them says of place, size and turn. */
function agreeing(matches: readonly Match[], by: Match, side: number): Match[] {
  const [c, s] = [cos(by.turn) * by.scale, sin(by.turn) * by.scale];
  const far = COARSE * side * by.scale;
  return matches.filter((m) => {
    const [dx, dy] = [m.x - by.x, m.y - by.y];
    return (
      abs(log(m.scale / by.scale)) < 0.5 &&
      turnApart(m.turn, by.turn) < 0.45 &&
      hypot(by.toX + c * dx - s * dy - m.toX, by.toY + s * dx + c * dy - m.toY) <
        far + 0.15 * by.scale * hypot(dx, dy)
    );
  });
}

/**
 * Where a picture lies in a photograph, by matches of their places: what most of them agree on; a
 * perspective of the picture's pixels. Null where too few agree. `side`: the picture's longer side.
 */
export function agreedWay(matches: readonly Match[], side: number): Way | null {
  let best: Match[] = [];
  for (const match of matches) {
    const agreed = agreeing(matches, match, side);
    if (agreed.length > best.length) best = agreed;
  }
  if (best.length < LEAST) return null;
  const scale = best.map((m) => m.scale).sort((a, b) => a - b)[best.length >> 1]!;
  let way = fitPerspective(best);
  for (const share of FINE) {
    if (!way) return null;
    const far = max(2, share * side * scale);
    const now = way;
    const near = matches.filter((m) => {
      const at = perspectivePoint(now, m.x, m.y);
      return (
        hypot(at.x - m.toX, at.y - m.toY) < far && turnApart(m.turn, best[0]!.turn) < 1
      );
    });
    if (near.length < LEAST) return null;
    way = fitPerspective(near);
    best = near;
  }
  const wide = (of: (m: Match) => number) => max(...best.map(of)) - min(...best.map(of));
  // Places all in one corner say nothing of the others.
  return hypot(
    wide((m) => m.x),
    wide((m) => m.y),
  ) >
    0.2 * side
    ? way
    : null;
}
