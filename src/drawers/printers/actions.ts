'use server';
import type { Answer } from '@/core/input';
import {
  addPrinter,
  addPrinterInk,
  added,
  editRow,
  getPrinter,
  getPrinterInk,
  printerNamed,
  removeRow,
} from '@/data';
import { act, refuse, staleForm } from '@/studio';
import { lookAtPrints } from './lookAtPrints';
import {
  SET_ROLES,
  editInkForm,
  editPrinterForm,
  inkForm,
  inkAsWritten,
  inkWritten,
  newPrinterForm,
  printerForm,
  removeInkForm,
  removePrinterForm,
} from './printerForm';
import type { PrinterInput } from './printerForm';
import { INK_GONE, PRINTER_GONE, ROLE_WORDS } from './words';

const WORDS: Record<string, string> = {
  gone: PRINTER_GONE,
  inUse:
    'Changes, gauges or inks are noted of it. Only what nothing was noted of can be taken out.',
};

const nameTaken = (name: string) => {
  const message = `Name: there is a printer “${name}” already. Give this one another name.`;
  return refuse(message, { name: message });
};

/** Margins that leave nothing to print on are refused, and cores from more to less. */
function cannotBe({ widest, marginLeft, marginRight, coreFrom, coreTo }: PrinterInput) {
  if (coreFrom !== null && coreTo !== null && coreFrom > coreTo) {
    const message = 'Roll cores to: it is less than where they begin. Change the two over.';
    return refuse(message, { coreTo: message });
  }
  if (marginLeft + marginRight < widest) return null;
  const message =
    'Widest paper: its margins are as wide as the paper. Put one of the three right.';
  return refuse(message, { widest: message });
}

/** Takes a printer into the drawer, with its inks. */
export async function createPrinter(typed: unknown): Promise<Answer<number>> {
  return act(newPrinterForm, typed, WORDS, async (v, tools) => {
    const { settings, write, at, undoable } = tools;
    const { inks, ml, price, ...printer } = v;
    const missing = (name: 'ml' | 'price', title: string) => {
      const message = `${title}: say it of one cartridge, or choose no inks yet.`;
      return refuse(message, { [name]: message });
    };
    if (inks !== 'none' && ml === null) return missing('ml', 'One holds');
    if (inks !== 'none' && price === null) return missing('price', 'One costs');
    const made = await write(async (tx) => {
      if (await printerNamed(tx, v.name)) return nameTaken(v.name);
      const fault = cannotBe(printer);
      if (fault) return fault;
      const id = await addPrinter(tx, { ...printer, createdAt: at });
      await undoable(tx, `laying in ${v.name}`, added('printer', id));
      const { currency } = settings;
      const ids: number[] = [];
      for (const role of SET_ROLES[inks]) {
        const ink = {
          printerId: id,
          name: ROLE_WORDS[role],
          role,
          papers: 'all' as const,
          ml: ml!,
          price: price!,
          currency,
        };
        ids.push(await addPrinterInk(tx, ink, { at, printer: v.name }));
      }
      if (ids.length > 0)
        await undoable(tx, `laying in the inks of ${v.name}`, added('printerInk', ...ids));
      return id;
    });
    if (typeof made === 'number' && inks !== 'none')
      await lookAtPrints(tools.studio, made, at);
    return made;
  });
}

/** Changes what is noted of a printer; refused, with both values, when it was changed meanwhile. */
export async function editPrinter(typed: unknown): Promise<Answer<number>> {
  return act(
    editPrinterForm,
    typed,
    WORDS,
    async (v, { settings, write, at, undoable }) => {
      const { printerId, seen, ...after } = v;
      return write(async (tx) => {
        const now = await getPrinter(tx, printerId);
        if (!now) return refuse(PRINTER_GONE);
        const fault = cannotBe(after);
        if (fault) return fault;
        const namesake = await printerNamed(tx, v.name);
        if (namesake && namesake.id !== printerId) return nameTaken(v.name);
        const [kept, own] = [now, after].map((p) => printerForm.write(p, settings));
        const stale = staleForm(seen, kept!, own!, printerForm.titles);
        if (stale) return stale;
        const step = await editRow(tx, 'printer', printerId, after, { at, name: v.name });
        await undoable(tx, `changing ${v.name}`, step);
        return printerId;
      });
    },
  );
}

/** Takes a printer without inks out of the drawer. */
export async function removePrinter(typed: unknown): Promise<Answer<null>> {
  return act(
    removePrinterForm,
    typed,
    WORDS,
    async ({ printerId }, { write, at, undoable }) => {
      await write(async (tx) => {
        const name = (await getPrinter(tx, printerId))?.name ?? '';
        const step = await removeRow(tx, 'printer', printerId, { at, name });
        await undoable(tx, `taking out ${name}`, step);
      });
      return null;
    },
  );
}

/** Adds an ink to a printer, or its waste box. */
export async function createInk(typed: unknown): Promise<Answer<number>> {
  return act(inkForm, typed, WORDS, async (v, { settings, write, at, undoable }) =>
    write(async (tx) => {
      const printer = await getPrinter(tx, v.printerId);
      if (!printer) return refuse(PRINTER_GONE);
      const { currency } = settings;
      const id = await addPrinterInk(tx, { ...v, currency }, { at, printer: printer.name });
      await undoable(tx, `adding ${v.name}`, added('printerInk', id));
      return id;
    }),
  );
}

/** Changes what is noted of an ink; what was changed and read before keeps its figures. */
export async function editInk(typed: unknown): Promise<Answer<number>> {
  return act(editInkForm, typed, WORDS, async (v, { settings, write, at, undoable }) => {
    const { inkId, seen, price, ...fields } = v;
    return write(async (tx) => {
      const now = await getPrinterInk(tx, inkId);
      if (!now) return refuse(INK_GONE);
      const priced = price === null ? now : { price, currency: settings.currency };
      const after = { ...fields, price: priced.price, currency: priced.currency };
      const [kept, own] = [now, after].map((i) => inkAsWritten(i, settings));
      const stale = staleForm(seen, kept!, own!, inkWritten.titles);
      if (stale) return stale;
      const step = await editRow(tx, 'printerInk', inkId, after, { at, name: v.name });
      await undoable(tx, `changing ${v.name}`, step);
      return inkId;
    });
  });
}

/** Takes an ink of which nothing was noted out of its printer. */
export async function removeInk(typed: unknown): Promise<Answer<null>> {
  return act(removeInkForm, typed, WORDS, async ({ inkId }, { write, at, undoable }) => {
    await write(async (tx) => {
      const name = (await getPrinterInk(tx, inkId))?.name ?? '';
      const step = await removeRow(tx, 'printerInk', inkId, { at, name });
      await undoable(tx, `taking out ${name}`, step);
    });
    return null;
  });
}
