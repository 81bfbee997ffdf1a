'use client';
import { useRouter } from 'next/navigation';
import { TakeOut, useActionForm } from '@/shell/actions';
import { FormFields, Pair } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormSlip } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import {
  createInk,
  createPrinter,
  editInk,
  editPrinter,
  removeInk,
  removePrinter,
} from './actions';
import {
  INK_SETS,
  inkForm,
  inkWritten,
  newPrinterForm,
  printerForm,
  usualPrinter,
} from './printerForm';
import type { PrintersView, ShownInk } from './view';
import { PAPERS_WORDS, ROLE_WORDS, SET_WORDS, TAKES_WORDS } from './words';

type Printer = NonNullable<PrintersView['picked']>['printer'];

const TAKES = Object.entries(TAKES_WORDS);
const SETS = INK_SETS.map((s) => [s, SET_WORDS[s]!] as const);
const ROLES = Object.entries(ROLE_WORDS);
const PAPERS = Object.entries(PAPERS_WORDS);

const PrinterFields = ({ form, routes }: { form: Form; routes: readonly string[] }) => {
  const f = { form, of: printerForm };
  const ways = [['', 'me, without a route'], ...routes.map((r) => [r, r])] as [
    string,
    string,
  ][];
  return (
    <>
      <FormFields
        {...f}
        only={['name', 'route', 'widest', 'takes']}
        options={{ takes: TAKES, route: ways }}
      />
      <SectionLabel>What it cannot print on, at each edge</SectionLabel>
      <Pair>
        <FormFields
          {...f}
          only={['marginLeft', 'marginRight', 'marginTop', 'marginBottom']}
          stacked
        />
      </Pair>
      <FormFields
        {...f}
        only={['coreFrom', 'coreTo', 'supplier', 'deliveryDays', 'note']}
      />
    </>
  );
};

/** A new printer, with the inks that it is laid in with. */
export function NewPrinter({ view, first }: { view: PrintersView; first: boolean }) {
  const router = useRouter();
  const form = useActionForm(createPrinter, usualPrinter(view.ownRoute, useBench()), {
    done: 'Printer added; note when its inks were put in.',
    onDone: (id) => router.push(`/printers?printer=${id}`),
  });
  return (
    <FormSlip
      label="New printer"
      form={form}
      verb="Add this printer"
      back={first ? null : '/printers'}
    >
      <PrinterFields form={form.form} routes={view.routes} />
      <SectionLabel>Its inks</SectionLabel>
      <FormFields
        form={form.form}
        of={newPrinterForm}
        only={['inks', 'ml', 'price']}
        options={{ inks: SETS }}
      />
      <Small>
        Each ink can be changed afterwards, and others added: a second black for matte
        papers, a clear coat, the waste box.
      </Small>
    </FormSlip>
  );
}

/** A printer put right; one without inks can be taken out. */
export function EditPrinter({
  printer,
  stored,
  routes,
}: {
  printer: Printer;
  stored: Record<string, string>;
  routes: readonly string[];
}) {
  const router = useRouter();
  const printerId = String(printer.id);
  const back = `/printers?printer=${printerId}`;
  const form = useActionForm(editPrinter, stored, {
    fixed: { printerId, seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(back),
  });
  return (
    <FormSlip
      label="Change this printer"
      title={stored.name}
      form={form}
      verb="Keep the changes"
      back={back}
      after={
        <TakeOut
          action={removePrinter}
          row={{ printerId }}
          what="this printer"
          to="/printers"
          note="Its inks are taken out first."
        />
      }
    >
      <PrinterFields form={form.form} routes={routes} />
    </FormSlip>
  );
}

/** An ink more, or the waste box. */
export function NewInk({ printer }: { printer: Printer }) {
  const router = useRouter();
  const printerId = String(printer.id);
  const back = `/printers?printer=${printerId}`;
  const start = inkWritten.write({ name: '', role: 'black', papers: 'all' }, useBench());
  const form = useActionForm(createInk, start, {
    fixed: { printerId },
    done: 'Added.',
    onDone: (id) => router.push(`${back}&ink=${id}`),
  });
  return (
    <FormSlip label={`An ink of ${printer.name}`} form={form} verb="Add it" back={back}>
      <FormFields form={form.form} of={inkForm} options={{ role: ROLES, papers: PAPERS }} />
      <Small>
        Of the waste box: what it takes until it is full, by its manual, and what a new one
        costs.
      </Small>
    </FormSlip>
  );
}

/** An ink put right; one of which nothing was noted can be taken out. */
export function EditInk({
  ink,
  stored,
}: {
  ink: ShownInk;
  stored: Record<string, string>;
}) {
  const router = useRouter();
  const format = useFormat();
  const { currency } = useBench();
  const inkId = String(ink.id);
  const back = `/printers?printer=${ink.printerId}&ink=${inkId}`;
  const form = useActionForm(editInk, stored, {
    fixed: { inkId, seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(back),
  });
  const kept = ink.currency === currency ? '' : format.money(ink.price, ink.currency);
  return (
    <FormSlip
      label="Change this ink"
      title={stored.name}
      form={form}
      verb="Keep the changes"
      back={back}
      after={
        <TakeOut
          action={removeInk}
          row={{ inkId }}
          what="this ink"
          to={`/printers?printer=${ink.printerId}`}
          note="What was noted of others stays."
        />
      }
    >
      <FormFields
        form={form.form}
        of={inkWritten}
        options={{ role: ROLES, papers: PAPERS }}
        hints={{ price: kept ? `Kept: ${kept}. Left empty, it stays so.` : undefined }}
      />
    </FormSlip>
  );
}
