import type { SimulatedCarrier } from './simulated';

const NEXT_DAY = {
  days: '1',
  divisor: 4000,
  maxGrams: 30000,
  maxLongest: 1500,
  maxDepth: 600,
  perHalfKilo: 100,
};

export const FEN_AND_FAR: SimulatedCarrier = {
  name: 'Fen & Far',
  prefix: 'FF',
  services: [
    { service: 'next day', base: 940, ...NEXT_DAY },
    { service: 'next day, insured', base: 1115, ...NEXT_DAY },
  ],
};
