'use client';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useRouter } from 'next/navigation';
import { Choose } from '@/shell/fields';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { LooksLike, useAddressOf } from '@/shell/table';
import { CartridgeChart } from './CartridgeChart';
import { InkSlip } from './InkSlip';
import { Bought, Changed, Cleaned, FirstSet, Gauges } from './NoteSlips';
import { EditInk, EditPrinter, NewInk, NewPrinter } from './PrinterForms';
import { PrinterSlip } from './PrinterSlip';
import type { PrintersView } from './view';
import { WeekChart } from './WeekChart';

/** What lies at the right: a form that was asked for, the ink that is picked, the printer. */
function Right({ view }: { view: PrintersView }) {
  const { picked, ink, note, adding, editing, addingInk, editingInk, today } = view;
  if (adding || !picked)
    return <NewPrinter view={view} first={view.printers.length === 0} />;
  const { printer, inks } = picked;
  if (editing)
    return (
      <EditPrinter
        key={printer.id}
        printer={printer}
        stored={editing}
        routes={view.routes}
      />
    );
  if (addingInk) return <NewInk key={printer.id} printer={printer} />;
  if (ink && editingInk) return <EditInk key={ink.id} ink={ink} stored={editingInk} />;
  const noted = { picked, today, inkId: ink?.id ?? inks[0]?.id ?? 0 };
  const key = `${printer.id} ${noted.inkId}`;
  if (note === 'changed') return <Changed key={key} {...noted} />;
  if (note === 'noted') return <FirstSet key={key} {...noted} />;
  if (note === 'gauge') return <Gauges key={key} {...noted} />;
  if (note === 'cleaned') return <Cleaned key={key} {...noted} />;
  if (note === 'bought') return <Bought key={key} {...noted} />;
  return ink ? (
    <InkSlip key={ink.id} view={view} ink={ink} />
  ) : (
    <PrinterSlip key={printer.id} view={view} picked={picked} />
  );
}

/** Printers: how their inks stand, a year of cartridges, what was used and printed each week. */
export function PrintersDrawer(view: PrintersView) {
  const { printers, picked, ink, today } = view;
  const router = useRouter();
  const addressOf = useAddressOf();
  const plain = { new: null, edit: null, note: null };
  return (
    <>
      <DrawerHead
        title="Printers"
        sum={`${printers.length} ${printers.length === 1 ? 'printer' : 'printers'}${
          picked ? `, ${picked.inks.length} inks of ${picked.printer.name}` : ''
        }`}
      >
        {printers.length > 1 && (
          <Choose
            label="Printer"
            value={String(picked?.printer.id ?? '')}
            options={printers.map((p) => [String(p.id), p.name])}
            onChange={(id) => router.push(addressOf({ ...plain, printer: id, ink: null }))}
          />
        )}
        <ButtonLink $plain href="/papers">
          Papers
        </ButtonLink>
        <ButtonLink href="/printers?new=1">New printer</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {!picked || picked.inks.length === 0 ? (
            <Empty title={picked ? 'No ink yet' : 'No printer yet'}>
              <p>
                {picked
                  ? 'Add its inks at the right, and note when they were put in.'
                  : 'Describe the one in the room at the right. From changes of its inks, its gauges and what you print is learned how long each lasts.'}
              </p>
              <LooksLike
                heads={['Ink', 'Left', 'Lasts', 'Buy by']}
                rows={[
                  ['Black', '41 ml', '3.2 months (2.5 to 4.1)', '12 March'],
                  ['Light grey', '18 ml', '5 weeks (4 to 7)', 'now'],
                ]}
              />
            </Empty>
          ) : (
            <>
              <CartridgeChart
                inks={picked.inks}
                today={today}
                picked={ink?.id ?? null}
                hrefOf={(id) => addressOf({ ...plain, ink: String(id) })}
              />
              <WeekChart weeks={picked.weeks} inks={picked.inks} today={today} />
            </>
          )}
        </Surface>
        <Right view={view} />
      </Bench>
    </>
  );
}
