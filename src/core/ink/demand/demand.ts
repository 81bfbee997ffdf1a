import { ROLES } from './roles';
import type { InkPapers, InkRole } from './roles';
import type { Amount, Channel, InkStats, Split } from './stats';

export interface InkInPrinter {
  role: InkRole;
  papers: InkPapers;
}

/** Colours that two inks make, and which two: an ink of that colour takes half of what they would lay. */
const MIXED = {
  red: ['magenta', 'yellow'],
  green: ['cyan', 'yellow'],
  blue: ['cyan', 'magenta'],
} as const satisfies Partial<Record<Channel, readonly Channel[]>>;
const HALF = 0.5;

const isMixed = (channel: string): channel is keyof typeof MIXED => channel in MIXED;

/** What is left of a colour for its own inks, where inks of mixed colours are in the printer. */
function leftOf(split: Split, channel: Channel, has: ReadonlySet<string>): Amount {
  const taken = (Object.keys(MIXED) as (keyof typeof MIXED)[]).filter(
    (m) => has.has(m) && (MIXED[m] as readonly Channel[]).includes(channel),
  );
  const less = (of: keyof Amount) =>
    Math.max(0, split[channel][of] - taken.reduce((s, m) => s + HALF * split[m][of], 0));
  return { mean: less('mean'), dark: less('dark') };
}

/**
 * How much of a sheet each ink of a printer covers, 0..1, by a stated model: a light ink takes the
 * light half of its colour (rising, then falling), the dark one what is beyond; inks of the same
 * kind share; an ink of a mixed colour takes half of what its two would lay together; a clear one
 * lies over all of a glossy print. An ink that is not for such a paper takes none. `glossy` is
 * null where the paper is not known: every ink of one kind has its share then.
 * @example coverages([{ role: 'clear', papers: 'glossy' }], inkStats([Uint16Array.of(0, 0, 0)], 3), true) // [1]
 */
export function coverages(
  inks: readonly InkInPrinter[],
  stats: InkStats,
  glossy: boolean | null,
): number[] {
  const fits = ({ role, papers }: InkInPrinter) =>
    ROLES[role].of !== 'waste' &&
    (glossy === null || papers === 'all' || (papers === 'glossy') === glossy);
  const here = inks.filter(fits);
  const has = new Set<string>(here.map((i) => ROLES[i.role].of));
  const alike = (ink: InkInPrinter) =>
    here.filter((i) => {
      const [a, b] = [ROLES[i.role], ROLES[ink.role]];
      return a.of === b.of && a.light === b.light;
    }).length;
  const lightOf = (of: string) =>
    here.some((i) => ROLES[i.role].of === of && ROLES[i.role].light);
  const split = lightOf('black') ? stats.full : stats.part;
  return inks.map((ink) => {
    if (!here.includes(ink)) return 0;
    const { of, light } = ROLES[ink.role];
    if (of === 'clear') return glossy === false ? 0 : 1 / alike(ink);
    if (of === 'waste') return 0;
    if (isMixed(of)) return (HALF * split[of].mean) / alike(ink);
    const { mean, dark } = leftOf(split, of, has);
    if (light) return (2 * Math.max(0, mean - dark)) / alike(ink);
    return (lightOf(of) ? dark : mean) / alike(ink);
  });
}
