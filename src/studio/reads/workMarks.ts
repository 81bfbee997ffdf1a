import { judgedNow, nominalSize, reopened, rung } from '@/core/size';
import type { MasterPixels, Rung } from '@/core/size';
import { markStations } from '@/core/work';
import type { Mark, Station, WorkFacts } from '@/core/work';
import { countedWorks, readSettings } from '@/data';
import { markReasons } from '../words/markWords';
import { lapsedReferences } from './referenceOf';
import type { BenchSettings, CountedWork, Master, Reading, SizeEvent, Work } from '@/data';

/** A size on offer, laid out and judged with the master of now; null rung when it cannot be laid out. */
export function judgeOffered(
  offered: Pick<SizeEvent, 'sizeKey' | 'layout'>,
  master: { facts: MasterPixels } | undefined,
  settings: Pick<BenchSettings, 'size'>,
): Rung | null {
  const nominal = nominalSize(offered.sizeKey);
  return nominal && master
    ? rung(nominal, master.facts, offered.layout, settings.size)
    : null;
}

export interface MarkedWork {
  work: Work;
  master: Master | undefined;
  facts: WorkFacts;
  marks: Record<Station, Mark>;
  /** Why a station needs attention, in words. */
  why: Partial<Record<Station, string>>;
}

const READ_STATE = {
  queued: 'reading',
  running: 'reading',
  done: 'ready',
  failed: 'failed',
  cancelled: 'failed',
  cutOff: 'failed',
} as const;

function factsOf(
  counted: CountedWork,
  settings: BenchSettings,
  referencesLapsed: number,
): WorkFacts {
  const { master, offered, reading, finished, ...counts } = counted;
  const judged = offered.map((o) => ({ o, rung: judgeOffered(o, master, settings) }));
  return {
    ...counts,
    referencesLapsed,
    masterRead: master ? READ_STATE[reading ?? 'done'] : 'none',
    untagged: Boolean(
      master && master.facts.iccDescription === null && master.assumedSpace === null,
    ),
    offered: offered.length,
    offeredFallingShort: judged.filter(({ rung: r }) => r?.judgement.advice === 'withdraw')
      .length,
    offeredReopened: judged.filter(
      ({ o, rung: r }) =>
        r && master && reopened('offered', o.judged, judgedNow(r.judgement, master.id)),
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
  const [settings, counted, allLapsed] = await Promise.all([
    readSettings(db),
    countedWorks(db, ids, today),
    lapsedReferences(db, ids),
  ]);
  return counted.map((c) => {
    const lapsed = allLapsed.filter((l) => l.workId === c.work.id);
    const facts = factsOf(c, settings, lapsed.length);
    const marks = markStations(facts);
    return {
      work: c.work,
      master: c.master,
      facts,
      marks,
      why: markReasons(facts, lapsed),
    };
  });
}
