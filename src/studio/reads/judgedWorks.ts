import type { Reading } from '@/data';

/** Works judged before anything else has its turn. */
const SLICE = 50;

const turn = () => new Promise((r) => setImmediate(r));

/** What is found of works, and how it is known of which of them it must be found anew. */
export interface Judging<F extends { workId: number }, S, M> {
  /** What all of it depends on, told so that it can be compared: another begins anew. */
  rules: (db: Reading, settings: S) => string | Promise<string>;
  /** Where everything that was written stood; `nothing`: before all of it. */
  nothing: M;
  mark: (db: Reading) => Promise<M>;
  changedSince: (db: Reading, mark: M) => Promise<number[]>;
  judge: (db: Reading, workIds: number[], settings: S) => Promise<F[]>;
}

/**
 * Judges works: all of them once, slice by slice so that others have their turn, and from then on only
 * those about which something was written since. Other rules begin anew.
 */
export class JudgedWorks<F extends { workId: number }, S, M> {
  private rules = '';
  private since: M;
  private readonly byWork = new Map<number, F[]>();
  private waiting = 0;
  private running: Promise<void> | null = null;

  constructor(private readonly judging: Judging<F, S, M>) {
    this.since = judging.nothing;
  }

  /** What was found, by work; and how many works have not been judged yet. */
  async upTo(
    db: Reading,
    settings: S,
    patienceMs = 50,
  ): Promise<{ found: F[]; waiting: number }> {
    const rules = await this.judging.rules(db, settings);
    // A pass under other rules is let end first: what it says does not hold any more.
    while (this.running && this.rules !== rules) await this.running.catch(() => undefined);
    const pass = (this.running ??= this.pass(db, settings, rules).finally(() => {
      this.running = null;
    }));
    const late = new Promise<void>((r) => setTimeout(r, patienceMs).unref());
    await Promise.race([pass, late]);
    const found = [...this.byWork.entries()]
      .sort(([a], [b]) => a - b)
      .flatMap(([, f]) => f);
    return { found, waiting: this.waiting };
  }

  private async pass(db: Reading, settings: S, rules: string): Promise<void> {
    const { nothing, mark, changedSince, judge } = this.judging;
    if (rules !== this.rules) {
      this.byWork.clear();
      this.since = nothing;
      this.rules = rules;
    }
    const now = await mark(db);
    const ids = await changedSince(db, this.since);
    for (let from = 0; from < ids.length; from += SLICE) {
      this.waiting = ids.length - from;
      if (from > 0) await turn();
      const slice = ids.slice(from, from + SLICE);
      slice.forEach((id) => this.byWork.delete(id));
      for (const found of await judge(db, slice, settings))
        this.byWork.set(found.workId, [...(this.byWork.get(found.workId) ?? []), found]);
    }
    this.waiting = 0;
    this.since = now;
  }
}

type Judges = Record<string, WeakMap<Reading, unknown>>;
const held = globalThis as { glassineJudges?: Judges };

/** The one judge of its kind of an open studio. */
export function judgeOf<J>(name: string, db: Reading, make: () => J): J {
  const judges = ((held.glassineJudges ??= {})[name] ??= new WeakMap<Reading, unknown>());
  const known = (judges.get(db) as J | undefined) ?? make();
  judges.set(db, known);
  return known;
}
