/** What the driver of a meter for light offers. */
export interface LightMeter {
  name: string;
  /** What falls on the place where prints are judged: lx, and its colour, K. */
  read(): Promise<{ lux: number; kelvin: number }>;
}

/**
 * A simulated meter on the table under a viewing lamp of about 480 lx and 4950 K, some per cent off as
 * hands and days are. `seed`: of which reading it is.
 */
export const simulatedLightMeter = (seed: number): LightMeter => ({
  name: 'light meter (simulated)',
  read: () =>
    Promise.resolve({
      lux: 480 + ((Math.abs(seed) * 7) % 41) - 20,
      kelvin: 4950 + ((Math.abs(seed) * 13) % 81) - 40,
    }),
});
