import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { loadTable } from '@/drawers/table/view';
import { storePaths } from '@/engine';
import { backupName, namedFile, restoreBackup, startBackup } from '@/studio';
import {
  checkStore,
  makeBackup,
  setBackupFolder,
  takeUnnamedAway,
  restoreHere,
} from './actions';
import { loadSafekeeping } from './view';
import { backupSentence, checkWords, unnamedWords } from './words';

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
  const at = '2026-11-24T02:08:07.000Z';
  expect(backupName(at, 'UTC')).toBe('glassine-2026-11-24-020807.zip');
  // In the evening of the day before, where the studio is.
  expect(backupName(at, 'America/New_York')).toBe('glassine-2026-11-23-210807.zip');
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

it('a backup that is asked for while one is under way is that one; another has its own name', async () => {
  const [first, second] = (await Promise.all([makeBackup(), makeBackup()])) as {
    value: number;
  }[];
  expect(second).toEqual(first);
  here.open.jobs.cancel(first!.value);
  while (
    (
      await here.rows(
        "SELECT id FROM job WHERE kind = 'backup' AND state IN ('queued', 'running')",
      )
    ).length > 0
  )
    await new Promise((r) => setTimeout(r, 20));
  const at = '2026-11-24T09:08:07.000Z';
  const { folder } = await loadSafekeeping();
  writeFileSync(join(folder, backupName(at, 'UTC')), 'the one of this second');
  const id = await startBackup(here.open, folder, at);
  const [row] = await here.rows<{ spec: string }>(`SELECT spec FROM job WHERE id = ${id}`);
  const { target, part } = JSON.parse(row!.spec) as { target: string; part: string };
  expect(target).toBe(join(folder, 'glassine-2026-11-24-090807-2.zip'));
  expect(part).toMatch(/\.part$/);
  here.open.jobs.cancel(id);
});

it('what lies in the data folder is swept, so no backup goes there, by whatever name', async () => {
  const { home } = here.open;
  const link = join(place, 'link');
  symlinkSync(home, link);
  for (const folder of [
    join(home, 'tmp'),
    home,
    join(home, 'files', 'aa'),
    join(link, 'arrivals'),
    `${home}/backups/../derived`,
  ])
    expect(await setBackupFolder({ folder })).toMatchObject({
      ok: false,
      message: expect.stringContaining('lies in the data folder'),
    });
  expect(existsSync(join(home, 'files', 'aa'))).toBe(false);
  expect(await setBackupFolder({ folder: join(link, 'backups') })).toMatchObject({
    ok: true,
  });
  expect(await setBackupFolder({ folder: '' })).toMatchObject({ ok: true });
});

it.each(['/proc/backups/here', '/sys/backups', '/proc/self/fd/x'])(
  'answers at once that %s is no place for files',
  async (folder) => {
    expect(await setBackupFolder({ folder })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/is no place for files|cannot be written to/),
    });
  },
);

it('on a network only what the owner of the machine listed can be named', async () => {
  const listed = join(place, 'listed');
  mkdirSync(listed);
  symlinkSync('/etc', join(listed, 'out'));
  process.env.GLASSINE_NETWORK = '1';
  try {
    expect((await loadSafekeeping()).naming).toBe(false);
    for (const folder of [place, '/etc', join(listed, 'x'), '/nowhere/at/all'])
      expect(await setBackupFolder({ folder })).toMatchObject({
        ok: false,
        message: expect.stringContaining('GLASSINE_ROOTS'),
      });
    process.env.GLASSINE_ROOTS = ` relative : ${listed}`;
    expect((await loadSafekeeping()).naming).toBe(true);
    expect(await setBackupFolder({ folder: join(listed, 'x') })).toMatchObject({
      ok: true,
    });
    for (const folder of [join(listed, '..'), `${listed}x`, join(listed, 'out', 'y')])
      expect(await setBackupFolder({ folder })).toMatchObject({
        ok: false,
        message: expect.stringContaining('GLASSINE_ROOTS'),
      });
    // What is there and what is not are answered alike.
    const [there, not] = await Promise.all(
      ['/etc/passwd', '/etc/nothing'].map((path) => namedFile(here.open.home, path)),
    );
    const words = (f: typeof there, path: string) =>
      'fault' in f! ? f.fault.replace(path, '') : null;
    expect(words(there, '/etc/passwd')).toBe(words(not, '/etc/nothing'));
    expect(words(there, '/etc/passwd')).toContain('cannot be named from here');
    expect(await setBackupFolder({ folder: '' })).toMatchObject({ ok: true });
  } finally {
    delete process.env.GLASSINE_NETWORK;
    delete process.env.GLASSINE_ROOTS;
  }
});

it('files that belong to nothing are said, and taken away when asked; what a row names stays', async () => {
  const { open } = here;
  const bytes = (fill: string) => {
    const sha256 = fill.repeat(64);
    mkdirSync(dirname(storePaths(open.home).file(sha256)), { recursive: true });
    writeFileSync(storePaths(open.home).file(sha256), 'bytes');
    return sha256;
  };
  const stray = bytes('c');
  const named = bytes('a');
  open.unnamed = [
    { sha256: stray, bytes: 5 },
    { sha256: named, bytes: 5 },
  ];
  const format = { number: String } as never;
  expect(unnamedWords((await loadSafekeeping()).unnamed, format)).toMatch(
    /^2 stored files/,
  );
  expect(await takeUnnamedAway()).toMatchObject({ ok: true });
  expect(existsSync(storePaths(open.home).file(stray))).toBe(false);
  expect(existsSync(storePaths(open.home).file(named))).toBe(true);
  expect(unnamedWords((await loadSafekeeping()).unnamed, format)).toBeNull();
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
  const whole = { ...sound, ledger: { sound: true, entries: 9, faults: [] } };
  expect(checkWords(whole, format)).toMatchObject({ sound: true, lines: [] });
  const sha256 = 'ab'.repeat(32);
  const bad = checkWords(
    {
      ...sound,
      missing: [{ sha256, what: ['the master sea.tif of “Slack Water”'] }],
      damaged: [{ sha256, what: [] }],
      ledger: {
        sound: false,
        entries: 9,
        faults: [{ code: 'entry', brokenAt: 4, why: 'changed' }],
      },
    },
    format,
  );
  expect(bad.sound).toBe(false);
  expect(bad.lines).toEqual([
    expect.stringMatching(
      /^Missing: the master sea\.tif of “Slack Water”\. Bring back files\/ab\/ab/,
    ),
    expect.stringMatching(/^Damaged: abababababababab\./),
    expect.stringMatching(
      /^The edition ledger: It is broken at entry 4: its content was changed/,
    ),
  ]);
});

it('restores nothing over something, and nothing from what is no backup', async () => {
  const archive = join(place, 'no.zip');
  writeFileSync(archive, 'not a ZIP');
  await expect(restoreBackup(archive, here.open.home)).rejects.toThrow('is not empty');
});

it('restores beside the studio from the page, or says at which field it cannot', async () => {
  const archive = join(place, 'no.zip');
  const into = join(place, 'restored');
  const fields = async (typed: Record<string, string>) => {
    const answer = await restoreHere(typed);
    return answer.ok ? answer.value : answer.fields;
  };
  expect(await fields({ archive: join(place, 'none.zip'), into })).toEqual({
    archive: expect.stringMatching(/^Backup: there is nothing at/),
  });
  expect(await fields({ archive, into: 'here' })).toEqual({
    into: expect.stringMatching(/^Into a new folder: “here” is not a full path/),
  });
  expect(await fields({ archive, into: join(here.open.home, 'files') })).toEqual({
    into: expect.stringMatching(/lies in the data folder/),
  });
  expect(await fields({ archive, into: place })).toEqual({
    into: expect.stringMatching(/is not empty, and nothing is ever restored over/),
  });
  expect(await fields({ archive, into })).toEqual(expect.any(Number));
});
