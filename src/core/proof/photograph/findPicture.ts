import type { Corners, Place } from '../../capture/geometry';
import { agreementOf, isThere } from './agreement';
import type { Agreement } from './agreement';
import { aligned, halvesOf, templateOf, templatesOf } from './align';
import type { Halves, Template } from './align';
import { keypointsOf, pointsWhere } from './keypoints';
import type { Keypoints } from './keypoints';
import { agreedWay, matchesOf } from './matching';
import {
  areaOf,
  cornersOf,
  isSeen,
  perspectivePoint,
  scaledWay,
  wayTo,
} from './perspective';
import type { Way } from './perspective';
import { fitted, longSide, mirrored, quartered } from './plane';
import type { LightPlane } from './plane';
import { likelyWays } from './search';

/** A picture found in a photograph. */
export interface Found {
  /** From the picture's pixels to those of the photograph. */
  way: Way;
  corners: Corners;
  agreement: Agreement;
  /** How far parts lie off, mean and most, pixels of a picture whose longer side has 2000. */
  off: number;
  mostOff: number;
}

/** Why a picture is not found in a photograph. */
export type NotFound =
  /** The picture, but turned: quarters clockwise, 1 to 3. */
  | { code: 'turned'; quarters: 1 | 2 | 3 }
  /** As in a mirror, perhaps turned, too. */
  | { code: 'mirrored' }
  /** What is to be found is too plain, or what is photographed is. */
  | { code: 'plain' }
  /** Smaller in the photograph than can be compared: its longer side, pixels. */
  | { code: 'small'; side: number }
  | { code: 'other' };

/** Places of a picture below which they may not be enough to know it by. */
const FEW_PLACES = 150;

/** A side of a photograph. */
export type Side = 'left' | 'right';

/** Longer sides, pixels, at which places are sought, and at which a picture is laid over, from coarse to fine. */
const SOUGHT = [
  { picture: 520, photograph: 900, places: 900 },
  { picture: 800, photograph: 1600, places: 1500 },
] as const;
type Closeness = (typeof SOUGHT)[number];
const LAID = { side: 1000, sizes: 4, coarse: 2 };
const SHOWN = 2000;
/** The shortest longer side of a picture in a photograph that is compared, pixels. */
export const LEAST_SIDE = 150;

/** A picture that is laid over a photograph: at several sizes, the largest first. */
interface Laying {
  picture: LightPlane;
  templates: readonly Template[];
  halves: Halves;
}

/**
 * Lays a picture over a photograph from a way that is nearly right, from a size on down to the largest;
 * null where it is not seen there. `first`: which of the sizes is begun with; below 0: it lies as it is said.
 */
function laid(
  { picture, templates, halves }: Laying,
  from: Way,
  first: number,
): Found | null {
  const whole = halves[0]!;
  const same = [whole, whole] as const;
  let way = from;
  for (let at = first; at >= 0; at -= 1) {
    const template = templates[at]!;
    const { plane } = template;
    const closer = aligned(template, halves, scaledWay(way, [picture, plane], same));
    // What is plainly not there is not looked at more closely.
    if (at === 2 && agreementOf(template, halves, closer).alike < 0.25) return null;
    way = scaledWay(closer, [plane, picture], same);
    if (!isSeen(cornersOf(way, picture.width, picture.height))) return null;
  }
  const [template] = templates as [Template];
  const own = scaledWay(way, [picture, template.plane], same);
  const agreement = agreementOf(template, halves, own);
  const shown = SHOWN / longSide(template.plane);
  return {
    way,
    corners: cornersOf(way, picture.width, picture.height),
    agreement,
    off: agreement.off * shown,
    mostOff: agreement.mostOff * shown,
  };
}

const inPolygon = (corners: Corners, { x, y }: Place): boolean =>
  corners.every((p, i) => {
    const q = corners[(i + 1) % 4]!;
    return (q.x - p.x) * (y - p.y) - (q.y - p.y) * (x - p.x) > 0;
  });

/** Places of a photograph without those that lie in a picture that was found. */
const without = (points: Keypoints, corners: Corners, by: number): Keypoints =>
  pointsWhere(points, (x, y) => !inPolygon(corners, { x: x / by, y: y / by }));

/** Quarters clockwise that a picture is turned by in a photograph. */
function quartersOf(way: Way, { width, height }: LightPlane): number {
  const [a, b] = [
    perspectivePoint(way, 0, height / 2),
    perspectivePoint(way, width, height / 2),
  ];
  return (Math.round(Math.atan2(b.y - a.y, b.x - a.x) / (Math.PI / 2)) + 4) % 4;
}

export type Sighting = { found: Found; beside: Found | null } | NotFound;

/** Whether a picture was found at all. */
export const isFound = (s: Sighting): s is { found: Found; beside: Found | null } =>
  'found' in s;

/** A picture made smaller, and its places. */
interface Sighted {
  small: LightPlane;
  points: Keypoints;
}

const sighted = (plane: LightPlane, side: number, places: number): Sighted => {
  const small = fitted(plane, side);
  return { small, points: keypointsOf(small, places) };
};

class Search {
  private readonly halves: Halves;
  private readonly templates = new Map<LightPlane, Template[]>();
  private readonly seen = new Map<LightPlane, Map<Closeness, Sighted>>();

  constructor(private readonly photograph: LightPlane) {
    this.halves = halvesOf(photograph);
  }

  private of(picture: LightPlane): Laying {
    const { side, sizes, coarse } = LAID;
    const templates =
      this.templates.get(picture) ?? templatesOf(picture, side, sizes + coarse);
    this.templates.set(picture, templates);
    return { picture, templates, halves: this.halves };
  }

  /** Places of a plane as closely as asked; looked for once. */
  private sighted(plane: LightPlane, close: Closeness): Sighted {
    const known = this.seen.get(plane) ?? new Map<Closeness, Sighted>();
    this.seen.set(plane, known);
    const side = plane === this.photograph ? close.photograph : close.picture;
    const places = plane === this.photograph ? 1.6 * close.places : close.places;
    const found = known.get(close) ?? sighted(plane, side, places);
    known.set(close, found);
    return found;
  }

  /** By places that look alike, whichever way the picture lies; `beside` one that was found. */
  byPlaces(picture: LightPlane, beside?: Found): Found | null {
    for (const close of SOUGHT) {
      const own = this.sighted(picture, close);
      const there = this.sighted(this.photograph, close);
      const points = beside
        ? without(there.points, beside.corners, there.small.width / this.photograph.width)
        : there.points;
      const found = this.matched(picture, own, { ...there, points });
      if (found || beside) return found;
    }
    return null;
  }

  private matched(picture: LightPlane, own: Sighted, there: Sighted): Found | null {
    const way = agreedWay(matchesOf(own.points, there.points), longSide(own.small));
    if (!way) return null;
    const whole = scaledWay(way, [own.small, picture], [there.small, this.photograph]);
    const found = isSeen(cornersOf(whole, picture.width, picture.height))
      ? laid(this.of(picture), whole, LAID.sizes - 1)
      : null;
    return found && isThere(found.agreement) ? found : null;
  }

  placesOf(picture: LightPlane): number {
    return this.sighted(picture, SOUGHT[0]).points.count;
  }

  /** By laying it everywhere; upright only. */
  bySearch(picture: LightPlane): Found | null {
    for (const { way } of likelyWays(picture, this.photograph)) {
      const found = laid(this.of(picture), way, LAID.sizes + LAID.coarse - 1);
      if (found && isThere(found.agreement)) return found;
    }
    return null;
  }

  /** From four corners that were placed by hand. */
  byHand(picture: LightPlane, corners: Corners): Found {
    const way = wayTo(picture.width, picture.height, corners);
    const closer = laid(this.of(picture), way, LAID.sizes - 1);
    const reach = 0.04 * Math.sqrt(areaOf(corners));
    const near =
      closer?.corners.every(
        (p, i) => Math.hypot(p.x - corners[i]!.x, p.y - corners[i]!.y) < reach,
      ) ?? false;
    if (closer && near && isThere(closer.agreement)) return closer;
    return laid(this.of(picture), way, -1)!;
  }
}

const sideOf = (corners: Corners): number =>
  Math.max(
    ...corners.map((p, i) => {
      const q = corners[(i + 1) % 4]!;
      return Math.hypot(p.x - q.x, p.y - q.y);
    }),
  );

/**
 * Finds a picture in a photograph of a print of it: L* of both. Places that look alike say about where it
 * lies; then its light is laid over the photograph's until it fits. A second time it is sought beside the
 * first: the original beside its proof. Of a picture that lies there turned or mirrored, that is said.
 */
export function findPicture(picture: LightPlane, photograph: LightPlane): Sighting {
  const search = new Search(photograph);
  const first = search.byPlaces(picture);
  const quarters = first ? quartersOf(first.way, picture) : 0;
  if (first && quarters !== 0) return { code: 'turned', quarters: quarters as 1 | 2 | 3 };
  const found = first ?? search.bySearch(picture);
  if (found) {
    const side = sideOf(found.corners);
    if (side < LEAST_SIDE) return { code: 'small', side };
    const beside = search.byPlaces(picture, found);
    return {
      found,
      beside: beside && quartersOf(beside.way, picture) === 0 ? beside : null,
    };
  }
  if (isPlain(picture)) return { code: 'plain' };
  const mirror = mirrored(picture);
  if (search.byPlaces(mirror)) return { code: 'mirrored' };
  // A picture of many places is known by them, whichever way it lies; of few it is laid every way.
  if (search.placesOf(picture) < FEW_PLACES) {
    if (search.bySearch(mirror)) return { code: 'mirrored' };
    for (const quarters of [2, 1, 3] as const)
      if (search.bySearch(quartered(picture, quarters)))
        return { code: 'turned', quarters };
    if (search.bySearch(quartered(mirror, 2))) return { code: 'mirrored' };
  }
  return { code: isPlain(photograph) ? 'plain' : 'other' };
}

/** Whether there is nothing in a picture to know it again by. */
function isPlain(plane: LightPlane): boolean {
  const { spread } = templateOf(plane, 250);
  let told = 0;
  for (const v of spread) if (v > 1) told += 1;
  return told < 0.08 * spread.length;
}

/** The same from four corners that were placed by hand: moved to where the light fits best where that is near. */
export const placedPicture = (
  picture: LightPlane,
  photograph: LightPlane,
  corners: Corners,
): Found => new Search(photograph).byHand(picture, corners);
