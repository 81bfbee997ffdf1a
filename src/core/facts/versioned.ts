/** A fact that is kept as JSON: its newest version, and how every earlier one becomes it. */
export interface Versioned<T> {
  /** What it is called where one cannot be read. */
  name: string;
  version: number;
  /** The value as it is stored: with its version. */
  write(value: T): Record<string, unknown>;
  /**
   * A stored fact of any version as one of the newest. What carries no version is of
   * version 0. Throws UnreadableFact when it is newer than this program, or is no such fact.
   */
  read(stored: unknown): T;
}

/** A stored fact that this program cannot read: which one, and why. */
export class UnreadableFact extends Error {
  constructor(name: string, why: string) {
    super(`a stored ${name} cannot be read: ${why}`);
  }
}

type Stored = Record<string, unknown>;

/**
 * Defines a fact kept as JSON. `upgrades[n]` makes version n + 1 of version n; `holds` says
 * whether a value of the newest version is whole.
 * Its `read` throws UnreadableFact where a stored value is not whole.
 * @example defineVersioned({ name: 'crop', upgrades: [(old) => ({ zoom: 1, ...old })], holds })
 */
export function defineVersioned<T extends object>({
  name,
  upgrades,
  holds,
}: {
  name: string;
  upgrades: ((stored: Stored) => Stored)[];
  holds: (value: Stored) => boolean;
}): Versioned<T> {
  const version = upgrades.length;
  return {
    name,
    version,
    write: (value) => ({ version, ...value }),
    read(stored) {
      if (typeof stored !== 'object' || stored === null || Array.isArray(stored))
        throw new UnreadableFact(name, 'it is no object');
      const { version: of = 0, ...rest } = stored as Stored;
      if (typeof of !== 'number' || !Number.isInteger(of) || of < 0 || of > version)
        throw new UnreadableFact(
          name,
          `its version is ${String(of)}, known are 0 to ${version}`,
        );
      const value = upgrades.slice(of).reduce((old, upgrade) => upgrade(old), rest);
      if (!holds(value)) throw new UnreadableFact(name, `version ${of} of it is not whole`);
      return value as T;
    },
  };
}

/** Whether a value is such a fact, of whatever version, and can be read. */
export const isFact =
  <T extends object>(fact: Versioned<T>) =>
  (value: unknown): value is T => {
    try {
      fact.read(value);
      return true;
    } catch {
      return false;
    }
  };

/**
 * Whether each of the names holds a finite number.
 * @example numbersIn({ x: 1, y: NaN }, 'x', 'y') // false
 */
export const numbersIn = (value: unknown, ...names: string[]): boolean =>
  typeof value === 'object' &&
  value !== null &&
  names.every((n) => Number.isFinite((value as Stored)[n]));
