import { lyingLabel, nominalSize } from '@/core/size';
import { NOTHING_OFFERED, offeredMark, offeredWithPixels, worksChangedSince } from '@/data';
import type { BenchSettings, OfferedMark, OfferedPixels, Reading } from '@/data';
import { judgeOffered } from './workMarks';

/** A size on offer that the master of now is too small for. */
export interface Short {
  workId: number;
  /** How the size is called, as the sheet lies. */
  size: string;
  ppi: number;
}

/** Works judged before anything else has its turn. */
const SLICE = 50;

const turn = () => new Promise((r) => setImmediate(r));

function shortOf(
  offered: OfferedPixels,
  settings: Pick<BenchSettings, 'size'>,
): Short | null {
  const { workId, sizeKey, pixels } = offered;
  const rung = judgeOffered(offered, { facts: pixels }, settings);
  if (rung?.judgement.advice !== 'withdraw') return null;
  const size = lyingLabel(nominalSize(sizeKey)!, rung.fit.sheet);
  return { workId, size, ppi: rung.judgement.figures.ppi };
}

/**
 * Judges what is on offer: all of it once, slice by slice so that others have their turn, and
 * from then on only the works about which something was written since. Other rules of thumb
 * begin anew.
 */
export class FallingShort {
  private rules = '';
  private mark: OfferedMark = NOTHING_OFFERED;
  private readonly byWork = new Map<number, Short[]>();
  private waiting = 0;
  private running: Promise<void> | null = null;

  /** Sizes that fall short, by work; and how many works have not been judged yet. */
  async upTo(
    db: Reading,
    settings: Pick<BenchSettings, 'size'>,
    patienceMs = 50,
  ): Promise<{ short: Short[]; waiting: number }> {
    const rules = JSON.stringify(settings.size);
    // A pass under other rules is let end first: what it says does not hold any more.
    while (this.running && this.rules !== rules) await this.running.catch(() => undefined);
    const pass = (this.running ??= this.pass(db, settings, rules).finally(() => {
      this.running = null;
    }));
    const late = new Promise<void>((r) => setTimeout(r, patienceMs).unref());
    await Promise.race([pass, late]);
    const short = [...this.byWork.entries()]
      .sort(([a], [b]) => a - b)
      .flatMap(([, s]) => s);
    return { short, waiting: this.waiting };
  }

  private async pass(
    db: Reading,
    settings: Pick<BenchSettings, 'size'>,
    rules: string,
  ): Promise<void> {
    if (rules !== this.rules) {
      this.byWork.clear();
      this.mark = NOTHING_OFFERED;
      this.rules = rules;
    }
    const mark = await offeredMark(db);
    const ids = await worksChangedSince(db, this.mark);
    for (let from = 0; from < ids.length; from += SLICE) {
      this.waiting = ids.length - from;
      if (from > 0) await turn();
      const slice = ids.slice(from, from + SLICE);
      slice.forEach((id) => this.byWork.delete(id));
      for (const offered of await offeredWithPixels(db, slice)) {
        const short = shortOf(offered, settings);
        if (!short) continue;
        this.byWork.set(short.workId, [...(this.byWork.get(short.workId) ?? []), short]);
      }
    }
    this.waiting = 0;
    this.mark = mark;
  }
}

const held = globalThis as { glassineFallingShort?: WeakMap<Reading, FallingShort> };

/** The one judge of an open studio. */
export function fallingShort(db: Reading): FallingShort {
  const judges = (held.glassineFallingShort ??= new WeakMap<Reading, FallingShort>());
  const known = judges.get(db) ?? new FallingShort();
  judges.set(db, known);
  return known;
}
