import type { Chance } from '../image/chance';
import { freeRegion, joined } from './region';
import type { CutLimits } from './search';
import { Region } from './region';

/** A block that stays where it is, within a usable rectangle. */
export interface Held {
  block: number;
  x: number;
  y: number;
  width: number;
  height: number;
  turned: boolean;
}

const from = (h: Held, across: boolean) => (across ? h.x : h.y);
const to = (h: Held, across: boolean) => (across ? h.x + h.width : h.y + h.height);

/**
 * A rectangle parted by straight cuts around what stays in it; which of several ways, chance
 * says. Null where no straight cuts part what stays.
 */
export function around(
  width: number,
  height: number,
  held: readonly Held[],
  limits: CutLimits,
  random: Chance,
): Region | null {
  const [only] = held;
  if (!only) return freeRegion(width, height);
  if (held.length === 1 && only.width === width && only.height === height)
    return new Region(width, height, only.block, only.turned, null, false, true);
  const lines = [true, false].flatMap((across) => {
    // A cut down is as long as the part is high; one that the trimmer does not make is none.
    if (across ? height > limits.down : width > limits.across) return [];
    const full = across ? width : height;
    return held
      .flatMap((h) => [from(h, across), to(h, across)])
      .filter((at) => at > 0 && at < full)
      .filter((at) => held.every((h) => to(h, across) <= at || from(h, across) >= at))
      .map((at) => ({ across, at }));
  });
  while (lines.length > 0) {
    const [{ across, at }] = lines.splice(Math.floor(random() * lines.length), 1) as [
      { across: boolean; at: number },
    ];
    const before = held.filter((h) => to(h, across) <= at);
    const after = held
      .filter((h) => from(h, across) >= at)
      .map((h) => (across ? { ...h, x: h.x - at } : { ...h, y: h.y - at }));
    const one = across
      ? around(at, height, before, limits, random)
      : around(width, at, before, limits, random);
    const two =
      one &&
      (across
        ? around(width - at, height, after, limits, random)
        : around(width, height - at, after, limits, random));
    if (one && two) return joined(width, height, across, [one, two]);
  }
  return null;
}
