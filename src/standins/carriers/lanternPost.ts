import type { SimulatedCarrier } from './simulated';

export const LANTERN_POST: SimulatedCarrier = {
  name: 'Lantern Post',
  prefix: 'LP',
  services: [
    {
      service: 'flat, tracked',
      days: '2–3',
      divisor: 5000,
      maxGrams: 2000,
      maxLongest: 650,
      maxDepth: 50,
      base: 390,
      perHalfKilo: 110,
    },
    {
      service: 'roll, tracked',
      days: '2–4',
      divisor: 5000,
      maxGrams: 5000,
      maxLongest: 1200,
      maxDepth: 120,
      base: 520,
      perHalfKilo: 140,
    },
  ],
};
