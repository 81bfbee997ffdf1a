import type { BorderEdge, Side } from './borderEdges';

export interface Place {
  x: number;
  y: number;
}

/** Corners of the work in a picture, pixels: top left, top right, bottom right, bottom left. */
export type Corners = [Place, Place, Place, Place];

/** Where an upright edge and a level edge cross. */
function crossing(upright: BorderEdge, level: BorderEdge): Place {
  const y = (level.at + level.slope * upright.at) / (1 - level.slope * upright.slope);
  return { x: upright.at + upright.slope * y, y };
}

/** Moved inwards by so many pixels, so that the edge itself does not show. */
function moved(edge: BorderEdge, inset: number): BorderEdge {
  const far = edge.side === 'right' || edge.side === 'bottom';
  return { ...edge, at: edge.at + (far ? -inset : inset) };
}

/** The four lines cross in the corners. */
function fromLines(edges: Record<Side, BorderEdge>): Corners {
  const { left, right, top, bottom } = edges;
  return [
    crossing(left, top),
    crossing(right, top),
    crossing(right, bottom),
    crossing(left, bottom),
  ];
}

/** A rectangle turned by the skew: its sides are distances from the centre along its own axes. */
function turnedRectangle(
  found: Partial<Record<Side, BorderEdge>>,
  width: number,
  height: number,
  degrees: number,
): Corners {
  const a = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  const centre = { x: width / 2, y: height / 2 };
  const at = (p: number, q: number): Place => ({
    x: centre.x + p * cos - q * sin,
    y: centre.y + p * sin + q * cos,
  });
  /** Distance of a found edge from the centre, where it is nearest within the picture. */
  const distance = (edge: BorderEdge): number => {
    const upright = edge.side === 'left' || edge.side === 'right';
    const ends = [0.02, 0.98].map((share) => {
      const u = share * (upright ? height : width);
      const v = edge.at + edge.slope * u;
      const dx = (upright ? v : u) - centre.x;
      const dy = (upright ? u : v) - centre.y;
      return Math.abs(upright ? dx * cos + dy * sin : -dx * sin + dy * cos);
    });
    return Math.min(...ends);
  };
  const reach: Record<Side, number> = {
    left: found.left ? distance(found.left) : width / 2,
    right: found.right ? distance(found.right) : width / 2,
    top: found.top ? distance(found.top) : height / 2,
    bottom: found.bottom ? distance(found.bottom) : height / 2,
  };
  const cornersOf = (r: Record<Side, number>): Corners => [
    at(-r.left, -r.top),
    at(r.right, -r.top),
    at(r.right, r.bottom),
    at(-r.left, r.bottom),
  ];
  const inside = (corners: Corners): boolean =>
    corners.every((c) => c.x >= 0 && c.y >= 0 && c.x <= width && c.y <= height);
  // Sides without an edge of their own are the file's: drawn in together until nothing is outside it.
  const free = (Object.keys(reach) as Side[]).filter((side) => !found[side]);
  const shrunk = (share: number) => {
    const r = { ...reach };
    for (const side of free) r[side] *= share;
    return cornersOf(r);
  };
  if (inside(shrunk(1)) || free.length === 0) return shrunk(1);
  let [low, high] = [0.5, 1];
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (inside(shrunk(middle))) low = middle;
    else high = middle;
  }
  return shrunk(low);
}

/**
 * Corners for a proposed crop: the crossing of the four edges when the camera was tilted and
 * all four are seen, else a rectangle turned by the skew within the edges that are seen.
 */
export function proposeCorners(
  edges: Partial<Record<Side, BorderEdge>>,
  width: number,
  height: number,
  degrees: number,
  tilted: boolean,
  inset: number,
): Corners {
  const within: Partial<Record<Side, BorderEdge>> = {};
  for (const edge of Object.values(edges)) within[edge.side] = moved(edge, inset);
  const { left, right, top, bottom } = within;
  const corners =
    tilted && left && right && top && bottom
      ? fromLines({ left, right, top, bottom })
      : turnedRectangle(within, width, height, degrees);
  return corners.map(({ x, y }) => ({
    x: Math.min(width, Math.max(0, x)),
    y: Math.min(height, Math.max(0, y)),
  })) as Corners;
}
