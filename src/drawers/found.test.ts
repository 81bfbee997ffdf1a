import { inProcess, SIZE } from '../../e2e/support/inProcess';
import type { InProcess } from '../../e2e/support/inProcess';
import { numberingOf } from '@/data';
import { writeCertificateCode } from '@/documents';
import { loadAccounts } from './accounts/view';
import { loadEditions } from './editions/view';
import { findFor } from './find/view';
import { loadLog } from './log/view';
import { loadProofs } from './proofs/view';
import { loadTable } from './table/view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ editionOf: 30, numbered: 5, orders: 2 });
});
afterAll(() => here.end());

it.each([
  ['slack', 'Slack Water', '/works/1'],
  ['SLÁCK wat', 'Slack Water', '/works/1'],
  ['gouache', 'Slack Water', '/works/1'],
  ['reader 2', 'Reader 2, 2180 Merrowstaithe', '/orders/0402'],
  ['merrow', 'Reader 1, 2180 Merrowstaithe', '/orders/0401'],
  ['vatmill', 'Linen 300', '/papers?paper=1'],
  ['4/30', 'Slack Water', `/works/1/edition?size=${SIZE}&impression=number:4`],
])('%p finds %p and leads to it', async (words, name, href) => {
  const found = await findFor(words);
  const hits = found.filter((f) => f.name === name).map((f) => f.href);
  expect(hits).toContainEqual(expect.stringContaining(href));
});

it.each(['', '   ', '"', '*', '9/30', '4/31', '" OR 1 --', "'; DROP TABLE work", '0/0'])(
  '%p finds nothing and harms nothing',
  async (words) => expect(await findFor(words)).toEqual([]),
);

it('tells the whole story, that of a work, or of one impression in its order', async () => {
  const all = await loadLog({});
  expect(all.page.total).toBeGreaterThan(8);
  expect((await loadLog({ work: '1' })).of).toBe('Slack Water');
  const one = await loadLog({ impression: `${here.editionId}:number:1` });
  expect(one.of).toBe('Slack Water 1/30');
  expect(one.page.rows.map((r) => r.text.split(' ')[0])).toEqual([
    'Numbered.',
    'Order',
    'Reserved',
  ]);
});

it.each([
  { work: 'x' },
  { work: '9'.repeat(30) },
  { impression: 'a:number:b' },
  { impression: '::' },
  { page: '1e9', sort: '__proto__', down: 'yes' },
])('an address with %j shows what there is', async (query) => {
  expect((await loadLog(query)).page.total).toBeGreaterThanOrEqual(0);
});

it('counts an edition as its ledger does, and knows its own certificates', async () => {
  const { page, counts } = await loadEditions({});
  expect(counts).toEqual({ declared: 1, closed: 0, sold: 0 });
  expect(page.rows).toMatchObject([{ of: 30, here: 3, ordered: 2, sold: 0, left: 25 }]);
  const id = here.editionId;
  const second = { editionId: id, series: 'number', number: 2 } as const;
  const { hash } = (await numberingOf(here.open.db.read, second))!;
  const code = writeCertificateCode({
    editionId: id,
    series: 'number',
    number: 2,
    proof: hash,
  });
  expect((await loadEditions({ code })).check).toEqual({
    found: true,
    words: 'Genuine: Slack Water, 2/30, ordered.',
  });
  const forged = writeCertificateCode({
    editionId: id,
    series: 'number',
    number: 2,
    proof: 'f'.repeat(64),
  });
  expect((await loadEditions({ code: forged })).check).toMatchObject({ found: false });
  expect((await loadEditions({ code: 'PRINT/zzz' })).check).toMatchObject({ found: false });
});

it('has nothing to account for before anything was shipped', async () => {
  expect(await loadAccounts({})).toMatchObject({
    best: null,
    sums: [],
    page: { total: 0, rows: [] },
  });
  expect(await loadProofs({})).toMatchObject({ counts: { rounds: 0, out: 0 }, costs: [] });
});

it('lays on the table what is late, and says how much more there is', async () => {
  const table = await loadTable();
  // Both were promised in a past that does not move.
  expect(table).toMatchObject({ late: 2, openOrders: 2, works: 1, shippedMonth: 0 });
  expect(table.lines.filter((l) => l.what === 'order').map((l) => l.urgency)).toEqual([
    'late',
    'late',
  ]);
  expect(table.lines.map((l) => l.what)).toContain('paper');
});
