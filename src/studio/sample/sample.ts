import { createReadStream } from 'node:fs';
import { mkdir, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gsm, minor, mm, pixelsFor } from '@/core/units';
import {
  addPaper,
  addWork,
  letGo,
  receiveLot,
  numberFrom,
  readSettings,
  saveSettings,
} from '@/data';
import type { BenchSettings } from '@/data';
import { receive, runInWorker, storePaths } from '@/engine';
import { ownStudio, openStudio, sampleFolder, studio, switchTo } from '../open/open';
import { takeMaster } from '../jobs/takeMaster';
import { now } from '../running/studio';
import type { Studio } from '../running/studio';
import { oneAtATime } from '../running/oneAtATime';
import { todayOf } from '../running/today';
import { ANY_PICTURE } from '../wayIn/received';

/** The original, mm, and how finely it was scanned. */
const SIZE = { width: mm(280), height: mm(210) };
const PPI = 300;
const TITLE = 'Half Moon, Low Water';
const ARTIST = 'Ismay Threlbourne';
/** Rows of a sample are numbered from an instant on: no other studio of this house ever used these numbers. */
const SINCE = Date.UTC(2026, 0, 1);
const NUMBERS_A_SECOND = 1000;

/** What of the own studio's bench holds in the sample, too. */
const likeHome = (s: BenchSettings): Partial<BenchSettings> => ({
  units: s.units,
  tone: s.tone,
  singleKeys: s.singleKeys,
  currency: s.currency,
  locale: s.locale,
  timeZone: s.timeZone,
  country: s.country,
  studio: s.studio === '' ? ARTIST : s.studio,
  settled: true,
  sample: true,
});

/** One painted original, its scan taken in, and a paper for it. Answers the work's number. */
async function fill(sample: Studio, like: BenchSettings): Promise<number> {
  const { currency } = like;
  const at = now();
  const workId = await sample.db.write(async (tx) => {
    await numberFrom(tx, Math.floor((Date.parse(at) - SINCE) / 1000) * NUMBERS_A_SECOND);
    await saveSettings(tx, likeHome(like));
    const paper = await addPaper(tx, {
      name: 'Eiderdown Rag',
      maker: 'Threlbourne & Daughters',
      base: 'cotton',
      surface: 'matte',
      weight: gsm(300),
      thickness: mm(0.48),
      sheetWidth: mm(420),
      sheetHeight: mm(594),
      price: minor(450),
      currency,
      reorderPoint: 5,
      printerSetting: 'matte, thick',
      permanence: '',
      note: 'A paper of the sample: no mill makes it.',
      createdAt: at,
    });
    await receiveLot(tx, {
      paperId: paper,
      kind: 'sheet',
      name: 'first stock',
      width: mm(420),
      height: mm(594),
      pieces: 25,
      price: minor(450),
      currency,
      supplier: '',
      leftOver: false,
      at,
    });
    const { id } = await addWork(tx, {
      title: TITLE,
      artist: ARTIST,
      year: Number(todayOf(like).slice(0, 4)),
      kind: 'painting',
      medium: 'Pastel on grey paper',
      ...SIZE,
      price: minor(60_000),
      currency,
      createdAt: at,
    });
    return id;
  });
  const { temporary, tmp } = storePaths(sample.home);
  await mkdir(tmp, { recursive: true });
  const target = temporary('.tif');
  const paint = {
    target,
    width: pixelsFor(SIZE.width, PPI),
    height: pixelsFor(SIZE.height, PPI),
    ppi: PPI,
  };
  await runInWorker('paintSample', paint, () => undefined, new AbortController().signal);
  const received = await receive(sample.home, createReadStream(target), ANY_PICTURE);
  await rm(target, { force: true });
  await takeMaster(sample, received, workId, 'half-moon_flatbed_300.tif');
  return workId;
}

const end = async (sample: Studio, home: string): Promise<void> => {
  for (const { id } of sample.jobs.list()) sample.jobs.cancel(id);
  while (sample.jobs.list().length > 0) await new Promise((r) => setTimeout(r, 20));
  sample.db.close();
  letGo(home, 'server');
  await rm(home, { recursive: true, force: true });
};

/**
 * Makes a sample studio and opens it instead of the own one, which stays as it is: another
 * database, other files. Null while long work runs; else the number of its work.
 */
export const enterSample = (): Promise<number | null> =>
  oneAtATime('sample', async () => {
    const own = await ownStudio();
    if ((await studio()) !== own || own.jobs.list().length > 0) return null;
    const home = sampleFolder(own.home);
    const sample = await openStudio(home);
    try {
      const workId = await fill(sample, await readSettings(own.db.read));
      await writeFile(join(home, 'ready'), '');
      await switchTo(sample);
      return workId;
    } catch (error) {
      await end(sample, home);
      throw error;
    }
  });

/** Goes back to the own studio, and takes the sample away with all that was done in it. */
export const leaveSample = (): Promise<boolean> =>
  oneAtATime('sample', async () => {
    const [own, sample] = await Promise.all([ownStudio(), studio()]);
    if (own === sample) return false;
    await switchTo(null);
    await end(sample, sampleFolder(own.home));
    return true;
  });
