export { chance } from '@/core/image';
export type { Chance } from '@/core/image';

/** A number in 0..1 that belongs to a lattice point. */
export function hash(x: number, y: number, seed: number): number {
  let h =
    Math.imul(x | 0, 374761393) ^ Math.imul(y | 0, 668265263) ^ Math.imul(seed, 974634777);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

const ease = (t: number) => t * t * (3 - 2 * t);

/** Smooth value noise, 0..1. */
export function noise(x: number, y: number, seed: number): number {
  const xi = Math.floor(x);
  const yi = Math.floor(y);
  const u = ease(x - xi);
  const v = ease(y - yi);
  const a = hash(xi, yi, seed);
  const b = hash(xi + 1, yi, seed);
  const c = hash(xi, yi + 1, seed);
  const d = hash(xi + 1, yi + 1, seed);
  return a + (b - a) * u + (c - a) * v + (a - b - c + d) * u * v;
}

/** Several octaves of noise, 0..1. */
export function clouds(x: number, y: number, seed: number, octaves = 5): number {
  let total = 0;
  let weight = 0.5;
  let f = 1;
  for (let i = 0; i < octaves; i += 1) {
    total += weight * noise(x * f, y * f, seed + i);
    weight /= 2;
    f *= 2.03;
  }
  return total / (1 - 0.5 ** octaves);
}
