import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { loadTable } from '@/drawers/table/view';
import { backupName, restoreBackup } from '@/studio';
import { checkStore, makeBackup, setBackupFolder } from './actions';
import { loadSafekeeping } from './view';
import { backupSentence, checkWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
const place = mkdtempSync(join(tmpdir(), 'glassine-place-'));
beforeAll(async () => {
  here = await inProcess();
});
afterAll(async () => {
  await here.end();
  rmSync(place, { recursive: true });
});

it('names a backup by its instant, so that names sort by time', () => {
  expect(backupName('2026-11-24T09:08:07.000Z')).toBe('glassine-2026-11-24-090807.zip');
});

it('puts backups where it is told, and says why it cannot', async () => {
  expect((await loadSafekeeping()).folder).toBe(join(here.open.home, 'backups'));
  const folder = join(place, 'new', 'folder');
  expect(await setBackupFolder({ folder })).toMatchObject({ ok: true });
  expect(existsSync(folder)).toBe(true);
  expect(await loadSafekeeping()).toMatchObject({ folder, chosenFolder: folder });
  writeFileSync(join(place, 'a-file'), '');
  for (const bad of ['backups', './x', join(place, 'a-file', 'below')])
    expect(await setBackupFolder({ folder: bad })).toMatchObject({
      ok: false,
      fields: { folder: expect.stringContaining(bad) },
    });
  expect((await loadSafekeeping()).folder).toBe(folder);
});

it('a backup and a check are jobs that are shown while they are under way', async () => {
  const made = await makeBackup();
  const checked = await checkStore();
  const view = await loadSafekeeping();
  expect(view.making).toMatchObject({ id: (made as { value: number }).value });
  expect(view.checking).toMatchObject({ id: (checked as { value: number }).value });
  expect((await loadTable()).jobs.map((j) => j.job.kind).sort()).toEqual([
    'backup',
    'check',
  ]);
  for (const answer of [made, checked])
    here.open.jobs.cancel((answer as { value: number }).value);
});

it('says what the age and place of the last backup mean', () => {
  expect(backupSentence(null, true)).toContain('One press makes a whole backup');
  expect(backupSentence(3, true)).toContain('same disk');
  expect(backupSentence(0, false)).toBe('Saved today, on another disk.');
  expect(backupSentence(1, false)).toBe('Saved 1 day ago, on another disk.');
  expect(backupSentence(9, false)).toBe('Saved 9 days ago, on another disk.');
});

it('names each file that is not what it was, with what depends on it and what to do', () => {
  const format = { day: (d: string) => d, number: String } as never;
  const sound = { files: 3, bytes: 2e6, at: '2026-11-02', missing: [], damaged: [] };
  const whole = { ...sound, ledger: { sound: true as const, entries: 9 } };
  expect(checkWords(whole, format)).toMatchObject({ sound: true, lines: [] });
  const sha256 = 'ab'.repeat(32);
  const bad = checkWords(
    {
      ...sound,
      missing: [{ sha256, what: ['the master sea.tif of “Slack Water”'] }],
      damaged: [{ sha256, what: [] }],
      ledger: { sound: false, brokenAt: 4, why: 'changed' },
    },
    format,
  );
  expect(bad.sound).toBe(false);
  expect(bad.lines).toEqual([
    expect.stringMatching(
      /^Missing: the master sea\.tif of “Slack Water”\. Bring back files\/ab\/ab/,
    ),
    expect.stringMatching(/^Damaged: abababababababab\./),
    'The edition ledger is broken at entry 4.',
  ]);
});

it('restores nothing over something, and nothing from what is no backup', async () => {
  const archive = join(place, 'no.zip');
  writeFileSync(archive, 'not a ZIP');
  await expect(restoreBackup(archive, here.open.home)).rejects.toThrow('is not empty');
});
