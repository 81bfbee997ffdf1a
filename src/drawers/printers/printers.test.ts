import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { daysAfter } from '@/core/days';
import type { GaugeVerdict } from '@/core/ink';
import { undo } from '@/drawers/undo/actions';
import { loadTable } from '@/drawers/table/view';
import { sayLine } from '@/drawers/table/words';
import { addPurchase, readSettings } from '@/data';
import { todayOf } from '@/studio';
import { createInk, createPrinter, editInk, editPrinter, removeInk } from './actions';
import { removePrinter } from './actions';
import {
  noteBought,
  noteChange,
  noteCleaning,
  noteFirstSet,
  noteGauges,
  takeBackNoted,
} from './inkActions';
import { inkAsWritten, usualPrinter } from './printerForm';
import { loadPrinters } from './view';
import { buyWords, coresWords, spanWords } from './words';
import { verdictWords, warningWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
let today: string;
beforeAll(async () => {
  here = await inProcess();
  today = todayOf(await readSettings(here.open.db.read));
});
afterAll(() => here.end());

const BENCH = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
const HERON = {
  ...usualPrinter('', BENCH),
  name: 'Heron 24',
  inks: 'four',
  ml: '26',
  price: '16.90',
  deliveryDays: '5',
};
const ago = (days: number) => daysAfter(today, -days);
const shown = async (query: Record<string, string> = {}) =>
  (await loadPrinters(query)).picked!;
const CHANGE = { printerId: '1', wasLeft: '', firstFill: 'no', note: '', ml: '26' };

it('is laid in with its inks, once under its name, and taken back whole', async () => {
  expect(await createPrinter({ ...HERON, ml: '' })).toMatchObject({
    fields: { ml: expect.stringContaining('One holds') },
  });
  expect(await createPrinter({ ...HERON, widest: '5 mm' })).toMatchObject({
    fields: { widest: expect.stringContaining('margins') },
  });
  expect(
    await createPrinter({ ...HERON, coreFrom: '76 mm', coreTo: '50 mm' }),
  ).toMatchObject({ fields: { coreTo: expect.stringContaining('Change the two over') } });
  expect(await createPrinter(HERON)).toMatchObject({ ok: true, value: 1 });
  expect(await createPrinter({ ...HERON, name: 'heron 24' })).toMatchObject({ ok: false });
  expect((await shown()).inks.map((i) => i.name)).toEqual([
    'Cyan',
    'Magenta',
    'Yellow',
    'Black',
  ]);
  expect(await undo({})).toMatchObject({ ok: true });
  expect((await shown()).inks).toEqual([]);
  for (const name of ['Cyan', 'Black'])
    expect(
      await createInk({
        printerId: '1',
        name,
        role: name.toLowerCase(),
        papers: 'all',
        ml: '26',
        price: '16.90',
      }),
    ).toMatchObject({ ok: true });
  expect(await removePrinter({ printerId: '1' })).toMatchObject({
    message: expect.stringContaining('Only what nothing was noted of'),
  });
});

it('an ink put right keeps its price where none is typed', async () => {
  const [cyan] = (await shown()).inks;
  const inkId = String(cyan!.id);
  const { editingInk } = await loadPrinters({ ink: inkId, edit: 'ink' });
  const seen = JSON.stringify(editingInk);
  const typed = { ...editingInk, ml: '28', price: '', inkId, seen };
  expect(await editInk(typed)).toMatchObject({ ok: true });
  expect((await shown()).inks[0]).toMatchObject({ ml: 28, price: 1690 });
  // Whoever had it open before is shown both.
  expect(await editInk({ ...typed, ml: '30' })).toMatchObject({ ok: false });
  // A price of another currency does not stand in the field: it would be kept as one of this.
  const of = (await shown()).inks[0]!;
  expect(inkAsWritten(of, BENCH).price).toBe('16.90');
  expect(inkAsWritten({ ...of, currency: 'GBP' }, BENCH).price).toBe('');
  const { editing } = await loadPrinters({ edit: '1' });
  const kept = { ...editing, printerId: '1', seen: JSON.stringify(editing) };
  expect(await editPrinter({ ...kept, deliveryDays: '6' })).toMatchObject({ ok: true });
  expect((await shown()).printer.deliveryDays).toBe(6);
});

describe('what is noted', () => {
  const ids = async () => (await shown()).inks.map((i) => String(i.id));

  it('begins with the first set, which is counted apart', async () => {
    expect(await noteFirstSet({ printerId: '1', day: ago(-1) })).toMatchObject({
      fields: { day: expect.stringContaining('still to come') },
    });
    expect(await noteFirstSet({ printerId: '1', day: ago(120) })).toMatchObject({
      value: 2,
    });
    expect(await noteFirstSet({ printerId: '1', day: ago(119) })).toMatchObject({
      ok: false,
    });
    expect((await shown()).firstSet).toMatchObject({ inks: 2, ml: 54, cost: 3380 });
  });

  it('refuses a gauge of 140 %, keeps nothing of it, and notes those that were read', async () => {
    const [cyan, black] = await ids();
    const sent = { printerId: '1', day: ago(20) };
    const read = (a: string, b: string) =>
      noteGauges({ ...sent, [`gauge${cyan}`]: a, [`gauge${black}`]: b });
    expect(await read('20', '140')).toMatchObject({
      fields: { [`gauge${black}`]: expect.stringContaining('Black') },
    });
    expect((await shown()).events.filter((e) => e.kind === 'gauge')).toEqual([]);
    expect(await read('', '')).toMatchObject({
      message: expect.stringContaining('No gauge'),
    });
    expect(await read('12', '')).toMatchObject({ value: 1 });
    expect((await shown()).inks[0]!.gauge).toMatchObject({ share: 0.12 });
  });

  it('refuses a change before the last one, and an ink of another printer', async () => {
    const [cyan] = await ids();
    for (const day of [ago(120), ago(200)])
      expect(await noteChange({ ...CHANGE, inkId: cyan!, day })).toMatchObject({
        message: expect.stringContaining('one after the other'),
      });
    expect(await noteChange({ ...CHANGE, inkId: '99', day: ago(9) })).toMatchObject({
      fields: { inkId: expect.stringContaining('not in this printer') },
    });
    expect(await noteChange({ ...CHANGE, inkId: cyan!, day: ago(10) })).toMatchObject({
      ok: true,
    });
    const [shownCyan] = (await shown()).inks;
    expect(shownCyan!.warnings).toMatchObject([{ share: 0.12, wasLeft: 0 }]);
    expect(await removeInk({ inkId: cyan! })).toMatchObject({ ok: false });
  });

  it('is taken back, once', async () => {
    const { events } = await shown();
    const eventId = String(events.find((e) => e.day === ago(10))!.id);
    expect(await takeBackNoted({ eventId })).toMatchObject({ ok: true });
    expect(await takeBackNoted({ eventId })).toMatchObject({
      message: expect.stringContaining('taken back already'),
    });
    expect((await shown()).inks[0]!.bars).toHaveLength(1);
  });

  it('brings an ink to the table in time, and off it once it is bought', async () => {
    const [cyan] = await ids();
    const lines = async () =>
      (await loadTable()).lines.filter((l) => l.what === 'ink').map((l) => sayLine(l).what);
    for (let i = 0; i < 6; i += 1)
      expect(
        await noteCleaning({ printerId: '1', day: ago(60 - i), times: '1', note: '' }),
      ).toMatchObject({ ok: true });
    expect(await lines()).toContain('Cyan of Heron 24');
    // Ordered, it is off it, and nowhere to be bought; late, it is asked for; bought, it is here.
    expect((await shown()).inks[0]).toMatchObject({ coming: null, dueSoon: true });
    const { db } = here.open;
    const days = { orderedOn: ago(9), comesOn: ago(1) };
    const at = new Date(Date.now() - 1000).toISOString();
    const cartridge = { kind: 'ink' as const, ref: Number(cyan), name: 'Cyan, Heron 24' };
    await db.write((tx) =>
      addPurchase(tx, { ...cartridge, ...days, quantity: 1, supplier: '', at }),
    );
    expect(await lines()).not.toContain('Cyan of Heron 24');
    const late = async () => (await loadTable()).lines.filter((l) => l.what === 'overdue');
    expect(await late()).toMatchObject([{ name: 'Cyan, Heron 24', days: 1 }]);
    expect((await shown()).inks[0]).toMatchObject({
      coming: { quantity: 1 },
      dueSoon: false,
    });
    expect(
      await noteBought({
        printerId: '1',
        inkId: cyan!,
        day: today,
        pieces: '8',
        price: '',
        note: '',
      }),
    ).toMatchObject({ ok: true });
    expect(await lines()).not.toContain('Cyan of Heron 24');
    expect(await lines()).toContain('Black of Heron 24');
    expect((await shown()).inks[0]).toMatchObject({ spares: 8, coming: null });
    expect(await late()).toEqual([]);
  });
});

describe('in words', () => {
  const format = {
    number: (n: number, digits = 0) => n.toFixed(digits),
    percent: (share: number) => `${Math.round(share * 100)} %`,
    day: (iso: string) => iso,
  };

  it('says how long as people say it', () => {
    expect([3, 18, 40, 100, 400, 3650].map((d) => spanWords(d, format))).toEqual([
      '3 days',
      '2.6 weeks',
      '6 weeks',
      '3.3 months',
      '13 months',
      'over 9 years',
    ]);
  });

  it('says what came of a warning', () => {
    const warning = { at: '2026-05-04', share: 0.12, changedAt: '', weeks: 19, wasLeft: 0 };
    expect(warningWords(warning, format)).toBe(
      'It said 12 % on 2026-05-04; the cartridge lasted 19 more weeks.',
    );
    expect(warningWords({ ...warning, weeks: 0.7, wasLeft: 0.3 }, format)).toBe(
      'It said 12 % on 2026-05-04; the cartridge was taken out 5 days later with 30 % in it.',
    );
  });

  it('says whom to trust, and why, or that it cannot be told', () => {
    const verdict: GaugeVerdict = {
      said: 0.2,
      at: '2026-05-04',
      reckoned: 0.5,
      band: 0.1,
      verdict: 'trustReckoning',
      gaugeOff: 0.2,
      reckoningOff: 0.05,
    };
    expect(verdictWords(verdict, format, 4)).toContain(
      'Trust the reckoning: over cartridges that were used up the gauge was 20 % off',
    );
    expect(verdictWords({ ...verdict, verdict: 'agree' }, format, 4)).toContain(
      'They agree',
    );
    const blind = { ...verdict, verdict: 'cannotTell' as const, gaugeOff: null };
    expect(verdictWords(blind, format, 0)).toContain('no cartridge was used up so far');
  });

  it('says by when to buy, or what is missing for that', () => {
    const lasts = { left: 1, off: 1, perWeek: 1, early: '', likely: '', late: '' };
    const buy = (orderBy: string | null, days: number | null) =>
      buyWords({ orderBy, lasts }, days, '2026-05-04', format);
    expect(buy('2026-05-03', 5)).toBe('now');
    expect(buy('2026-06-03', 5)).toBe('2026-06-03');
    expect(buy('2036-06-03', 5)).toBe('not for years');
    expect(buy(null, null)).toBe('say how long a delivery takes');
    expect(
      buyWords({ orderBy: '2026-05-03', lasts, coming: {} }, 5, '2026-05-04', format),
    ).toBe('on its way');
    expect(buyWords({ orderBy: null, lasts: null }, 5, today, format)).toBe(
      'not known yet',
    );
  });
});

it('says which rolls go on its holder, by their cores, where somebody did', () => {
  const say = (coreFrom: number | null, coreTo: number | null) =>
    coresWords({ coreFrom, coreTo }, (mm) => `${mm} mm`);
  expect(say(50, 76)).toBe(', cores of 50 mm to 76 mm');
  expect(say(76, 76)).toBe(', cores of 76 mm');
  expect(say(null, 50)).toBe(', cores of 50 mm');
  expect(say(null, null)).toBe('');
});
