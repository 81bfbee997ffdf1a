import type { Measured } from './measure';

/** What stands around a thing. */
export interface Company {
  /** Other things that stand out at least a third as much, within reach, and are no specks. */
  clutter: number;
  /** Things much like it in contrast and size, within reach. */
  similar: number;
  /** Of these, such as are like it in tone also, closely: a population, painted or grown. */
  alike: number;
}

/**
 * Weights of a logistic regression on specks planted in photographs; what tells a speck is
 * its contrast against the ground's own spread, a hard edge, no colour of its own, and being
 * alone. Evaluated by `npm run bench -- specks`.
 */
const WEIGHTS = {
  bias: -2.059,
  signal: 1.008,
  unevenness: 0.218,
  softness: -0.528,
  colour: -1.735,
  contrast: 0.399,
  diameter: 0.182,
  clutter: -1.063,
  similar: -0.876,
};
/** So many alike are a population, not dust. */
const POPULATION = 3;
const OF_POPULATION = -1.2;

/** The inputs of the regression, by name. */
export const traits = (m: Measured) => ({
  signal: Math.log(Math.abs(m.contrast) / m.ground),
  unevenness: m.unevenness / Math.abs(m.contrast),
  softness: Math.log(m.softness),
  colour: m.colour / Math.abs(m.contrast),
  contrast: Math.log(Math.abs(m.contrast)),
  diameter: Math.log(m.diameter),
});

/** Score of a thing by itself, before its company is known; the logarithm of the odds. */
export function ownScore(m: Measured): number {
  const t = traits(m);
  return (
    WEIGHTS.bias +
    WEIGHTS.signal * t.signal +
    WEIGHTS.unevenness * t.unevenness +
    WEIGHTS.softness * t.softness +
    WEIGHTS.colour * t.colour +
    WEIGHTS.contrast * t.contrast +
    WEIGHTS.diameter * t.diameter
  );
}

/** How sure it is that a thing is a speck, 0..1. */
export function speckConfidence(m: Measured, company: Company): number {
  const odds =
    ownScore(m) +
    WEIGHTS.clutter * Math.log1p(company.clutter) +
    WEIGHTS.similar * Math.log1p(company.similar) +
    OF_POPULATION * Math.max(0, company.alike - POPULATION + 1);
  return 1 / (1 + Math.exp(-odds));
}
