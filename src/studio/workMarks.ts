import { nominalSize, rung } from '@/core/sizing';
import type { MasterPixels, Rung } from '@/core/sizing';
import { markStations } from '@/core/work';
import type { Mark, Station, WorkFacts } from '@/core/work';
import { countedWorks, readSettings } from '@/data';
import type { BenchSettings, CountedWork, Master, Reading, SizeEvent, Work } from '@/data';

/** A size on offer, laid out and judged with the master of now; null rung when it cannot be laid out. */
export function judgeOffered(
  offered: Pick<SizeEvent, 'sizeKey' | 'fit' | 'border'>,
  master: { facts: MasterPixels } | undefined,
  settings: Pick<BenchSettings, 'sizing'>,
): Rung | null {
  const nominal = nominalSize(offered.sizeKey);
  return nominal && master
    ? rung(nominal, master.facts, offered.border, offered.fit, settings.sizing)
    : null;
}

export interface MarkedWork {
  work: Work;
  master: Master | undefined;
  facts: WorkFacts;
  marks: Record<Station, Mark>;
}

const READ_STATE = {
  queued: 'reading',
  running: 'reading',
  done: 'ready',
  failed: 'failed',
  cancelled: 'failed',
  cutOff: 'failed',
} as const;

function factsOf(counted: CountedWork, settings: BenchSettings): WorkFacts {
  const { master, offered, reading, finished, ...counts } = counted;
  return {
    ...counts,
    masterRead: master ? READ_STATE[reading ?? 'done'] : 'none',
    untagged: Boolean(
      master && master.facts.iccDescription === null && master.assumedSpace === null,
    ),
    offered: offered.length,
    offeredFallingShort: offered.filter(
      (o) => judgeOffered(o, master, settings)?.judgement.advice === 'withdraw',
    ).length,
    finished: Number(finished),
  };
}

/** The given works with how far each has come along the rule. `today` is an ISO day. */
export async function markedWorks(
  db: Reading,
  ids: number[],
  today: string,
): Promise<MarkedWork[]> {
  const [settings, counted] = await Promise.all([
    readSettings(db),
    countedWorks(db, ids, today),
  ]);
  return counted.map((c) => {
    const facts = factsOf(c, settings);
    return { work: c.work, master: c.master, facts, marks: markStations(facts) };
  });
}
