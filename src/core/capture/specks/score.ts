import type { Measured } from './measure';

const { abs, exp, log, log1p, max, min } = Math;

/** What stands around a thing. */
export interface Company {
  /** Other things that stand out at least a third as much, within reach, and are no specks. */
  clutter: number;
  /** Things much like it in contrast and size, within reach. */
  similar: number;
  /** Of these, such as are like it in tone also, closely: a population, painted or grown. */
  alike: number;
  /** Median centre-surround response of the cell it lies in, of 255. */
  texture: number;
}

/**
 * Weights of a logistic regression on specks planted in photographs and in made-up paintings
 * full of dots, spatter, stars and highlights. What tells a speck: it stands well out of its
 * ground, is neither spongy nor razor sharp, has no colour of its own, and is alone.
 * `npm run bench -- specks` measures how well. The weight of a population is set by hand.
 */
const WEIGHTS = {
  bias: -6.11,
  signal: 0.966,
  signalSquared: -0.409,
  unevenness: -2.58,
  veryUneven: 2.215,
  softness: -1.939,
  verySoft: 1.699,
  colour: -0.994,
  colourful: -1.667,
  contrast: -0.812,
  faintness: 4.232,
  diameter: 0.057,
  elongation: 0.586,
  clutter: -0.21,
  similar: -0.913,
  alike: -1.191,
  population: -0.5,
  ground: -1.273,
  signalOnGround: 0.06,
  texture: -0.977,
  similarInTexture: 0.275,
} as const;
type Trait = keyof typeof WEIGHTS;

/** Contrast, as a logarithm, beyond which more of it says no more. */
const STRONG = 3.2;
/** So many alike may come together by chance. */
const BY_CHANCE = 2;
/** More alike than this are painted or grown; beyond so many more, it is as sure as can be. */
const POPULATION = 5;
const MOST = 10;
const within = (v: number) => max(-6, min(6, v));

/** The inputs of the regression, by name; all but the weights' bias. */
export function traits(m: Measured, company: Company): Record<Trait, number> {
  const strength = abs(m.contrast);
  const signal = within(log(strength / m.ground));
  const unevenness = within(m.unevenness / strength);
  const softness = within(log(m.softness));
  const colour = within(m.colour / strength);
  const contrast = log(strength);
  const ground = log(m.ground);
  const texture = log(company.texture + 0.3);
  const similar = log1p(company.similar);
  return {
    bias: 1,
    signal,
    signalSquared: signal ** 2,
    unevenness,
    veryUneven: max(0, unevenness - 0.3),
    softness,
    verySoft: max(0, softness - 1),
    colour,
    colourful: max(0, colour),
    contrast,
    faintness: min(contrast, STRONG),
    diameter: log(m.diameter),
    elongation: log(m.length / m.diameter),
    clutter: log1p(company.clutter),
    similar,
    alike: log1p(max(0, company.alike - BY_CHANCE)),
    population: min(MOST, max(0, company.alike - POPULATION)),
    ground,
    signalOnGround: signal * ground,
    texture,
    similarInTexture: similar * texture,
  };
}

/** How sure it is that a thing is a speck and no part of the picture, 0..1. */
export function speckConfidence(m: Measured, company: Company): number {
  const t = traits(m, company);
  let odds = 0;
  for (const name of Object.keys(WEIGHTS) as Trait[]) odds += WEIGHTS[name] * t[name];
  return 1 / (1 + exp(-odds));
}
