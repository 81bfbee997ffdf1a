/** A single print before the batch, against the batch at once; minor units. */
export interface TestFirst {
  /** Expected to be paid when one is printed and looked at before the rest is ordered. */
  withTest: number;
  /** Expected to be paid when all are ordered at once. */
  atOnce: number;
  /** Above this chance of a fault the test pays; null where it never does below 1. */
  paysFrom: number | null;
}

/**
 * A test print before a batch. With a fault (chance `fault`) one is printed again, then the rest
 * in a batch of its own: total(1) (1 + fault) + total(q - 1). Without a test the whole batch is
 * printed again: total(q) (1 + fault). A fault that a second try has too is left out. Null
 * where a route does not print one, or not so many as are then left.
 * @example testFirst((q) => 1500 + 1000 * q, 10, 0.1) // { withTest: 13250, atOnce: 12650, paysFrom: 0.17 }
 */
export function testFirst(
  total: (quantity: number) => number | null,
  quantity: number,
  fault: number,
): TestFirst | null {
  const [one, rest, all] = [total(1), total(quantity - 1), total(quantity)];
  if (one === null || all === null || (quantity > 1 && rest === null)) return null;
  const after = quantity > 1 ? rest! : 0;
  // one + after + one x f = all + all x f
  const pays = all > one ? (one + after - all) / (all - one) : null;
  return {
    withTest: Math.round(one * (1 + fault) + after),
    atOnce: Math.round(all * (1 + fault)),
    paysFrom: pays !== null && pays < 1 ? Math.max(0, pays) : null,
  };
}
