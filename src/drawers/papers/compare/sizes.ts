/** Sizes that a print may be reckoned at: those that papers are mostly compared for. */
export const SIZES = [
  'isoA-A4',
  'isoA-A3',
  'isoA-A2',
  'metricFrames-30x40',
  'metricFrames-40x50',
  'metricFrames-50x70',
] as const;
