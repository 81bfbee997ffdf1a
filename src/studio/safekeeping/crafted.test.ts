import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { inProcess, startRealWorkers } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { GET } from '@/app/api/documents/[id]/route';
import { getJob } from '@/data';
import { storePaths } from '@/engine';
import { startJob } from '../jobs/startJob';
import { startBackup } from './backup';
import { restoreBackup } from './restore';

const AT = '2026-11-05T10:00:00.000Z';
let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  startRealWorkers();
  // A sound studio: its one master is there.
  const bytes = 'the bytes of a master';
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  await here.take({}, sha256);
  mkdirSync(dirname(storePaths(here.open.home).file(sha256)), { recursive: true });
  writeFileSync(storePaths(here.open.home).file(sha256), bytes);
});
afterAll(() => here.end());

const document = (sha256: string) =>
  here.open.db.write((tx) =>
    tx.run(
      `INSERT INTO document (order_id, parcel_id, kind, name, sha256, at)
       VALUES (1, 1, 'label', 'label.pdf', '${sha256}', '${AT}')`,
    ),
  );

/** A backup of the studio as it is. */
async function backup(): Promise<string> {
  const folder = join(here.open.home, 'backups');
  mkdirSync(folder, { recursive: true });
  const id = await startBackup(here.open, folder, AT);
  while (here.open.jobs.get(id)?.state !== 'done')
    await new Promise((r) => setTimeout(r, 20));
  const { target } = (await getJob(here.open.db.read, id))!.spec as { target: string };
  return target;
}

it('a row that names a path instead of a hash leads to no file, and into no studio', async () => {
  const sound = await backup();
  await restoreBackup(sound, join(here.open.home, 'restored'));
  await document('../../../../../../etc/passwd');
  const [row] = await here.rows<{ id: number }>('SELECT max(id) AS id FROM document');
  const answer = await GET(new Request('http://x/'), {
    params: Promise.resolve({ id: String(row!.id) }),
  });
  expect(answer.status).toBe(404);
  const { id, ended } = await startJob(here.open, {
    kind: 'check',
    workId: null,
    spec: {},
    at: AT,
  });
  await ended;
  expect((await getJob(here.open.db.read, id))!.result).toMatchObject({
    missing: expect.arrayContaining([
      expect.objectContaining({ what: [expect.stringContaining('the label of order')] }),
    ]),
  });
  const crafted = await backup();
  const folder = join(here.open.home, 'again');
  await expect(restoreBackup(crafted, folder)).rejects.toThrow(/which is no hash/);
  expect(existsSync(folder)).toBe(false);
});

it('of two restores into one folder at once one is there, whole', async () => {
  const folder = join(here.open.home, 'twice');
  const archive = join(here.open.home, 'backups', 'glassine-2026-11-05-100000.zip');
  const ends = await Promise.allSettled([
    restoreBackup(archive, folder),
    restoreBackup(archive, folder),
  ]);
  expect(ends.map((e) => e.status).sort()).toEqual(['fulfilled', 'rejected']);
  expect(existsSync(join(folder, 'studio.db'))).toBe(true);
  expect(existsSync(`${folder}.restoring`)).toBe(false);
});
