import type { Vector } from '@/core/colour';
import { chance } from '@/core/image';
import type { PatchReading } from '@/core/proof';

/** What was read of a strip: patches by their names, and those that could not be read. */
export interface StripRead {
  patches: PatchReading[];
  unread: string[];
}

/** What the driver of an instrument that measures colours offers. */
export interface Instrument {
  name: string;
  /** Reads the patches of a strip in the order in which they are named: CIELAB, D50, 2 degrees. */
  read(names: readonly string[]): Promise<StripRead>;
}

/** Noise of a reading, about so much CIEDE2000; of how many readings one has a patch that cannot be read. */
const NOISE = 0.3;
const DEAD_OF = 4;

/**
 * How the simulated printer of the room departs from its profiles: a little darker in the middle
 * tones and towards yellow, more or less by `seed`, the same for the same paper.
 */
export function simulatedDrift([l, a, b]: Readonly<Vector>, seed: number): Vector {
  const of = chance(seed);
  const darker = 2 + 2 * of();
  const yellower = 1.5 + 2 * of();
  const middle = Math.sin((Math.PI * Math.min(100, Math.max(0, l))) / 100);
  return [l - darker * middle, a + 0.6 * middle, b + yellower * middle];
}

/**
 * A simulated hand-held spectrophotometer over a strip as it lies on the table: the colours that were
 * printed there, with the noise of a reading; one reading of four has a patch that cannot be read.
 */
export const simulatedInstrument = (
  printed: readonly PatchReading[],
  seed: number,
): Instrument => ({
  name: 'hand spectrophotometer (simulated)',
  read(names) {
    const of = chance(seed);
    const noise = () => (of() + of() + of() - 1.5) * NOISE;
    // The paper is never lost: without it nothing can be said.
    const dead = of() * DEAD_OF < 1 ? 2 + Math.floor(of() * (names.length - 2)) : -1;
    const there = new Map(printed.map((p) => [p.name, p.lab]));
    const patches: PatchReading[] = [];
    const unread: string[] = [];
    names.forEach((name, i) => {
      const lab = there.get(name);
      if (!lab || i === dead) unread.push(name);
      else patches.push({ name, lab: lab.map((v) => v + noise()) as Vector });
    });
    return Promise.resolve({ patches, unread });
  },
});

/** The instrument over a strip that the simulated printer made on a paper. `reading`: of which reading it is. */
export const instrumentOver = (
  foretold: readonly PatchReading[],
  { paper, reading }: { paper: number; reading: number },
): Instrument =>
  simulatedInstrument(
    foretold.map(({ name, lab }) => ({ name, lab: simulatedDrift(lab, paper) })),
    reading,
  );
