import type { Intent } from '@/core/prepare';
import { rowConverter } from './masterColour';
import type { MasterColour } from './masterColour';
import type { PrintTarget } from './printTarget';

const GRID = 9;
/** Levels of 65535 by which two ways may differ and still print the same: less than 8 bits tell. */
const SAME = 32;

/** Colours all over what a master can hold. */
function gridOf(channels: 1 | 3): Uint16Array {
  const level = (i: number) => Math.round((i / (GRID - 1)) * 65535);
  const steps = Array.from({ length: GRID }, (_, i) => level(i));
  return channels === 1
    ? Uint16Array.from(steps)
    : Uint16Array.from(
        steps.flatMap((r) => steps.flatMap((g) => steps.flatMap((b) => [r, g, b]))),
      );
}

/**
 * For each intent the first of the list that turns every colour into the same: itself, where it
 * differs from all before it. Into a profile that is only curves and a matrix, all are one.
 */
export async function sameIntents(
  colour: MasterColour,
  channels: 1 | 3,
  into: PrintTarget,
  intents: readonly Intent[],
  blackPoint: boolean,
): Promise<Map<Intent, Intent>> {
  const grid = gridOf(channels);
  const found: { intent: Intent; colours: Uint16Array }[] = [];
  const same = new Map<Intent, Intent>();
  for (const intent of intents) {
    const options = { intent, blackPoint, exact: true };
    const converter = await rowConverter(colour, channels, into, options);
    const colours = converter.toTarget(grid, grid.length / channels);
    converter.close();
    const before = found.find((f) =>
      f.colours.every((v, i) => Math.abs(v - colours[i]!) <= SAME),
    );
    same.set(intent, before?.intent ?? intent);
    if (!before) found.push({ intent, colours });
  }
  return same;
}
