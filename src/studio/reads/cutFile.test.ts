import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { planCutFile } from './cutFile';

const folder = mkdtempSync(join(tmpdir(), 'cuts-'));
afterAll(() => rmSync(folder, { recursive: true }));
const put = (name: string, job: unknown) => {
  writeFileSync(join(folder, name), typeof job === 'string' ? job : JSON.stringify(job));
  return join(folder, name);
};
const planned = (path: string, drawTo: string | null = null) =>
  planCutFile(path, drawTo, () => undefined);

const JOB = {
  pieces: [{ id: 'a', width: 210, height: 297, count: 3, mayTurn: true }],
  stock: [{ id: 's', kind: 'sheet', width: 610, height: 914, count: 10, price: 780 }],
  margin: { left: 5, right: 5, top: 5, bottom: 15 },
  gutter: 4,
  trim: 0,
  school: 'printThenCut',
  longestCut: 1000,
};

it('answers with the documented keys', async () => {
  const answer = await planned(put('job.json', JOB));
  expect(Object.keys(answer)).toEqual([
    'sheets',
    'unplaced',
    'wasteShare',
    'yieldShare',
    'cost',
    'bound',
    'boundOf',
    'proved',
  ]);
  expect(answer).toMatchObject({ cost: 780, bound: 1, unplaced: [], wasteShare: 0.6644 });
  const [sheet] = answer.sheets;
  expect(sheet).toMatchObject({ stock: 's', length: 914 });
  expect(Object.keys(sheet!.places[0]!).sort()).toEqual(
    ['copy', 'height', 'piece', 'turned', 'width', 'x', 'y'].sort(),
  );
});

it.each(readdirSync('docs/examples/cut'))('plans %s, which ships', async (name) => {
  const answer = await planned(join('docs/examples/cut', name));
  expect(answer.unplaced).toEqual([]);
  expect(answer.sheets.length).toBeGreaterThan(0);
});

it('draws each sheet at 1 : 1, and overwrites nothing', async () => {
  const to = join(folder, 'drawn');
  const answer = await planned(put('draw.json', JOB), to);
  const svg = readFileSync(join(to, 'sheet-1.svg'), 'utf8');
  expect(svg).toContain('width="610mm" height="914mm" viewBox="0 0 610 914"');
  expect(svg.match(/stroke-dasharray="6 2"/g)).toHaveLength(answer.sheets[0]!.cuts.length);
  expect(svg).toContain('a (3)');
  await expect(planned(put('draw.json', JOB), to)).rejects.toThrow('a file of that name');
});

it('names the smallest sheet that would do', async () => {
  const pieces = [{ id: 'big', width: 700, height: 900, count: 1, mayTurn: false }];
  const [left] = (await planned(put('big.json', { ...JOB, pieces }))).unplaced;
  expect(left).toEqual({
    piece: 'big',
    copy: 0,
    why: 'tooLarge',
    says: 'larger than every sheet: the smallest that would do is 710 × 920 mm',
    needs: { width: 710, height: 920 },
  });
});

it.each([
  ['nothing.json', null, 'there is no such file'],
  ['broken.json', '{', 'it is not JSON'],
  ['list.json', [], 'the job must be object'],
  ['key.json', { ...JOB, guter: 4 }, 'must NOT have additional properties: “guter”'],
  ['school.json', { ...JOB, school: 'cut' }, 'printThenCut, cutThenPrint'],
  [
    'many.json',
    { ...JOB, pieces: [{ ...JOB.pieces[0], count: 10_000 }] },
    'More than 1000',
  ],
  ['margin.json', { ...JOB, margin: { left: 610 } }, 's: its margins leave nothing of it'],
  [
    'roll.json',
    { ...JOB, stock: [{ id: 'r', kind: 'roll', width: 610, length: 0 }] },
    'r: its sizes',
  ],
] as const)('%s is refused in words', async (name, job, words) => {
  const path = job === null ? join(folder, name) : put(name, job);
  await expect(planned(path)).rejects.toThrow(words);
});
