/** Before this much is done, or this long has passed, an estimate would only jump about. */
const FIRST_SHARE = 0.03;
const FIRST_MS = 1500;

/**
 * Seconds that work will still take, if it goes on as it went: `share` 0..1 done in
 * `elapsedMs`. Null while it is too early to say.
 * @example secondsLeft(0.25, 10_000) // 30
 */
export function secondsLeft(share: number, elapsedMs: number): number | null {
  if (share >= 1) return 0;
  if (share < FIRST_SHARE || elapsedMs < FIRST_MS) return null;
  return (elapsedMs * (1 - share)) / share / 1000;
}
