import { defineVersioned, isFigure, isFlag, isText, orNull, shape } from '../../facts';
import type { Guard } from '../../facts';
import type { MasterReading } from './masterReading';

const isList: Guard<unknown[]> = (value): value is unknown[] => Array.isArray(value);

const isReading = shape({
  width: isFigure,
  height: isFigure,
  detail: shape({ fraction: orNull(isFigure), because: isText, curve: isList }),
  specks: shape({ found: isList, more: isFigure, busy: isList }),
  tone: shape({ bins: isList, black: isList, white: isList }),
  noise: shape({ bands: isList, overall: orNull(isFigure) }),
  geometry: shape({ skewDegrees: orNull(isFigure) }),
  deep: isFlag,
});

const asItWas = <T>(stored: T): T => stored;

/**
 * A master's reading as it is stored. Versions 1 and 2 have one shape, and differ in how they
 * were measured: a reading of before can be read, but is never taken for one of now, which is
 * made from the pixels.
 */
export const READING = defineVersioned<MasterReading>({
  name: 'reading',
  upgrades: [asItWas, asItWas],
  holds: isReading,
});

/** Raised (by one more upgrade) whenever a reading of the same file would come out otherwise. */
export const READING_VERSION = READING.version;
