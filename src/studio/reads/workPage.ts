import { access } from 'node:fs/promises';
import { notFound } from 'next/navigation';
import type { Derivation } from '@/core/capture/derivation';
import type { MasterFacts } from '@/core/image';
import type { SpaceId } from '@/core/colour';
import type { Work } from '@/data';
import { getWork, currentMaster, newestJob, readSettings } from '@/data';
import type { BenchSettings, JobKind, PictureFacts, Reading } from '@/data';
import type { JobNow } from '@/engine';
import { storePaths } from '@/engine';
import { followedJob } from '../jobs/startJob';
import { rowId } from '../wayIn/rowId';
import { studio } from '../open/open';
import type { Studio } from '../running/studio';

/** A master as the stations show it. */
export interface MasterView {
  id: number;
  sha256: string;
  /** Under which the pixels and tiles of the picture that prints are made from lie. */
  picture: string;
  name: string;
  /** Facts of the picture that prints are made from. */
  facts: PictureFacts;
  /** Facts of the file itself. */
  file: MasterFacts;
  derivation: Derivation | null;
  assumedSpace: SpaceId | null;
  /** Address of the preview, null until it is made. */
  preview: string | null;
  at: string;
}

/** What every station of a work starts from. */
export interface WorkPage {
  studio: Studio;
  db: Reading;
  settings: BenchSettings;
  work: Work;
  master: MasterView | null;
  jobs: Record<
    'intake' | 'read' | 'inspect' | 'printFile' | 'sheet' | 'handOver',
    JobNow | null
  >;
}

const previewOf = (home: string, sha256: string): Promise<string | null> =>
  access(storePaths(home).preview(sha256)).then(
    () => `/api/previews/${sha256}`,
    () => null,
  );

/** The newest job of a kind of a work, as it stands now. */
async function jobNow(open: Studio, workId: number, kind: JobKind): Promise<JobNow | null> {
  const row = await newestJob(open.db.read, workId, kind);
  return row ? followedJob(open, row) : null;
}

/** Loads a work with its master for a station's page; an unknown work is a page not found. */
export async function loadWorkPage(id: string): Promise<WorkPage> {
  const open = await studio();
  const db = open.db.read;
  const work = await getWork(db, rowId(id));
  if (!work) notFound();
  const job = (kind: JobKind) => jobNow(open, work.id, kind);
  const [settings, master, intake, read, inspect, printFile, sheet, handOver] =
    await Promise.all([
      readSettings(db),
      currentMaster(db, work.id),
      job('intake'),
      job('read'),
      job('inspect'),
      job('printFile'),
      job('sheet'),
      job('handOver'),
    ]);
  return {
    studio: open,
    db,
    settings,
    work,
    master: master
      ? {
          id: master.id,
          sha256: master.sha256,
          picture: master.picture,
          name: master.name,
          facts: master.facts,
          file: master.file,
          derivation: master.derivation,
          assumedSpace: master.assumedSpace,
          preview: await previewOf(open.home, master.picture),
          at: master.at,
        }
      : null,
    jobs: { intake, read, inspect, printFile, sheet, handOver },
  };
}
