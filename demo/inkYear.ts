import { ROLES, inkFactsOf } from '@/core/ink';
import type { InkRole, PrinterFacts } from '@/core/ink';
import { chance } from '@/core/image/chance';
import { daysAfter } from '@/core/days';
import { minor, mm } from '@/core/units';
import {
  addInkEvent,
  addPrinter,
  addPrinterInk,
  addPurchase,
  getPrinter,
  inksOfPrinters,
  ownRoute,
} from '@/data';
import type { NewInkEvent } from '@/data';
import { SET_ROLES } from '@/drawers/printers/printerForm';
import { ROLE_WORDS } from '@/drawers/printers/words';
import { ink } from '@/studio/jobs/kinds/ink';
import { inksOfPrinter } from '@/studio/reads/inksOfPrinter';
import type { Studio } from '@/studio/open/open';
import { daysAgo } from './tradeSteps';
import type { Say } from './tradeSteps';

const ML = 26;
const FIRST = 362;
/** What the inks are really used by; the demo's own, to be found out from what is noted. */
const TRULY = { perCovered: 11.5, perCleaning: 1.15, perDay: 0.045, firstLeft: 0.33 };
/** The gauges say so much less than there is. */
const LIES = 0.16;
const SPREE = [171, 170, 169];

async function printer(open: Studio): Promise<number> {
  const at = daysAgo(FIRST, 9);
  const name = 'Heron 24';
  const route = await ownRoute(open.db.read);
  return open.db.write(async (tx) => {
    const id = await addPrinter(tx, {
      name,
      route,
      widest: mm(610),
      takes: 'both',
      coreFrom: mm(50),
      coreTo: mm(76),
      marginLeft: mm(3),
      marginRight: mm(3),
      marginTop: mm(3),
      marginBottom: mm(14),
      supplier: 'Tallow & Reed, Inks',
      deliveryDays: 5,
      note: 'Nozzle check before every sheet larger than A3.',
      createdAt: at,
    });
    const roles: InkRole[] = [...SET_ROLES.eight, 'wasteBox'];
    for (const role of roles) {
      const box = ROLES[role].of === 'waste';
      const ink = {
        printerId: id,
        name: ROLE_WORDS[role],
        role,
        papers: 'all' as const,
        ml: box ? 600 : ML,
        price: minor(box ? 2900 : 1690),
        currency: 'EUR',
      };
      await addPrinterInk(tx, ink, { at, printer: name });
    }
    return id;
  });
}

/** Looks at every picture that was printed, or is to be. */
async function looked(open: Studio, printerId: number, today: string, say: Say) {
  const never = new AbortController().signal;
  const ended = await ink.run(open, { printerId }, () => undefined, never);
  const { looked: pictures } = (ended as { result: { looked: number } }).result;
  say(`  the ink of ${pictures} pictures estimated`);
  return inksOfPrinter(open.db.read, (await getPrinter(open.db.read, printerId))!, today);
}

/** A year of a printer: its first set, changes as the inks ran out, gauges that say too little, cleanings. */
export async function inkYear(open: Studio, say: Say): Promise<void> {
  const today = daysAgo(0, 12).slice(0, 10);
  const printerId = await printer(open);
  const { printed } = await looked(open, printerId, today, say);
  const inks = await inksOfPrinters(open.db.read, [printerId]);
  const facts: PrinterFacts = { inks, printed, events: [], deliveryDays: null };
  const onPaper = inkFactsOf(facts).map((f) => f.printed);
  const r = chance(24);
  const events: NewInkEvent[] = [];
  const note = (
    event: Omit<NewInkEvent, 'printerId' | 'at' | 'inkId'> & { inkId?: number },
  ) => events.push({ printerId, inkId: null, at: `${event.day}T17:00:00.000Z`, ...event });
  const put = (
    i: number,
    day: string,
    more: Partial<Pick<NewInkEvent, 'firstFill' | 'share'>>,
  ) => {
    const { id, ml, price, currency } = inks[i]!;
    note({ inkId: id, kind: 'changed', day, ml, price, currency, ...more });
  };
  const isBox = inks.map((i) => ROLES[i.role].of === 'waste');
  const first = daysAfter(today, -FIRST);
  inks.forEach((_, i) => put(i, first, { firstFill: !isBox[i] }));
  const left = inks.map((_, i) => (isBox[i] ? 0 : TRULY.firstLeft * ML));
  let early = true;
  for (let ago = FIRST - 1; ago > 0; ago -= 1) {
    const day = daysAfter(today, -ago);
    const spree = SPREE.includes(ago);
    const times = spree ? 3 : r() < 0.07 ? 1 : 0;
    if (times > 0) note({ kind: 'cleaned', day, times });
    inks.forEach((ink, i) => {
      if (isBox[i]) return;
      const laid = onPaper[i]!.filter((p) => p.at === day).reduce(
        (sum, p) => sum + p.area * p.coverage,
        0,
      );
      left[i]! -= laid * TRULY.perCovered + times * TRULY.perCleaning + TRULY.perDay;
      // Yellow was taken out when the gauge warned, though a third was in it.
      const share = left[i]! / ML;
      if (early && ink.role === 'yellow' && ago < 250 && share < 0.32 && share > 0) {
        early = false;
        put(i, day, { share: Number(share.toFixed(2)) });
        left[i] = ML;
      } else if (left[i]! <= 0) {
        put(i, day, {});
        left[i]! += ML * (1 + 0.03 * (r() - 0.5));
      } else if (ago % 17 === 5) {
        const said = Math.min(1, Math.max(0, share - LIES + 0.04 * (r() - 0.5)));
        note({
          inkId: ink.id,
          kind: 'gauge',
          day,
          share: Number(said.toFixed(2)),
        });
      }
    });
  }
  const magenta = inks.find((i) => i.role === 'magenta')!;
  await open.db.write(async (tx) => {
    for (const event of events) await addInkEvent(tx, event);
    // It was to be here two days ago.
    await addPurchase(tx, {
      kind: 'ink',
      ref: magenta.id,
      name: `${magenta.name}, Heron 24`,
      quantity: 1,
      supplier: 'Tallow & Reed, Inks',
      orderedOn: daysAfter(today, -8),
      comesOn: daysAfter(today, -2),
      at: daysAgo(8, 11),
    });
  });
  say(`  a year of inks: ${events.filter((e) => e.kind === 'changed').length} changes`);
}
