import { access } from 'node:fs/promises';
import { notFound } from 'next/navigation';
import type { MasterFacts } from '@/core/image';
import type { SpaceId } from '@/core/colour';
import type { Work } from '@/data';
import { getWork, currentMaster, jobsOfWork, readSettings } from '@/data';
import type { BenchSettings, JobRow, Reading } from '@/data';
import { storePaths } from '@/engine';
import { studio } from './open';
import type { Studio } from './open';

/** A master as the stations show it. */
export interface MasterView {
  id: number;
  sha256: string;
  name: string;
  facts: MasterFacts;
  assumedSpace: SpaceId | null;
  /** Address of the preview, null until it is made. */
  preview: string | null;
  at: string;
}

export interface JobLineView {
  id: number;
  state: JobRow['state'];
  stage: string;
  share: number;
  error: string | null;
}

/** What every station of a work starts from. */
export interface WorkPage {
  studio: Studio;
  db: Reading;
  settings: BenchSettings;
  work: Work;
  master: MasterView | null;
  jobs: { read: JobLineView | null; printFile: JobLineView | null };
}

const previewOf = (home: string, sha256: string): Promise<string | null> =>
  access(storePaths(home).preview(sha256)).then(
    () => `/api/previews/${sha256}`,
    () => null,
  );

/** Loads a work with its master for a station's page; an unknown work is a page not found. */
export async function loadWorkPage(id: string): Promise<WorkPage> {
  const open = await studio();
  const db = open.db.read;
  const work = /^\d+$/.test(id) ? await getWork(db, Number(id)) : undefined;
  if (!work) notFound();
  const [settings, master, jobs] = await Promise.all([
    readSettings(db),
    currentMaster(db, work.id),
    jobsOfWork(db, work.id),
  ]);
  const line = (kind: JobRow['kind']): JobLineView | null => {
    const row = jobs.find((j) => j.kind === kind);
    const live = row && open.jobs.get(row.id);
    return row
      ? {
          id: row.id,
          state: row.state,
          stage: live?.stage ?? row.stage,
          share: live?.share ?? 0,
          error: row.error,
        }
      : null;
  };
  return {
    studio: open,
    db,
    settings,
    work,
    master: master
      ? {
          id: master.id,
          sha256: master.sha256,
          name: master.name,
          facts: master.facts,
          assumedSpace: master.assumedSpace,
          preview: await previewOf(open.home, master.sha256),
          at: master.at,
        }
      : null,
    jobs: { read: line('read'), printFile: line('printFile') },
  };
}
