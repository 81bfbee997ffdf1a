const { abs, atan2, ceil, cos, floor, hypot, imul, max, min, round, sin } = Math;
/** A picture of 16-bit RGB samples. */
export interface Samples {
  width: number;
  height: number;
  data: Uint16Array;
}

/** A planted speck: its middle, its size, how much darker (negative) or lighter it is, of 255. */
export interface Planted {
  x: number;
  y: number;
  diameter: number;
  contrast: number;
  /** Spread of the light around it before it was planted, of 255. */
  ground: number;
  kind: 'dust' | 'hair';
}

/** Chance from a seed, 0..1. */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

const REACH = 26;
const GAP = 70;

function lightAt({ width, data }: Samples, x: number, y: number): number {
  const i = (y * width + x) * 3;
  return (77 * data[i]! + 150 * data[i + 1]! + 29 * data[i + 2]!) / 65792;
}

function groundAround(picture: Samples, x: number, y: number, r: number) {
  const values: number[] = [];
  for (let dy = -r; dy <= r; dy += 1)
    for (let dx = -r; dx <= r; dx += 1) values.push(lightAt(picture, x + dx, y + dy));
  values.sort((a, b) => a - b);
  const at = (share: number) => values[floor(share * (values.length - 1))]!;
  return { median: at(0.5), spread: (at(0.84) - at(0.16)) / 2 };
}

/** How much of a pixel is covered by a round speck with a ragged edge. */
function dust(random: () => number, diameter: number): (dx: number, dy: number) => number {
  const [a, b, p, q] = [random() * 0.25, random() * 0.2, random() * 6.28, random() * 6.28];
  const stretch = 0.75 + random() * 0.5;
  const turn = random() * 3.14;
  // From focused on the glass to as soft as a drop out of focus.
  const soft = 0.6 + random() ** 2 * (0.4 * diameter + 0.6);
  return (dx, dy) => {
    const u = (dx * cos(turn) + dy * sin(turn)) * stretch;
    const v = (-dx * sin(turn) + dy * cos(turn)) / stretch;
    const angle = atan2(v, u);
    const edge = (diameter / 2) * (1 + a * cos(2 * angle + p) + b * cos(3 * angle + q));
    return min(1, max(0, (edge - hypot(u, v)) / soft + 0.5));
  };
}

/** The same of a hair: an arc so long, a little wider than a pixel. */
function hair(random: () => number, length: number): (dx: number, dy: number) => number {
  const turn = random() * 6.28;
  const bend = (random() - 0.5) * 0.09;
  const wide = 0.8 + random() * 0.9;
  return (dx, dy) => {
    const u = dx * cos(turn) + dy * sin(turn);
    const v = -dx * sin(turn) + dy * cos(turn) - bend * (u * u - (length * length) / 12);
    const off = max(abs(v) - wide / 2, abs(u) - length / 2);
    return min(1, max(0, 0.5 - off / 0.8));
  };
}

/** Plants specks of 3 to 20 pixels over a picture, apart from each other; the picture is changed. */
export function plantSpecks(picture: Samples, count: number, seed: number): Planted[] {
  const random = chance(seed);
  const { width, height, data } = picture;
  const planted: Planted[] = [];
  for (let tries = 0; tries < count * 30 && planted.length < count; tries += 1) {
    const x = floor(REACH + random() * (width - 2 * REACH));
    const y = floor(REACH + random() * (height - 2 * REACH));
    if (planted.some((p) => hypot(p.x - x, p.y - y) < GAP)) continue;
    const isHair = random() < 0.2;
    const diameter = isHair ? 10 + random() * 10 : 3 * (20 / 3) ** random();
    const { median, spread } = groundAround(picture, x, y, ceil(diameter / 2 + 6));
    const strength = 10 * 7 ** random();
    const dark = median - strength < 4 ? false : median + strength > 251 || random() < 0.6;
    const tone = min(252, max(3, median + (dark ? -1.2 : 1.2) * strength)) * 257;
    const cover = (isHair ? hair : dust)(random, isHair ? diameter * 1.8 : diameter);
    const share = min(1, (strength * 257) / max(1, abs(tone - median * 257)));
    for (let dy = -REACH; dy < REACH; dy += 1)
      for (let dx = -REACH; dx < REACH; dx += 1) {
        const part = cover(dx, dy) * share;
        if (part <= 0) continue;
        const i = ((y + dy) * width + x + dx) * 3;
        for (let c = 0; c < 3; c += 1)
          data[i + c] = round(data[i + c]! + part * (tone - data[i + c]!));
      }
    planted.push({
      x,
      y,
      diameter,
      contrast: dark ? -strength : strength,
      ground: spread,
      kind: isHair ? 'hair' : 'dust',
    });
  }
  return planted;
}
