import { medianOf } from '../medianOf';
import { DETAIL_WEIGHTS, ENLARGEMENTS } from './detailWeights';
import type { Periods } from './periodicity';
import type { TileSpectrum } from './spectrum';
import { bandMean, detailTraits, strongestPeriod } from './traits';
import type { Curve, Peak } from './traits';

/**
 * Why the detail fraction is what it is: sharp at its grid; a spectrum that ends early; a
 * period that an enlargement left, too. Or why it cannot be told: too flat, hidden by noise,
 * too small, or several answers alike.
 */
export type DetailBecause =
  'sharp' | 'spectrum' | 'period' | 'flat' | 'noise' | 'small' | 'unclear';

export interface DetailReading {
  /** 1: sharp at its pixel grid; 0.5: as if enlarged two times. Null: it cannot be told. */
  fraction: number | null;
  /** 0..1 */
  confidence: number;
  because: DetailBecause;
  /** Median log2 power of the tiles, from 0 to half a cycle a pixel in even steps. */
  curve: number[];
}

export interface DetailEvidence {
  spectra: readonly TileSpectrum[];
  /** How busy each of these tiles is, of 255, the busiest first. */
  textures: readonly number[];
  across: Periods | null;
  down: Periods | null;
  /** Noise of the picture's plainest parts, of 255, by band of tone; null: hardly any such tone. */
  noise: readonly (number | null)[];
}

/** Points of the curve that is kept for drawing. */
const DRAWN = 128;
/** Below this confidence nothing is said. */
const SURE = 0.6;
/** Tiles over which texture is averaged. */
const TEXTURED = 8;
/** Strength of a period that is taken up; that is sure of itself; that outweighs the spectrum. */
const PERIOD = { taken: 5, sure: 8, outweighs: 12, overwhelming: 300 };
/** How far, as a logarithm, a period may be from what the spectrum says. */
const NEAR = { taken: 0.3, outweighs: 0.42 };
/** Less than this, in log2, between coarse and fine: all noise, or nothing at all. */
const LEAST_FALL = 2.5;
const FLAT_BELOW = -1;
/** Power, in log2, by which a level end must lie above the picture's noise to be texture. */
const ABOVE_NOISE = 3;

/** Median over the tiles of log2 power, rows and columns together. */
export function medianCurve(spectra: readonly TileSpectrum[]): number[] {
  const bins = spectra[0]?.rows.length ?? 0;
  const log = (power: number) => Math.log2(power + 1e-12);
  return Array.from({ length: bins }, (_, b) => {
    const rows = medianOf(spectra.map((s) => log(s.rows[b]!)));
    return (rows + medianOf(spectra.map((s) => log(s.columns[b]!)))) / 2;
  });
}

/** Probability of each enlargement, from the traits. */
function probabilities(traits: readonly number[]): number[] {
  const scores = DETAIL_WEIGHTS.map(([constant = 0, ...weights]) =>
    weights.reduce((sum, w, i) => sum + w * traits[i]!, constant),
  );
  const most = Math.max(...scores);
  const odds = scores.map((s) => Math.exp(s - most));
  const all = odds.reduce((a, b) => a + b, 0);
  return odds.map((o) => o / all);
}

interface Guess {
  enlargement: number;
  confidence: number;
  because: DetailBecause;
}

/** The likeliest enlargement, drawn towards the likelier of its neighbours. */
function fromSpectrum(p: readonly number[]): Guess {
  const best = p.indexOf(Math.max(...p));
  if (best === 0 && p[0]! > 0.5)
    return { enlargement: 1, confidence: p[0]!, because: 'sharp' };
  const lower = p[best - 1] ?? -1;
  const upper = p[best + 1] ?? -1;
  const other = lower > upper ? best - 1 : best + 1;
  const weights = [p[best]!, p[other]!];
  const sum = weights[0]! + weights[1]!;
  const logs = [best, other].map((i) => Math.log(ENLARGEMENTS[i]!));
  return {
    enlargement: Math.exp((weights[0]! * logs[0]! + weights[1]! * logs[1]!) / sum),
    confidence: sum,
    because: 'spectrum',
  };
}

/**
 * An enlargement by s leaves a period of frequency 1/s, folded into 0..1/2, in the second
 * differences (Gallagher, 2005): the place of the peak gives s exactly, where the spectrum
 * bears it out.
 */
function withPeriod(guess: Guess, peak: Peak, sharp: number): Guess {
  const { strength, frequency } = peak;
  const outweighs = strength >= PERIOD.outweighs;
  if (strength < PERIOD.taken || (sharp > 0.75 && !outweighs)) return guess;
  const far = (s: number) => Math.abs(Math.log(s / guess.enlargement));
  const [low, high] = [1 / (1 - frequency), 1 / frequency];
  // Only a whole factor leaves pixels whose second difference is nothing at all.
  if (strength > PERIOD.overwhelming && Math.abs(high - Math.round(high)) < 0.05)
    return { enlargement: Math.round(high), confidence: 0.95, because: 'period' };
  const found = far(low) <= far(high) ? low : high;
  if (far(found) > (outweighs ? NEAR.outweighs : NEAR.taken)) return guess;
  const confidence = Math.max(guess.confidence, strength > PERIOD.sure ? 0.95 : 0.8);
  return { enlargement: found, confidence, because: 'period' };
}

/** Why a spectrum tells nothing, if it does not. */
function hidden(curve: Curve, noise: readonly (number | null)[]): 'flat' | 'noise' | null {
  const coarse = bandMean(curve, 0.04, 0.115);
  const fine = bandMean(curve, 0.3001, 0.497);
  const end = bandMean(curve, 0.44, 0.497);
  if (coarse < -3) return 'flat';
  if (coarse - fine < LEAST_FALL) return coarse < FLAT_BELOW ? 'flat' : 'noise';
  // A level end above the grain of 8 bits: what lies under it cannot be seen; but where it is
  // far above the noise of plain parts, it is texture to its finest end.
  const level = bandMean(curve, 0.36, 0.42) - end < 0.35 && end > 0.3;
  const noisiest = Math.max(0, ...noise.map((n) => n ?? 0));
  const texture = end > 2 * Math.log2(noisiest + 0.05) + ABOVE_NOISE;
  return level && !texture ? 'noise' : null;
}

function drawnCurve(curve: Curve): number[] {
  const last = curve.length - 1;
  return Array.from({ length: DRAWN }, (_, i) => {
    const half = 0.25 / DRAWN;
    const at = (0.5 * i) / (DRAWN - 1);
    const value =
      last > 0 ? bandMean(curve, Math.max(0, at - half), Math.min(0.5, at + half)) : 0;
    return Math.round(Math.max(value, -40) * 100) / 100;
  });
}

/** The detail fraction of a picture, or why it cannot be told. */
export function estimateDetail(evidence: DetailEvidence): DetailReading {
  const { spectra, textures, across, down } = evidence;
  const cannot = (because: DetailBecause, curve: number[] = []): DetailReading => ({
    fraction: null,
    confidence: 0,
    because,
    curve,
  });
  if (spectra.length === 0 || !across || !down) return cannot('small');
  const curve = medianCurve(spectra);
  const drawn = drawnCurve(curve);
  const periods = { across, down };
  const peak = strongestPeriod(periods);
  const hiding = hidden(curve, evidence.noise);
  if (hiding === 'flat' || (hiding && peak.strength < PERIOD.taken + 1))
    return cannot(hiding, drawn);
  const best = textures.slice(0, TEXTURED);
  const texture = best.reduce((a, b) => a + b, 0) / best.length;
  const p = probabilities(detailTraits(curve, periods, peak, texture));
  const guess = withPeriod(fromSpectrum(p), peak, p[0]!);
  if (guess.confidence < SURE) return cannot('unclear', drawn);
  const fraction = guess.enlargement < 1.03 ? 1 : 1 / guess.enlargement;
  const { confidence } = guess;
  const because = fraction === 1 ? 'sharp' : guess.because;
  return { fraction, confidence, because, curve: drawn };
}
