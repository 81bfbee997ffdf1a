import { hash, noise } from './chance';
import type { Chance } from './chance';
import type { Rgb } from './colour';

/** A picture being painted: 16-bit RGB, and the marks that can be made on it. */
export class Canvas {
  readonly pixels: Uint16Array;
  constructor(
    readonly width: number,
    readonly height: number,
    ground: Rgb,
  ) {
    this.pixels = new Uint16Array(width * height * 3);
    for (let i = 0; i < this.pixels.length; i += 3) this.put(i, ground);
  }

  private put(i: number, c: Rgb) {
    this.pixels[i] = c[0] * 65535;
    this.pixels[i + 1] = c[1] * 65535;
    this.pixels[i + 2] = c[2] * 65535;
  }

  /** Every pixel from a function of its place; x and y in pixels. */
  fill(colour: (x: number, y: number) => Rgb) {
    for (let y = 0; y < this.height; y += 1)
      for (let x = 0; x < this.width; x += 1)
        this.put((y * this.width + x) * 3, colour(x, y));
  }

  /** The same for what is smooth: reckoned every `cell` pixels, blended between. */
  fillSmooth(colour: (x: number, y: number) => Rgb, cell: number) {
    const columns = Math.ceil(this.width / cell) + 1;
    let above = Array.from({ length: columns }, (_, i) => colour(i * cell, 0));
    for (let top = 0; top < this.height; top += cell) {
      const below = Array.from({ length: columns }, (_, i) => colour(i * cell, top + cell));
      for (let y = top; y < Math.min(top + cell, this.height); y += 1) {
        const v = (y - top) / cell;
        for (let x = 0; x < this.width; x += 1) {
          const column = Math.floor(x / cell);
          const u = x / cell - column;
          const a = above[column]!;
          const b = above[column + 1]!;
          const c = below[column]!;
          const d = below[column + 1]!;
          const i = (y * this.width + x) * 3;
          for (let k = 0; k < 3; k += 1) {
            const upper = a[k]! + (b[k]! - a[k]!) * u;
            const lower = c[k]! + (d[k]! - c[k]!) * u;
            this.pixels[i + k] = (upper + (lower - upper) * v) * 65535;
          }
        }
      }
      above = below;
    }
  }

  /** Pixels of some rows anew, from their place and the colour that is there. */
  overlay(
    top: number,
    bottom: number,
    colour: (x: number, y: number, there: Rgb) => Rgb | null,
  ) {
    for (let y = Math.max(0, top); y < Math.min(this.height, bottom); y += 1)
      for (let x = 0; x < this.width; x += 1) {
        const i = (y * this.width + x) * 3;
        const p = this.pixels;
        const c = colour(x, y, [p[i]! / 65535, p[i + 1]! / 65535, p[i + 2]! / 65535]);
        if (c) this.put(i, c);
      }
  }

  /**
   * One stroke of a bristle brush: `length` along `angle`, `width` across, the bristles
   * leaving fine stripes, thinning out towards its end.
   */
  stroke(
    cx: number,
    cy: number,
    angle: number,
    length: number,
    width: number,
    c: Rgb,
    opacity: number,
    seed: number,
  ) {
    const cos = Math.cos(angle);
    const sin = Math.sin(angle);
    const half = length / 2;
    const side = width / 2;
    const reachX = Math.abs(cos) * half + Math.abs(sin) * side + 1;
    const reachY = Math.abs(sin) * half + Math.abs(cos) * side + 1;
    const x0 = Math.max(0, Math.floor(cx - reachX));
    const x1 = Math.min(this.width - 1, Math.ceil(cx + reachX));
    const y0 = Math.max(0, Math.floor(cy - reachY));
    const y1 = Math.min(this.height - 1, Math.ceil(cy + reachY));
    const red = c[0] * 65535;
    const green = c[1] * 65535;
    const blue = c[2] * 65535;
    const { pixels } = this;
    const bristle = Math.max(1.6, width / 14);
    const hairs = Array.from({ length: Math.ceil(width / bristle) + 1 }, (_, k) =>
      hash(k, 0, seed),
    );
    for (let y = y0; y <= y1; y += 1) {
      const dy = y - cy;
      for (let x = x0; x <= x1; x += 1) {
        const dx = x - cx;
        const u = dx * cos + dy * sin;
        const v = dy * cos - dx * sin;
        if (u < -half || u > half || v < -side || v > side) continue;
        const edge = 1 - (v / side) * (v / side);
        const hair = hairs[Math.floor((v + side) / bristle)]!;
        const run = 0.5 - u / length;
        const dry = hair > run * 1.7 + 0.28 ? 0.25 : 1;
        const a =
          opacity *
          Math.min(1, edge * 2.4) *
          (0.66 + 0.34 * hair) *
          dry *
          Math.min(1, (half - Math.abs(u)) / 2 + 0.2);
        const i = (y * this.width + x) * 3;
        pixels[i] = pixels[i]! + (red - pixels[i]!) * a;
        pixels[i + 1] = pixels[i + 1]! + (green - pixels[i + 1]!) * a;
        pixels[i + 2] = pixels[i + 2]! + (blue - pixels[i + 2]!) * a;
      }
    }
  }

  /** A round soft mark. */
  dab(cx: number, cy: number, radius: number, c: Rgb, opacity: number, soft = 0.5) {
    const x0 = Math.max(0, Math.floor(cx - radius));
    const x1 = Math.min(this.width - 1, Math.ceil(cx + radius));
    const y0 = Math.max(0, Math.floor(cy - radius));
    const y1 = Math.min(this.height - 1, Math.ceil(cy + radius));
    const { pixels } = this;
    for (let y = y0; y <= y1; y += 1)
      for (let x = x0; x <= x1; x += 1) {
        const d = Math.hypot(x - cx, y - cy) / radius;
        if (d >= 1) continue;
        const a = opacity * Math.min(1, (1 - d) / soft);
        const i = (y * this.width + x) * 3;
        pixels[i] = pixels[i]! + (c[0] * 65535 - pixels[i]!) * a;
        pixels[i + 1] = pixels[i + 1]! + (c[1] * 65535 - pixels[i + 1]!) * a;
        pixels[i + 2] = pixels[i + 2]! + (c[2] * 65535 - pixels[i + 2]!) * a;
      }
  }

  /** A line from point to point, its width swelling from `w0` to `w1`. */
  line(
    x0: number,
    y0: number,
    x1: number,
    y1: number,
    w0: number,
    w1: number,
    c: Rgb,
    opacity = 1,
  ) {
    const length = Math.hypot(x1 - x0, y1 - y0);
    const steps = Math.max(1, Math.ceil(length / Math.max(0.6, Math.min(w0, w1) * 0.35)));
    for (let i = 0; i <= steps; i += 1) {
      const t = i / steps;
      this.dab(
        x0 + (x1 - x0) * t,
        y0 + (y1 - y0) * t,
        (w0 + (w1 - w0) * t) / 2 + 0.5,
        c,
        opacity,
        0.6,
      );
    }
  }

  /** Tooth of paper or panel and fine grain over all of it. `scale` is the tooth's size in pixels. */
  texture(tooth: number, scale: number, grain: number, seed: number) {
    const { pixels, width, height } = this;
    // One patch of tooth, repeated; its lit and shaded sides are a difference of noise.
    const period = 1024;
    const patch = new Float32Array(period * period);
    for (let y = 0; tooth > 0 && y < period; y += 1)
      for (let x = 0; x < period; x += 1)
        patch[y * period + x] =
          tooth *
          (noise(x / scale, y / scale, seed) -
            noise(x / scale + 0.7, y / scale + 0.7, seed));
    let state = seed * 2654435761 || 1;
    // Grain of the surface as a lens sees it: each pixel takes half of its neighbours' with it.
    const above = new Float32Array(width);
    for (let y = 0; y < height; y += 1) {
      const row = (y % period) * period;
      let before = 0;
      for (let x = 0; x < width; x += 1) {
        state ^= state << 13;
        state ^= state >>> 17;
        state ^= state << 5;
        const own = (state & 0xffff) / 65536 + ((state >>> 16) & 0xffff) / 65536 - 1;
        const along = own + 0.5 * before;
        const g = grain * 0.8 * (along + 0.5 * above[x]!);
        before = own;
        above[x] = along;
        const f = 1 + patch[row + (x % period)]! + g;
        const i = (y * width + x) * 3;
        for (let k = 0; k < 3; k += 1) {
          const v = pixels[i + k]! * f + g * 2500;
          pixels[i + k] = v < 0 ? 0 : v > 65535 ? 65535 : v;
        }
      }
    }
  }
}

/** A scene to be painted: colour and direction of the brush at a place, x and y in 0..1. */
export interface Scene {
  colour: (x: number, y: number) => Rgb;
  angle: (x: number, y: number) => number;
}

export interface BrushLayer {
  /** Width of the brush, pixels. */
  width: number;
  /** Length of a stroke in widths. */
  long: number;
  opacity: number;
  /** How far the colour strays from the scene's. */
  stray: number;
  /** Share of places that get a stroke. */
  cover: number;
}

/** Paints a scene in layers, from broad to fine. */
export function paintScene(
  canvas: Canvas,
  scene: Scene,
  layers: BrushLayer[],
  random: Chance,
) {
  for (const layer of layers) {
    const stepX = layer.width * layer.long * 0.55;
    const stepY = layer.width * 0.72;
    const places: [number, number][] = [];
    for (let y = 0; y < canvas.height + stepY; y += stepY)
      for (let x = 0; x < canvas.width + stepX; x += stepX)
        if (random() < layer.cover)
          places.push([x + (random() - 0.5) * stepX, y + (random() - 0.5) * stepY * 1.5]);
    for (let i = places.length - 1; i > 0; i -= 1) {
      const j = Math.floor(random() * (i + 1));
      [places[i], places[j]] = [places[j]!, places[i]!];
    }
    for (const [x, y] of places) {
      const u = Math.min(1, Math.max(0, x / canvas.width));
      const v = Math.min(1, Math.max(0, y / canvas.height));
      const base = scene.colour(u, v);
      const light = 1 + (random() - 0.5) * layer.stray;
      const warm = (random() - 0.5) * layer.stray * 0.25;
      const c: Rgb = [
        Math.min(1, Math.max(0, base[0] * light + warm)),
        Math.min(1, base[1] * light),
        Math.min(1, Math.max(0, base[2] * light - warm)),
      ];
      canvas.stroke(
        x,
        y,
        scene.angle(u, v) + (random() - 0.5) * 0.35,
        layer.width * layer.long * (0.7 + random() * 0.6),
        layer.width * (0.75 + random() * 0.5),
        c,
        layer.opacity,
        Math.floor(random() * 1e6),
      );
    }
  }
}
