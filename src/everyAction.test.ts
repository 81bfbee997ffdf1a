import { readFileSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { inProcess } from '../e2e/support/inProcess';
import type { InProcess } from '../e2e/support/inProcess';
import type { Field, FormDefinition } from '@/core/input';
import { exportEverything } from '@/studio';
import { loadSize } from '@/stations/size/view';
import { loadTable } from '@/drawers/table/view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

/** The form that an action reads by, noted as it comes through the door. */
const seen: { form?: FormDefinition<Record<string, unknown>> } = {};
jest.mock('@/studio/wayIn/validate', () => {
  const { readAtTheDoor } = jest.requireActual<{
    readAtTheDoor: (
      form: FormDefinition<Record<string, unknown>>,
      ...more: unknown[]
    ) => unknown;
  }>('@/studio/wayIn/validate');
  return {
    readAtTheDoor: (...asked: Parameters<typeof readAtTheDoor>) => {
      seen.form = asked[0];
      return readAtTheDoor(...asked);
    },
  };
});

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

/** Read anew: the compiler does not see that an action notes it. */
const formNow = () => seen.form;

type Action = (typed: unknown) => Promise<{ ok: boolean }>;

const files = readdirSync('src', { recursive: true })
  .map(String)
  .filter((name) => /ctions\.ts$/.test(name))
  .filter((name) => readFileSync(join('src', name), 'utf8').startsWith("'use server'"));

/** Every action of the house, by its file and its name. */
const actions = files.flatMap((file) =>
  Object.entries(
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- all there are, found by their files
    require(join(process.cwd(), 'src', file)) as Record<string, Action>,
  ).map(([name, action]) => [`${file}: ${name}`, action] as const),
);

/** Something that a field would take, as far as its schema tells. */
function fitting(field: Field<unknown>): string {
  const { type, enum: of, format, minimum = 1 } = field.schema;
  if (of) return of[0]!;
  if (format === 'date') return '2026-11-23';
  if (type === 'number' || type === 'integer') return String(Math.max(1, minimum));
  return type === 'string' ? 'metricFrames-30x40' : '{}';
}

const NASTY: string[] = [
  '9007199254740993',
  '999999999999',
  '-1',
  'Infinity',
  '1e999',
  'NaN',
  '\u0000',
  'a\u202eb',
  '\ud800',
  'zzz',
  '../../etc/passwd',
  '"><script>',
  "'; DROP TABLE work; --",
  '[]',
  '[1e999]',
  '{"__proto__":{"x":1}}',
  `${'1 '.repeat(90_000)}`,
  'x'.repeat(200_000),
];

it('there are actions to be tried', () => expect(actions.length).toBeGreaterThan(50));

it.each(actions)('%s answers whatever it is sent in words', async (_, action) => {
  seen.form = undefined;
  for (const nonsense of [undefined, null, 7, 'x', [], {}, { workId: {} }, new Map()])
    expect(await action(nonsense)).toMatchObject({ ok: expect.any(Boolean) });
  const fields = Object.entries<Field<unknown>>(formNow()?.fields ?? {});
  const plain = Object.fromEntries(fields.map(([name, f]) => [name, fitting(f)]));
  for (const [name] of fields)
    for (const nasty of NASTY) {
      const answer = await action({ ...plain, [name]: nasty });
      expect(answer).toMatchObject({ ok: expect.any(Boolean) });
      expect(JSON.stringify(answer)).not.toContain('x'.repeat(1000));
    }
  // Every number in turn names something that is not there.
  const numbered = fields.filter(([, f]) => f.schema.type === 'integer');
  for (const [name] of numbered) await action({ ...plain, [name]: '777777' });
});

it('after all of it every view opens, every table is given out, and no key leads nowhere', async () => {
  const { db, home } = here.open;
  expect(await db.read.all('PRAGMA foreign_key_check')).toEqual([]);
  await loadTable();
  await loadSize('1', {});
  const folder = join(home, 'given-out');
  const counts = await exportEverything(db.read, folder);
  expect(counts.work).toBeGreaterThan(0);
  expect(readdirSync(folder)).not.toContain('values-in-another-form.csv');
  rmSync(folder, { recursive: true });
  for (const [table, column] of [
    ['price', 'size_key'],
    ['proof_round', 'size_key'],
    ['finish', 'size_key'],
    ['order_line', 'size_key'],
    ['ledger', "json_extract(payload, '$.sizeKey')"],
  ])
    expect(
      await here.rows(`SELECT ${column} AS size FROM ${table} WHERE ${column} = 'zzz'`),
    ).toEqual([]);
});
