import {
  adviseSize,
  adviseTags,
  masterVerdict,
  readingCautions,
  sampledPpi,
} from '@/core/capture';
import { BOARD_RULE, judgeEvenness } from '@/core/capture/evenness';
import type { Evenness } from '@/core/capture/evenness';
import { gridsOf } from '@/core/capture/reading';
import { verdictsFor } from '@/core/capture/specks';
import { zoomLevels } from '@/core/image';
import type { MasterFacts } from '@/core/image';
import { largestEnlarged } from '@/core/size';
import {
  boardReadBefore,
  boardShotOf,
  listDevices,
  masterReading,
  mastersOf,
  printWishOf,
  signatureOf,
  speckVerdicts,
} from '@/data';
import type { BenchSettings, BoardShot, Reading } from '@/data';
import { TILE } from '@/engine';
import { canName, loadWorkPage } from '@/studio';
import type { MasterView } from '@/studio';
import { asDevice } from './devices';
import { linearOf } from './linear';
import { sheetOf } from './sheetNames';
import { loadVersions } from './versions';

/** Evenness of a board shot by the rules in force; null without one. */
function evennessOf(shot: BoardShot | null, settings: BenchSettings): Evenness | null {
  if (!shot) return null;
  const grid = { ...shot.grid, light: Float64Array.from(shot.grid.light) };
  return judgeEvenness(grid, settings.capture);
}

const zoomOf = (sha256: string, { width, height }: MasterFacts) => ({
  sha256,
  width,
  height,
  tile: TILE,
  top: zoomLevels(width, height, TILE)[0]!.level,
});

/** What was read of the master, with what the user said of it, and the one verdict. */
async function judged(
  db: Reading,
  workId: number,
  master: MasterView,
  original: { width: number; height: number },
  settings: BenchSettings,
) {
  const [reading, given, shot, signature] = await Promise.all([
    masterReading(db, master.sha256),
    speckVerdicts(db, workId),
    boardShotOf(db, workId),
    signatureOf(db, workId),
  ]);
  const { file, facts } = master;
  const size = original as Parameters<typeof sampledPpi>[1];
  const sampled = sampledPpi(facts, size);
  const evenness = evennessOf(shot, settings);
  const verdicts = reading ? verdictsFor(reading.specks.found, given, file) : [];
  const cautions = [
    ...adviseTags(file, Math.min(sampled.across, sampled.down), master.assumedSpace),
    ...(reading
      ? readingCautions({
          reading,
          facts: file,
          specks: verdicts,
          cropped: Boolean(master.derivation?.corners),
          flatFielded: Boolean(master.derivation?.flatField),
          evenness,
        })
      : []),
    ...adviseSize(facts, size, settings.size.printPpi),
    ...(signature ? [] : [{ code: 'signatureUnknown' as const }]),
  ];
  return {
    reading: reading ?? null,
    verdicts,
    board: shot && {
      name: shot.name,
      at: shot.at,
      width: shot.width,
      height: shot.height,
      outdated: shot.rule < BOARD_RULE,
      /** Stops of falloff by an earlier rule, where this very photograph was read by one. */
      before: evennessOf(await boardReadBefore(db, shot), settings)?.falloff ?? null,
    },
    evenness,
    signature: signature?.present ?? null,
    cautions,
    verdict: masterVerdict(cautions),
    sampled,
    native: largestEnlarged('native', facts, settings.size),
    grids: gridsOf(file.width, file.height),
    picture: zoomOf(master.sha256, file),
  };
}

/** The capture station: its plan, and the master as it was read. */
export async function loadCapture(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { studio, db, work, master, settings, jobs } = page;
  const sheet = sheetOf(query.sheet, master !== null);
  const [devices, wish] = await Promise.all([listDevices(db), printWishOf(db, work.id)]);
  const found = master && (await judged(db, work.id, master, work, settings));
  return {
    sheet,
    work,
    master,
    found,
    jobs: { read: jobs.read, inspect: jobs.inspect },
    printPpi: settings.size.printPpi,
    naming: canName(),
    rules: settings.capture,
    plan: {
      devices: devices.map((row) => ({ id: row.id, device: asDevice(row), row })),
      wish,
      hire: settings.hire,
    },
    linear:
      sheet === 'tone' && master && found?.reading
        ? await linearOf(studio, master, found.reading)
        : null,
    versions:
      sheet === 'versions' ? await loadVersions(db, await mastersOf(db, work.id)) : [],
  };
}

export type CaptureView = Awaited<ReturnType<typeof loadCapture>>;
export type FoundMaster = NonNullable<CaptureView['found']>;
