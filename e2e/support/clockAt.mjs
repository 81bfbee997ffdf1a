// Read before a server starts: its clock begins at CLOCK_AT and goes on from there.
const Real = globalThis.Date;
const ahead = Real.parse(process.env.CLOCK_AT ?? '') - Real.now();
const now = () => Real.now() + ahead;
if (Number.isFinite(ahead))
  globalThis.Date = new Proxy(Real, {
    construct: (of, given) => new of(...(given.length === 0 ? [now()] : given)),
    apply: () => new Real(now()).toString(),
    get: (of, key) => (key === 'now' ? now : Reflect.get(of, key)),
  });
