import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { endRealWorkers, startRealWorkers } from './inProcess';
import { unpackArchive } from '@/engine/store/archive';
import { restoreBackup } from '@/studio/safekeeping/restore';

const AT = 'e2e/fixtures/studio-before-lines';

/** What the version that made the backup said of it. */
export const SAID_BEFORE = JSON.parse(readFileSync(`${AT}.json`, 'utf8')) as {
  impressions: object[];
  hashes: string[];
  ledger: { sound: boolean; entries: number };
  sums: { sold: number; gross: number; net: number; postage: number };
  sales: { work: string; sizeKey: string; channel: string; gross: number; net: number }[];
  orders: {
    number: string;
    channel: string;
    price: number;
    placedAt: string;
    dueOn: string;
    customer: string;
    sizeKey: string;
    series: string;
    impression: number;
    sealed: number;
    shippedAt: string | null;
    postage: number;
  }[];
  prices: object[];
  stock: object[];
  documents: { number: string; kind: string; sha256: string }[];
};

/** The backup as a file, for the while. */
async function withBackup<T>(run: (archive: string) => Promise<T>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'before-'));
  const archive = join(folder, 'before.zip');
  writeFileSync(archive, gunzipSync(readFileSync(`${AT}.zip.gz`)));
  await run(archive);
  rmSync(folder, { recursive: true });
}

/** What is in the backup as it was, unpacked and nothing more, into a folder. */
export const unpackBefore = (home: string): Promise<void> =>
  withBackup((archive) => unpackArchive({ archive, folder: home }, () => undefined));

/** A backup that was made when an order was of one impression, restored into a folder that is not there yet. */
export async function restoreBefore(home: string): Promise<void> {
  startRealWorkers();
  await withBackup((archive) => restoreBackup(archive, home));
  await endRealWorkers();
}
