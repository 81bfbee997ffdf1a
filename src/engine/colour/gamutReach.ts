import { devicePlaces, nearestColour, startsOf } from '@/core/colour';
import type { DeviceTable } from '@/core/colour';
import { differences, labAt } from '@/core/proof';
import { floatTransform, floatsOf } from './littleCms';
import type { PrintTarget } from './printTarget';

/** Places of the table of a device's colours along each axis. */
const POINTS = { 3: 33, 4: 15 } as const;
/** Below this a colour is not looked for further: its profile comes near enough. */
const NEAR = 0.3;

/** What of all colours a profile can print, relative to its paper's white. */
export interface GamutReach {
  /** The colours of device values over a grid. */
  table: DeviceTable;
  /** CIEDE2000 from each colour (L*a*b*, relative colorimetric) to the nearest that can be printed. */
  distance(lab: Float32Array): Float32Array<ArrayBuffer>;
  close(): void;
}

/** Opens a profile to be asked what it can print. Throws where it cannot be asked. */
export async function gamutReach({ icc, channels }: PrintTarget): Promise<GamutReach> {
  const device = { end: icc, as: floatsOf(channels) };
  const lab = { end: 'lab', as: 'lab' } as const;
  const by = { intent: 'relative', blackPoint: false } as const;
  const [there, back] = await Promise.all([
    floatTransform(lab, device, by),
    floatTransform(device, lab, by),
  ]);
  const whole = channels === 4 ? 100 : 1;
  const colours = (values: Float32Array) => back.convert(values.map((v) => v * whole));
  const points = POINTS[channels];
  const table: DeviceTable = {
    channels,
    points,
    lab: colours(devicePlaces(channels, points)),
  };
  const starts = startsOf(table);
  return {
    table,
    distance(wanted) {
      const values = there.convert(wanted).map((v) => Math.min(1, Math.max(0, v / whole)));
      const found = differences(wanted, colours(values));
      const far: number[] = [];
      found.forEach((v, i) => {
        if (v > NEAR) far.push(i);
      });
      if (far.length === 0) return found;
      const better = new Float32Array(far.length * channels);
      far.forEach((i, k) => {
        const guess = values.subarray(i * channels, (i + 1) * channels);
        better.set(
          nearestColour(table, starts, labAt(wanted, i), guess).device,
          k * channels,
        );
      });
      const reached = colours(better);
      const asked = Float32Array.from(far.flatMap((i) => labAt(wanted, i)));
      differences(asked, reached).forEach((v, k) => {
        found[far[k]!] = Math.min(found[far[k]!]!, v);
      });
      return found;
    },
    close() {
      there.close();
      back.close();
    },
  };
}

/** The colour of the bare paper and of its deepest black, L*a*b* relative to the paper's white. */
export const deepestOf = (table: DeviceTable): number => {
  let least = 100;
  for (let i = 0; i < table.lab.length; i += 3) least = Math.min(least, table.lab[i]!);
  return least;
};
