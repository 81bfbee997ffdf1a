import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { link } from '@/core/edition';
import { answersErrands, plainRecipe, routeKind, ruleOf } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';
import { CHANNELS, startPrice, usualTerms } from '@/core/price';
import { USUAL_FINISH } from '@/core/finish';
import { plainLayout } from '@/core/size';
import { minor, mm } from '@/core/units';
import { migrationsBefore } from '../../e2e/support/migrationsBefore';
import { printer } from '../../e2e/support/printers';
import { openDatabase } from './database';
import { listConsignments } from './consign/consignments';
import { checkLedger } from './edition/checkLedger';
import { getEdition } from './edition/editions';
import { markCutOff, newestJob } from './running/jobs';
import { readEntries } from './log/printEntries';
import { routesNow } from './prepare/errands';
import { sheetPlansOf } from './cut/sheetPlans';
import { addInkEvent, inkEventsOf } from './ink/inkEvents';
import { printedHere } from './ink/printedHere';
import { addPrinter, addPrinterInk, listPrinters } from './ink/printers';
import { addPaperFormat, formatsOf } from './paper/formats';
import { lotsOf, usesOfPapers } from './paper/lots';
import { listMaterialRows } from './material/materials';
import { stationsOf } from './paper/paperNotes';
import { paperNamed } from './paper/papers';
import { paperWithStock, papersLow } from './paper/papersPage';
import { profilesInUse, takeProfile, usesOfProfile } from './paper/profileUses';
import { addChannelTerms, channelTermsAt, channelTermsNow } from './price/channelTerms';
import { finishesOf } from './finish/finishes';
import { addExpense, expenseSums, takeBackExpense } from './price/expenses';
import { addPriceLadder, priceLadderOf } from './price/priceLadders';
import { addPriceList, priceListsNow } from './price/priceLists';
import { pricesOf } from './price/prices';
import { arrivals } from './prepare/arrivals';
import { printFilesOf } from './prepare/printFiles';
import { addProofPhotograph, proofPhotographsOf } from './proof/photographs';
import { addProofReading, proofReadingsOf, proofsOf } from './proof/proofs';
import { offeredSizes } from './size/sizes';
import { addPurchase, endPurchase, onItsWayOf, purchasesOnTheWay } from './stock/purchases';
import { lastMovements } from './stock/stock';
import { undoStep } from './running/undo';

let home: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), 'glassine-old-'));
});
afterEach(() => rmSync(home, { recursive: true }));

const PRICE = startPrice({
  currency: 'EUR',
  ...{ printing: minor(2000), paper: null, capture: null, proofs: null, editionSize: null },
});

/** A paper, and what is said of a lot, as they were written before prices had days. */
const linen = (at: string, setting = '') =>
  `INSERT INTO paper (name, maker, base, surface, weight_gsm, thickness_mm, sheet_width_mm, sheet_height_mm, price_minor,
      currency, reorder_point, printer_setting, permanence, note, created_at)
      VALUES ('Linen 300', 'Ragwater Mill', 'cotton', 'matte', 300, 0.5, 420, 594, 500, 'EUR', 5, '${setting}', '', '', '${at}');`;
const LOT =
  'INSERT INTO lot (paper_id, kind, name, width_mm, height_mm, pieces, price_minor, currency, supplier, left_over, at)';

/** A studio as it was before a migration. */
const before = (tag: string): Promise<void> =>
  migrationsBefore(tag, join(home, 'migrations'), async () =>
    (await openDatabase(home)).close(),
  );

it('sizes offered with one border and their undo steps are the same sizes after', async () => {
  await before('0009_sizes');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, '${at}');
    INSERT INTO size_event (work_id, size_key, kind, fit, border_mm, reason, at)
      VALUES (1, 'isoA-A3', 'offered', 'fill', 12.5, NULL, '${at}'),
        (1, 'isoA-A2', 'offered', 'within', 25.4, NULL, '${at}');
    INSERT INTO undo_step (at, label, step) VALUES ('${at}', 'withdrawing A4',
      '{"kind":"sizes","workId":1,"before":[{"sizeKey":"isoA-A4","kind":"offered","fit":"cut","border":8}]}');
  `);
  client.close();
  const db = await openDatabase(home);
  await db.write((tx) => undoStep(tx, null, at));
  expect(await offeredSizes(db.read, 1)).toMatchObject([
    { sizeKey: 'isoA-A3', layout: plainLayout('fill', mm(12.5)), judged: null },
    { sizeKey: 'isoA-A2', layout: plainLayout('within', mm(25.4)) },
    { sizeKey: 'isoA-A4', layout: plainLayout('cut', mm(8)) },
  ]);
  // Facts are as safe as before.
  await expect(db.read.run("UPDATE size_event SET reason = 'other'")).rejects.toThrow();
  db.close();
});

it('print files keep their recipes, as lists of steps, and so do orders that can be run again', async () => {
  await before('0010_recipes');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  const old = JSON.stringify({
    resample: { kernel: 'lanczos3', factor: 1.234 },
    outputSharpen: { amount: 75, radius: 0.9, threshold: 3 },
    convert: { space: 'a98-rgb', intent: 'perceptual', blackPoint: true },
    ppi: 240,
  });
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, '${at}');
    INSERT INTO file (sha256, bytes, format, width_px, height_px, bits, channels, colour_model, orientation, stored_at)
      VALUES ('${'a'.repeat(64)}', 1, 'tiff', 10, 10, 16, 3, 'rgb', 1, '${at}');
    INSERT INTO master (work_id, sha256, name, at) VALUES (1, '${'a'.repeat(64)}', 'quay.tif', '${at}');
    INSERT INTO print_file (work_id, size_key, master_id, version, name, sha256, bytes, width_px, height_px, recipe, checks, at)
      VALUES (1, 'isoA-A3', 1, 1, 'a.tif', 'b', 1, 10, 10, '${old}', '[]', '${at}');
    INSERT INTO job (kind, work_id, spec, state, stage, at)
      VALUES ('printFile', 1, '{"title":"Old Quay","recipe":${old}}', 'failed', '', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  const recipe = plainRecipe(240, 0.9);
  Object.assign(recipe.steps[4]!, { amount: 75, threshold: 3 });
  recipe.convert.intent = 'perceptual';
  // By the rule of before, which they were made by.
  const { rule: _, ...unruled } = recipe;
  const { dither: __, ...file } = recipe.file;
  const unmoved = recipe.steps.filter((s) => s.kind !== 'balance');
  const kept = { ...unruled, rule: 1, file: { ...file, dither: false } };
  expect(await printFilesOf(db.read, 1)).toMatchObject([
    { factor: 1.234, kind: 'print', recipe: kept },
  ]);
  const { spec } = (await newestJob(db.read, 1, 'printFile'))!;
  expect(spec).toMatchObject({
    title: 'Old Quay',
    recipe: { ...unruled, file, steps: unmoved },
  });
  expect(ruleOf((spec as { recipe: Recipe }).recipe)).toBe(1);
  await expect(db.read.run('UPDATE print_file SET version = 2')).rejects.toThrow();
  db.close();
});

it('what was printed before there was a book of it is in the book, and is found', async () => {
  await before('0012_log_book');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  const sha = 'a'.repeat(64);
  const recipe = JSON.stringify(plainRecipe(300, 1));
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, '${at}');
    INSERT INTO file (sha256, bytes, format, width_px, height_px, bits, channels, colour_model, orientation, stored_at)
      VALUES ('${sha}', 1, 'tiff', 10, 10, 16, 3, 'rgb', 1, '${at}');
    INSERT INTO reading (sha256, version, detail, reading, at) VALUES ('${sha}', 1, 0.8, '{}', '${at}');
    INSERT INTO master (work_id, sha256, name, at) VALUES (1, '${sha}', 'quay.tif', '${at}');
    INSERT INTO print_file (work_id, size_key, master_id, version, name, sha256, bytes, width_px, height_px, factor, recipe, checks, at)
      VALUES (1, 'isoA-A3', 1, 1, 'a3.tif', 'b', 1, 10, 10, 1.6, '${recipe}', '[]', '${at}');
    INSERT INTO paper (name, maker, base, surface, weight_gsm, thickness_mm, sheet_width_mm, sheet_height_mm, price_minor, reorder_point, printer_setting, permanence, note, created_at)
      VALUES ('Linen 300', 'Vatmill', 'cotton', 'matte', 300, 0.5, 594, 841, 900, 5, 'heavy matte', '', '', '${at}');
    INSERT INTO proof_round (work_id, size_key, paper_id, round, route, cost_minor, remarks, sent_at)
      VALUES (1, 'isoA-A3', 1, 1, 'own printer', 1200, '', '2026-10-02T10:00:00.000Z');
  `);
  client.close();
  const db = await openDatabase(home);
  const entries = await readEntries(db.read, {}, 10);
  expect(entries).toMatchObject([
    {
      kind: 'proofRound',
      what: 'proof round 1',
      factor: 1.6,
      detail: 0.8,
      source: 'painting',
      paper: 'Linen 300',
      surface: 'matte',
      setting: 'heavy matte',
      cost: 1200,
      recipe: plainRecipe(300, 1),
    },
    { kind: 'printFile', what: 'a3.tif', factor: 1.6, paper: '' },
  ]);
  expect(await readEntries(db.read, { words: 'quay vatmill' }, 10)).toEqual([]);
  expect(await readEntries(db.read, { words: 'quay linen' }, 10)).toHaveLength(1);
  db.close();
});

it('a route of before keeps its name and what it asks, and may be asked; its kind was never said', async () => {
  await before('0015_kinds_of_route');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const wants = routeKind('onlineLab').usual;
  await client.execute({
    sql: 'INSERT INTO route (name, folder, wants, at) VALUES (?, ?, ?, ?)',
    args: ['Weir Lane', '/to/weir-lane', JSON.stringify(wants), '2026-10-01T10:00:00.000Z'],
  });
  client.close();
  const db = await openDatabase(home);
  const [route] = await routesNow(db.read);
  expect(route).toMatchObject({ name: 'Weir Lane', folder: '/to/weir-lane', wants });
  expect(route!.kind).toBeNull();
  expect(answersErrands(route!.kind)).toBe(true);
  // Facts are as safe as before.
  await expect(db.read.run("UPDATE route SET kind = 'ownPrinter'")).rejects.toThrow();
  db.close();
});

it('an edition of before is attested for its work and size; its entries stay as they were', async () => {
  await before('0016_who_runs_a_job');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  const payload = { kind: 'limited', scope: 'perSize', size: 30, artistsProofs: 3 };
  const fact = {
    editionId: 1,
    kind: 'declared' as const,
    series: null,
    number: null,
    at,
    payload,
  };
  const sha256 = (text: string) => createHash('sha256').update(text).digest('hex');
  const { hash, previousHash } = link(fact, undefined, sha256);
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, '${at}');
    INSERT INTO edition (work_id, size_key, created_at) VALUES (1, 'isoA-A3', '${at}');
    INSERT INTO ledger (seq, edition_id, kind, at, payload, previous_hash, hash)
      VALUES (1, 1, 'declared', '${at}', '${JSON.stringify(payload)}', '${previousHash}', '${hash}');
    INSERT INTO job (kind, spec, state, stage, at) VALUES ('backup', '{}', 'running', '', '${at}');
    DELETE FROM carried WHERE step = 'work and size of editions';
  `);
  client.close();
  const db = await openDatabase(home);
  const edition = (await getEdition(db.read, 1))!;
  expect(edition).toMatchObject({
    declaration: payload,
    declaredFor: { workId: 1, sizeKey: 'isoA-A3', title: 'Old Quay' },
  });
  const entries = await db.read.all<{ hash: string; kind: string }>(
    'SELECT kind, hash FROM ledger ORDER BY seq',
  );
  expect(entries).toEqual([
    { kind: 'declared', hash },
    { kind: 'attested', hash: expect.any(String) },
  ]);
  expect(await checkLedger(db.read)).toMatchObject({ sound: true, entries: 2 });
  // Work of before was the server's.
  await db.write((tx) => markCutOff(tx, ['server']));
  expect(await db.read.all('SELECT state, "by" FROM job')).toEqual([
    { state: 'cutOff', by: 'server' },
  ]);
  db.close();
  const again = await openDatabase(home);
  expect(await checkLedger(again.read)).toMatchObject({ sound: true, entries: 2 });
  again.close();
});

it('papers and profiles of before profiles were used by paper are as they were, and can be joined', async () => {
  await before('0020_profiles_in_use');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  const sha256 = 'a'.repeat(64);
  await client.executeMultiple(`
    ${linen(at, 'heavy matte')}
    INSERT INTO profile (sha256, name, device_class, space, bytes, at)
      VALUES ('${sha256}', 'Linen on the own printer', 'prtr', 'RGB', 1, '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await paperNamed(db.read, 'Linen 300')).toMatchObject({
    printerSetting: 'heavy matte',
    weight: 300,
  });
  expect(await profilesInUse(db.read)).toEqual([]);
  const use = { paperId: 1, printer: '', setting: 'heavy matte', at };
  const names = { paper: 'Linen 300', profile: 'Linen on the own printer' };
  await db.write((tx) => takeProfile(tx, { ...use, sha256 }, names));
  expect(await profilesInUse(db.read, 1)).toMatchObject([{ sha256, paper: 'Linen 300' }]);
  await db.write((tx) => takeProfile(tx, { ...use, sha256: null }, names));
  expect(await profilesInUse(db.read)).toEqual([]);
  expect(await usesOfProfile(db.read, sha256)).toHaveLength(1);
  await expect(db.read.run("UPDATE profile_use SET setting = 'x'")).rejects.toThrow();
  db.close();
});

it.each(['0021_proofs_as_sent', '0023_photographs_of_proofs', '0024_ink_sets'])(
  'proof rounds of before %s say what they said; readings and photographs are facts',
  async (tag) => {
    await before(tag);
    const client = createClient({ url: `file:${join(home, 'studio.db')}` });
    const at = '2026-10-01T10:00:00.000Z';
    const sha = 'a'.repeat(64);
    const recipe = JSON.stringify({ ...plainRecipe(300, 1), version: 3 });
    await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, 'EUR', '${at}');
    INSERT INTO file (sha256, bytes, format, width_px, height_px, bits, channels, colour_model, orientation, stored_at)
      VALUES ('${sha}', 1, 'tiff', 10, 10, 16, 3, 'rgb', 1, '${at}');
    INSERT INTO master (work_id, sha256, name, at) VALUES (1, '${sha}', 'quay.tif', '${at}');
    INSERT INTO print_file (work_id, size_key, master_id, version, name, sha256, bytes, width_px, height_px, factor, recipe, checks, at)
      VALUES (1, 'isoA-A3', 1, 1, 'a3.tif', 'b', 1, 10, 10, 1.6, '${recipe}', '[]', '${at}');
    ${linen(at, 'heavy matte')}
    INSERT INTO proof_round (work_id, size_key, paper_id, round, route, print_file_id, cost_minor, currency, remarks, sent_at)
      VALUES (1, 'isoA-A3', 1, 1, 'own printer', 1, 1200, 'EUR', '', '${at}');
    INSERT INTO proof_return (round_id, seen, to_change, verdict, back_at)
      VALUES (1, 'close', '', 'approved', '${at}');
    INSERT INTO route (name, kind, folder, wants, at)
      VALUES ('own printer', 'ownPrinter', '', '{}', '${at}');
  `);
    client.close();
    const db = await openDatabase(home);
    const [round] = await proofsOf(db.read, 1);
    expect(round).toMatchObject({
      verdict: 'approved',
      seen: 'close',
      file: 'a3.tif',
      masterId: 1,
      recipe: plainRecipe(300, 1),
      profileSha256: null,
      inkSet: null,
      intent: null,
      light: null,
      byEye: null,
      dueOn: null,
    });
    expect(await routesNow(db.read)).toMatchObject([{ inkSet: '' }]);
    const reading = {
      patches: [{ name: 'paper', lab: [96, 0, 2] }],
      source: 'by hand',
      at,
    };
    await db.write((tx) => addProofReading(tx, reading as never, round!));
    expect(await proofReadingsOf(db.read, 1)).toMatchObject([reading]);
    await expect(db.read.run("UPDATE proof_reading SET source = 'x'")).rejects.toThrow();
    const corner = { x: 1, y: 1 };
    const placing = {
      proof: [corner, corner, corner, corner],
      original: null,
      proofAt: 'right',
      card: null,
      byHand: true,
    } as const;
    const photograph = { sha256: sha, name: 'print.jpg', width: 10, height: 10, at };
    await db.write((tx) => addProofPhotograph(tx, photograph, placing as never, round!));
    expect(await proofPhotographsOf(db.read, 1)).toMatchObject([
      { ...photograph, placing },
    ]);
    await expect(db.read.run("UPDATE proof_photograph SET name = 'x'")).rejects.toThrow();
    await expect(db.read.run('DELETE FROM proof_placing')).rejects.toThrow();
    await expect(db.read.run("UPDATE proof_round SET lot = 'x'")).rejects.toThrow();
    db.close();
  },
);

it('sheets that were left of a paper are a lot of it, and what came and went before stays', async () => {
  await before('0025_lots');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-10-01T10:00:00.000Z';
  const columns = `maker, base, surface, weight_gsm, thickness_mm, sheet_width_mm, sheet_height_mm, price_minor,
    currency, reorder_point, printer_setting, permanence, note, created_at`;
  const values = `'Ragwater Mill', 'cotton', 'matte', 300, 0.5, 420, 594, 500, 'EUR', 5, '', 'lasts 200 years', '', '${at}'`;
  await client.executeMultiple(`
    INSERT INTO paper (name, ${columns}) VALUES ('Linen 300', ${values}), ('Oat', ${values}), ('Rye', ${values});
    INSERT INTO movement ("of", ref, pieces, reason, at) VALUES ('paper', 1, 25, 'delivery', '${at}'),
      ('paper', 1, -18, 'printed', '2026-10-09T10:00:00.000Z'), ('paper', 2, 4, 'delivery', '${at}'),
      ('paper', 2, -6, 'printed', '${at}'), ('material', 1, 9, 'first stock', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await lotsOf(db.read, 1)).toMatchObject([
    {
      kind: 'sheet',
      width: 420,
      height: 594,
      pieces: 7,
      left: 7,
      price: 500,
      at: '2026-10-09T10:00:00.000Z',
    },
  ]);
  // More were used than had come, and of the third none ever came.
  for (const paper of [2, 3]) expect(await lotsOf(db.read, paper, true)).toEqual([]);
  expect(await paperWithStock(db.read, 1)).toMatchObject({
    sheets: 7,
    permanence: 'lasts 200 years',
    permanenceYears: null,
    acidFree: false,
    scuffs: false,
    leastRoll: null,
    deliveryDays: null,
  });
  // The pace is known from what went before.
  expect((await usesOfPapers(db.read, [1], '2026-01-01')).get(1)).toEqual([
    { at: '2026-10-09', sheets: 18 },
  ]);
  expect(await lastMovements(db.read, 'paper', 1, 9)).toHaveLength(2);
  await expect(db.read.run('UPDATE lot SET pieces = 8')).rejects.toThrow();
  await expect(db.read.run('DELETE FROM lot')).rejects.toThrow();
  db.close();
});

it('lots and what was taken of them are the same before plans of sheets were kept and after', async () => {
  await before('0027_sheet_plans');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  await client.executeMultiple(`
    ${linen(at)}
    ${LOT} VALUES (1, 'sheet', 'B 41', 420, 594, 10, 500, 'EUR', '', 0, '${at}'), (1, 'roll', 'R 1', 610, 12000, 1, 8400, 'EUR', '', 0, '${at}');
    INSERT INTO lot_use (lot_id, amount, kind, entry_id, undoes, reason, cost_minor, currency, at)
      VALUES (1, 2.5, 'test', NULL, NULL, 'a test', 1250, 'EUR', '${at}'), (2, 800, 'print', NULL, NULL, 'a print', 560, 'EUR', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await lotsOf(db.read, 1)).toMatchObject([
    { name: 'B 41', left: 7.5, leftOver: false, printedSheetId: null },
    { name: 'R 1', kind: 'roll', left: 11_200, printedSheetId: null },
  ]);
  expect((await usesOfPapers(db.read, [1], '2026-01-01')).get(1)![0]!.sheets).toBeCloseTo(
    2.5 + (800 * 610) / (420 * 594),
    9,
  );
  expect(await sheetPlansOf(db.read, 1, 9)).toEqual([]);
  await expect(db.read.run('UPDATE lot_use SET amount = 1')).rejects.toThrow();
  db.close();
});

it('what was printed before printers were described counts for one that is described after', async () => {
  await before('0028_printers');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at)
      VALUES ('Old Quay', 'Senna Quillfeather', 2024, 'painting', 'Oil', 300, 400, 100, 'EUR', '${at}');
    INSERT INTO print_entry (kind, ref, what, work_id, size_key, recipe_name, paper, route, setting, currency, at)
      VALUES ('impression', 1, 'impression 1/30', 1, 'isoA-A3', '', 'Linen 300', '', '', '', '${at}'),
        ('impression', 2, 'impression 2/30', 1, 'isoA-A3', '', 'Linen 300', '', '', '', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await listPrinters(db.read)).toEqual([]);
  expect(
    await printedHere(db.read, { routes: [''], own: true, since: '2026-01-01' }),
  ).toMatchObject([{ day: '2026-11-20', sizeKey: 'isoA-A3', count: 2, fileId: null }]);
  await db.write(async (tx) => {
    const printerId = await addPrinter(tx, printer('Heron 24'));
    const inkId = await addPrinterInk(
      tx,
      {
        printerId,
        name: 'Cyan',
        role: 'cyan',
        papers: 'all',
        ml: 80,
        price: minor(1),
        currency: 'EUR',
      },
      { at, printer: 'Heron 24' },
    );
    await addInkEvent(tx, {
      printerId,
      inkId,
      kind: 'changed',
      day: '2026-01-05',
      ml: 80,
      at,
    });
  });
  expect(await inkEventsOf(db.read, 1)).toMatchObject([{ day: '2026-01-05', ml: 80 }]);
  await expect(db.read.run('UPDATE ink_event SET ml = 1')).rejects.toThrow();
  db.close();
});

it('papers and packing of before are what they were: in stock, and nobody said who sells them', async () => {
  await before('0029_paper_life');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  await client.executeMultiple(`
    ${linen(at)}
    ${LOT} VALUES (1, 'sheet', 'B 41', 420, 594, 3, 500, 'EUR', '', 0, '${at}');
    INSERT INTO material (kind, name, width_mm, height_mm, thickness_mm, mass_g, cost_minor, currency, reorder_point)
      VALUES ('tube', 'tube 9', 90, 600, 2, 300, 190, 'EUR', 8);
    INSERT INTO movement ("of", ref, pieces, reason, at) VALUES ('material', 1, 5, 'counted', '${at}');
    INSERT INTO undo_step (at, label, step) VALUES ('${at}', 'taking out tube 5', '{"kind":"removed","table":"material","row":
      {"id":7,"kind":"tube","name":"tube 5","width":50,"height":600,"thickness":2,"mass":200,"cost":150,"currency":"EUR","reorderPoint":0}}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect((await stationsOf(db.read, [1])).get(1)).toEqual({ noted: [], everHere: true });
  expect(await papersLow(db.read, 9)).toMatchObject([{ name: 'Linen 300', sheets: 3 }]);
  expect(await listMaterialRows(db.read)).toMatchObject([
    { name: 'tube 9', supplier: '', deliveryDays: null },
  ]);
  // What was taken out before can be taken back.
  await db.write((tx) => undoStep(tx, null, at));
  expect(await listMaterialRows(db.read)).toHaveLength(2);
  db.close();
});

it('of papers of before nothing is said of brighteners, grain and pens that nobody said', async () => {
  await before('0030_paper_traits_more');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  await client.executeMultiple(`
    INSERT INTO paper (name, maker, base, surface, weight_gsm, thickness_mm, sheet_width_mm, sheet_height_mm, price_minor,
      currency, reorder_point, printer_setting, permanence, note, created_at, scuffs)
      VALUES ('Linen 300', 'Ragwater Mill', 'cotton', 'matte', 300, 0.5, 420, 594, 500, 'EUR', 5, '', '', '', '${at}', 1);
    INSERT INTO paper_note (paper_id, station, tried_for, printed, setting, words, photograph, day, at)
      VALUES (1, 'tried', 'etchings', '', '', 'Good.', NULL, '2026-11-01', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await paperNamed(db.read, 'linen 300')).toMatchObject({
    brightened: 'not known',
    grain: 'not known',
    signedWith: 'not known',
    scuffs: true,
  });
  expect((await stationsOf(db.read, [1])).get(1)).toEqual({
    noted: ['tried'],
    everHere: false,
  });
  db.close();
});

it('carries papers of before sizes and prices were kept: their price has no day', async () => {
  await before('0031_paper_formats');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  await client.executeMultiple(`
    ${linen(at, 'Matte')}
    ${LOT} VALUES (1, 'roll', 'R 2', 610, 12000, 1, 9900, 'EUR', 'Quay', 0, '${at}'), (1, 'sheet', 'cut', 100, 594, 1, 0, 'EUR', '', 1, '${at}');
    INSERT INTO printer (name, route, widest_mm, takes, margin_left_mm, margin_right_mm, margin_top_mm, margin_bottom_mm, supplier, note, created_at)
      VALUES ('Heron 24', '', 610, 'both', 3, 3, 3, 14, '', '', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  const paper = (await paperNamed(db.read, 'linen 300'))!;
  expect(paper.priceOn).toBeNull();
  // What a delivery came as is a size that it is sold as; what was cut off is none.
  expect((await formatsOf(db.read, [paper])).get(1)).toMatchObject([
    { kind: 'sheet', width: 420, price: 500, day: null, from: 'paper' },
    {
      kind: 'roll',
      width: 610,
      core: null,
      price: 9900,
      day: '2026-11-20',
      from: 'delivery',
    },
  ]);
  expect(await listPrinters(db.read)).toMatchObject([{ coreFrom: null, coreTo: null }]);
  const noted = { paperId: 1, kind: 'roll' as const, sold: true, supplier: '', at };
  const roll = { width: mm(610), height: mm(12_000), core: mm(76) };
  const price = { price: minor(10_400), currency: 'EUR', day: '2026-11-21' };
  await db.write((tx) => addPaperFormat(tx, { ...noted, ...roll, ...price }));
  expect((await formatsOf(db.read, [paper])).get(1)![1]).toMatchObject({
    ...{ price: 10_400, core: 76, supplier: 'Quay' },
  });
  await expect(
    db.write((tx) => tx.run(sql`UPDATE paper_format SET price_minor = 1`)),
  ).rejects.toThrow();
  db.close();
});

it('carries a studio of before purchases were noted: nothing is on its way, and what is noted stays', async () => {
  await before('0032_purchases');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  await client.executeMultiple(`
    ${linen(at, 'Matte')}
    ${LOT} VALUES (1, 'sheet', 'L 1', 420, 594, 3, 500, 'EUR', 'Quay', 0, '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await purchasesOnTheWay(db.read)).toEqual([]);
  const purchase = { kind: 'paper' as const, ref: 1, name: 'Linen 300', quantity: 20 };
  const days = { orderedOn: '2026-11-21', comesOn: null, at: '2026-11-21T10:00:00.000Z' };
  const id = await db.write((tx) =>
    addPurchase(tx, { ...purchase, supplier: 'Quay', ...days }),
  );
  // The delivery of before it was ordered is not the one that is waited for.
  expect(await onItsWayOf(db.read, 'paper', 1)).toMatchObject({ id, quantity: 20 });
  await expect(
    db.write((tx) => tx.run(sql`UPDATE purchase SET quantity = 1`)),
  ).rejects.toThrow();
  await db.write((tx) => endPurchase(tx, { id, at: days.at }));
  await expect(db.write((tx) => tx.run(sql`DELETE FROM purchase_end`))).rejects.toThrow();
  db.close();
});

it('carries a studio of before price lists: none is there, and what is kept stays', async () => {
  await before('0033_price_lists');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  const wants = JSON.stringify(routeKind('onlineLab').usual);
  await client.execute({
    sql: "INSERT INTO route (name, kind, folder, wants, ink_set, at) VALUES ('Tidewrack', 'onlineLab', '', ?, '', ?)",
    args: [wants, at],
  });
  client.close();
  const db = await openDatabase(home);
  expect(await priceListsNow(db.read)).toEqual([]);
  expect((await routesNow(db.read)).map((r) => r.name)).toEqual(['Tidewrack']);
  const values = {
    from: '2026-11-21',
    ...{ setUp: minor(1500), proofFee: minor(0), leastQuantity: 1, leastPaid: minor(0) },
    rows: [{ size: null, paper: '', from: 1, to: null, each: 11_800 }],
    postage: [],
    ...{ freePostageFrom: null, toCustomer: minor(0), days: 6, loses: '' },
  };
  const list = { name: 'Tidewrack', kind: 'onlineLab' as const, currency: 'EUR', at };
  await db.write((tx) => addPriceList(tx, { ...list, values }));
  expect(await priceListsNow(db.read)).toMatchObject([{ name: 'Tidewrack', values }]);
  await expect(
    db.write((tx) => tx.run(sql`UPDATE price_list SET name = 'x'`)),
  ).rejects.toThrow();
  db.close();
});

it('carries a studio of before channels were kept: the usual fees hold, and what is kept stays', async () => {
  await before('0034_channel_terms');
  const db = await openDatabase(home);
  const gallery = { channel: 'gallery', currency: 'EUR' };
  const [early, late] = ['2026-11-20T10:00:00.000Z', '2026-11-22T10:00:00.000Z'];
  expect(await channelTermsNow(db.read)).toEqual([]);
  expect(await channelTermsAt(db.read, gallery, late)).toBeNull();
  const terms = {
    ...usualTerms(
      CHANNELS.find((c) => c.id === 'gallery')!,
      'EUR',
    ),
  };
  const keep = (commission: number, at: string) =>
    db.write((tx) =>
      addChannelTerms(tx, { ...gallery, terms: { ...terms, commission }, at }),
    );
  await keep(0.35, early);
  await keep(0.5, late);
  expect((await channelTermsAt(db.read, gallery, early))!.terms.commission).toBe(0.35);
  expect((await channelTermsAt(db.read, gallery, late))!.terms.commission).toBe(0.5);
  expect(await channelTermsAt(db.read, { ...gallery, currency: 'JPY' }, late)).toBeNull();
  expect(await channelTermsNow(db.read)).toHaveLength(1);
  await expect(db.write((tx) => tx.run(sql`DELETE FROM channel_terms`))).rejects.toThrow();
  db.close();
});

it('carries a studio of before ladders: no rule is kept, and every price stays that of its margin', async () => {
  await before('0035_price_ladders');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const at = '2026-11-20T10:00:00.000Z';
  const { asked: _, ...old } = PRICE;
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at)
      VALUES ('Heron', 'Orla Fenn', 2026, 'original', 'oil', 300, 400, 90000, 'EUR', '${at}');
    INSERT INTO price (work_id, size_key, channel, input, currency, cost_minor, fees_minor, price_minor, net_minor, at)
      VALUES (1, 'isoA-A3', 'own site', '${JSON.stringify({ version: 1, ...old })}', 'EUR', 2000, 200, 8000, 5800, '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect(await priceLadderOf(db.read, 1)).toBeNull();
  expect(await pricesOf(db.read, 1)).toMatchObject([
    { price: 8000, net: 5800, values: { ...old, asked: null } },
  ]);
  const terms = {
    rule: { by: 'hand' as const },
    ...{ limitedTimes: 1, framedMore: 0, framedTimes: 0, papers: [] },
    ...{ steps: null, ceiling: null },
    rounding: { step: minor(100), less: minor(0) },
    near: { size: 0.15, price: 0.1 },
  };
  await db.write((tx) => addPriceLadder(tx, { workId: 1, terms, currency: 'EUR', at }));
  expect((await priceLadderOf(db.read, 1))!.terms).toEqual(terms);
  await expect(
    db.write((tx) => tx.run(sql`UPDATE price_ladder SET work_id = 2`)),
  ).rejects.toThrow();
  db.close();
});

it('carries a studio of before consignments and expenses: ladder, frame and price mean what they meant', async () => {
  const at = '2026-11-21T10:00:00.000Z';
  await before('0036_paid_and_lent');
  const client = createClient({ url: `file:${join(home, 'studio.db')}` });
  const ladder = {
    rule: { by: 'hand' },
    ...{ limitedTimes: 1, framedMore: 0, steps: null, ceiling: null, version: 0 },
    rounding: { step: 100, less: 0 },
    near: { size: 0.15, price: 0.1 },
  };
  const apart = ['wear', 'donation', 'signingHours', 'finishingHours', 'packingHours'];
  const price = Object.fromEntries(
    Object.entries(PRICE).filter(([name]) => !apart.includes(name)),
  );
  const { prices: _, ...frame } = USUAL_FINISH;
  const stored = (version: number, of: object) => JSON.stringify({ version, ...of });
  await client.executeMultiple(`
    INSERT INTO work (title, artist, year, kind, medium, width_mm, height_mm, price_minor, currency, created_at)
      VALUES ('Heron', 'Orla Fenn', 2026, 'original', 'oil', 300, 400, 90000, 'EUR', '${at}');
    INSERT INTO price (work_id, size_key, channel, input, currency, cost_minor, fees_minor, price_minor, net_minor, at)
      VALUES (1, 'isoA-A3', 'own site', '${stored(2, price)}', 'EUR', 2000, 200, 8000, 5800, '${at}');
    INSERT INTO finish (work_id, size_key, input, at) VALUES (1, 'isoA-A3', '${stored(2, frame)}', '${at}');
    INSERT INTO price_ladder (work_id, terms, currency, at) VALUES (1, '${JSON.stringify(ladder)}', 'EUR', '${at}');
  `);
  client.close();
  const db = await openDatabase(home);
  expect((await pricesOf(db.read, 1))[0]).toMatchObject({ price: 8000, values: PRICE });
  expect((await finishesOf(db.read, 1))[0]!.values).toEqual(USUAL_FINISH);
  expect((await priceLadderOf(db.read, 1))!.terms).toMatchObject({
    ...{ framedTimes: 0, papers: [], rule: { by: 'hand' } },
  });
  expect(await listConsignments(db.read)).toEqual([]);
  expect(await expenseSums(db.read)).toEqual([]);
  expect(await arrivals(db.read, { limit: 9 })).toEqual([]);
  const paid = {
    ...{ kind: 'month' as const, channel: 'own site', workId: null, sizeKey: null },
    ...{ onDay: '2026-11-01', amount: minor(900), currency: 'EUR', note: '', at },
  };
  await db.write((tx) => addExpense(tx, paid));
  await db.write((tx) => addExpense(tx, { ...paid, amount: minor(500) }));
  await db.write((tx) => takeBackExpense(tx, 1, at));
  await expect(db.write((tx) => takeBackExpense(tx, 1, at))).rejects.toThrow('noExpense');
  // What takes back is nothing that could be taken back.
  await expect(db.write((tx) => takeBackExpense(tx, 3, at))).rejects.toThrow('noExpense');
  expect(await expenseSums(db.read)).toEqual([
    { kind: 'month', channel: 'own site', currency: 'EUR', amount: 500 },
  ]);
  await expect(
    db.write((tx) => tx.run(sql`UPDATE expense SET amount_minor = 1`)),
  ).rejects.toThrow();
  db.close();
});
