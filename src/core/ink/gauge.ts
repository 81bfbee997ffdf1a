import { usedBy } from './fit';
import type { InkFit } from './fit';
import { daysBetween, loadBetween, usedCartridges } from './load';
import { INK_RULES, heldBy } from './types';
import type { InkFacts, InkRules } from './types';

/** A time that the gauge warned, and how long the cartridge then lasted. */
export interface GaugeWarning {
  at: string;
  share: number;
  changedAt: string;
  weeks: number;
  /** What was left in it when it was taken out, as far as somebody said, 0..1. */
  wasLeft: number;
}

/** How the gauge was off over cartridges that were used up: what it said less what was there, shares. */
export interface GaugeErrors {
  readings: number;
  bias: number;
  /** Root of the mean square. */
  off: number;
}

/** The first time that the gauge warned of each cartridge that was used up. */
export function gaugeWarnings(
  facts: InkFacts,
  rules: InkRules = INK_RULES,
): GaugeWarning[] {
  return usedCartridges(facts).flatMap(({ from, to, wasLeft }) => {
    const low = facts.readings.find(
      (r) => r.at >= from && r.at < to && r.share <= rules.warns,
    );
    if (!low) return [];
    const weeks = daysBetween(low.at, to) / 7;
    return [{ at: low.at, share: low.share, changedAt: to, weeks, wasLeft }];
  });
}

/** How the gauge was off, where it can be told afterwards; null where nothing was read of any used up. */
export function gaugeErrors(facts: InkFacts, fit: InkFit): GaugeErrors | null {
  const errors = usedCartridges(facts)
    .filter((c) => !c.firstFill)
    .flatMap(({ from, to, load, ml }) => {
      const whole = usedBy(fit, load).ml;
      const full = facts.changes.find((c) => c.at === from)?.ml ?? ml;
      if (whole <= 0) return [];
      return facts.readings
        .filter((r) => r.at >= from && r.at < to)
        .map((r) => {
          const used = usedBy(fit, loadBetween(facts, from, r.at)).ml;
          return r.share - (1 - ((used / whole) * ml) / full);
        });
    });
  if (errors.length === 0) return null;
  const bias = errors.reduce((s, e) => s + e, 0) / errors.length;
  const off = Math.sqrt(errors.reduce((s, e) => s + e * e, 0) / errors.length);
  return { readings: errors.length, bias, off };
}

/** Gauge and reckoning, side by side, shares of a full cartridge. */
export interface GaugeVerdict {
  said: number;
  at: string;
  reckoned: number;
  /** Half of the band about what is reckoned (80 %). */
  band: number;
  verdict: 'agree' | 'trustGauge' | 'trustReckoning' | 'cannotTell';
  /** How far each was off before, a share; of the gauge null where nothing is known. */
  gaugeOff: number | null;
  reckoningOff: number;
}

/** Standard deviations to an 80 % band. */
const BAND = 1.2816;

/**
 * The last reading of the present cartridge against what is reckoned for that day: where they
 * differ by more than the band, which of them was nearer before. Null where nothing was read.
 */
export function gaugeVerdict(
  facts: InkFacts,
  fit: InkFit,
  rules: InkRules = INK_RULES,
): GaugeVerdict | null {
  const now = facts.changes.at(-1);
  const last = facts.readings.at(-1);
  if (!now || !last || last.at < now.at) return null;
  const { ml, off } = usedBy(fit, loadBetween(facts, now.at, last.at));
  const held = heldBy(now, rules);
  const reckoned = Math.max(0, (held.ml - ml) / now.ml);
  const used = Math.min(1, ml / now.ml);
  const reckoningOff = Math.hypot(off / now.ml, held.off / now.ml, fit.scatter * used);
  const band = BAND * reckoningOff;
  const errors = gaugeErrors(facts, fit);
  const base = {
    said: last.share,
    at: last.at,
    reckoned,
    band,
    gaugeOff: errors?.off ?? null,
    reckoningOff,
  };
  if (Math.abs(last.share - reckoned) <= band) return { ...base, verdict: 'agree' };
  if (fit.cartridges === 0 || errors === null) return { ...base, verdict: 'cannotTell' };
  return {
    ...base,
    verdict: errors.off < reckoningOff ? 'trustGauge' : 'trustReckoning',
  };
}
