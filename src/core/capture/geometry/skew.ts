import { SIDES, borderEdge } from './borderEdges';
import type { BorderEdge, ReducedLight, Side } from './borderEdges';
import { proposeCorners } from './propose';
import type { Corners } from './propose';

export interface Geometry {
  edges: Partial<Record<Side, BorderEdge>>;
  /** Clockwise turn of the work in the file, degrees; null when no edge tells. */
  skewDegrees: number | null;
  /** Top against bottom and left against right edge, degrees; null when one of them is not seen. */
  keystone: { across: number | null; down: number | null };
  /** Corners of the work as proposed for a crop, pixels; null when the file is well cut. */
  proposal: Corners | null;
}

/** Less skew, degrees, and less border, share of a side, than this is left alone. */
export const LEAST_SKEW = 0.05;
const LEAST_BORDER = 0.002;
/** Edges of one side of the picture may differ so much before the camera is called tilted, degrees. */
export const LEAST_KEYSTONE = 0.15;

/**
 * Skew, keystone and bed edges, from straight edges near the picture's own sides with
 * something plain outside them. Width and height are the picture's, pixels.
 */
export function readGeometry(light: ReducedLight, width: number, height: number): Geometry {
  const edges: Geometry['edges'] = {};
  for (const side of SIDES) {
    const edge = borderEdge(light, side);
    if (edge) edges[side] = edge;
  }
  const seen = Object.values(edges);
  const weight = seen.reduce((s, e) => s + e.agreeing, 0);
  const skewDegrees =
    seen.length === 0
      ? null
      : seen.reduce((s, e) => s + e.degrees * e.agreeing, 0) / weight;
  const { left, right, top, bottom } = edges;
  const keystone = {
    across: top && bottom ? top.degrees - bottom.degrees : null,
    down: left && right ? left.degrees - right.degrees : null,
  };
  const borders = seen.some((e) => {
    const side = e.side === 'left' || e.side === 'right' ? width : height;
    const centre = e.at + (e.slope * (side === width ? height : width)) / 2;
    return Math.min(centre, side - centre) > LEAST_BORDER * side;
  });
  const off = skewDegrees !== null && (Math.abs(skewDegrees) >= LEAST_SKEW || borders);
  const tilted =
    Math.abs(keystone.across ?? 0) >= LEAST_KEYSTONE ||
    Math.abs(keystone.down ?? 0) >= LEAST_KEYSTONE;
  return {
    edges,
    skewDegrees,
    keystone,
    proposal: off
      ? proposeCorners(edges, width, height, skewDegrees, tilted, light.factor)
      : null,
  };
}
