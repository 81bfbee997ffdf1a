const lines = new Map<string, Promise<unknown>>();

/**
 * Runs what concerns one thing one after the other, in the order in which it was asked for;
 * what concerns other things runs beside it.
 */
export function oneAtATime<T>(thing: string, work: () => Promise<T>): Promise<T> {
  const turn = (lines.get(thing) ?? Promise.resolve()).then(work);
  const ended = turn.then(
    () => undefined,
    () => undefined,
  );
  lines.set(thing, ended);
  void ended.then(() => {
    if (lines.get(thing) === ended) lines.delete(thing);
  });
  return turn;
}
