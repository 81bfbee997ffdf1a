/** What was typed may mean one of these: nothing is guessed, one of them is picked. */
export class Undecided<T> {
  constructor(readonly readings: readonly T[]) {}
}

/** What was typed is understood, and cannot be kept for this reason. */
export class Unfit {
  constructor(readonly because: string) {}
}

/** The one value that a text means here; else what it may mean; null where it means nothing. */
export function settle<T>(
  own: readonly T[],
  elsewhere: readonly T[],
): T | Undecided<T> | null {
  if (own.length === 1) return own[0]!;
  const readings = own.length > 1 ? own : elsewhere;
  return readings.length === 0 ? null : new Undecided(readings);
}
