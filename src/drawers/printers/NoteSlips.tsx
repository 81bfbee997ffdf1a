'use client';
import { useRouter } from 'next/navigation';
import { useActionForm } from '@/shell/actions';
import type { ActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench } from '@/shell/figures';
import { FormSlip } from '@/shell/slip';
import { Small } from '@/shell/words';
import {
  noteBought,
  noteChange,
  noteCleaning,
  noteFirstSet,
  noteGauges,
} from './inkActions';
import { boughtForm, changedForm, cleanedForm, firstSetForm, gaugeForm } from './inkForms';
import type { PrintersView } from './view';

type Picked = NonNullable<PrintersView['picked']>;

interface NoteProps {
  picked: Picked;
  /** The ink that is picked; else the first that needs it. */
  inkId: number;
  today: string;
}

const backTo = ({ printer }: Picked) => `/printers?printer=${printer.id}`;

const chosen = (inks: Picked['inks']) =>
  inks.map((i) => [String(i.id), i.name] as [string, string]);

function useNote(
  action: Parameters<typeof useActionForm<number>>[0],
  start: Record<string, string>,
  picked: Picked,
  done: string,
): ActionForm {
  const router = useRouter();
  return useActionForm(action, start, {
    fixed: { printerId: String(picked.printer.id) },
    done,
    onDone: () => router.push(backTo(picked)),
  });
}

/** A cartridge was put in. */
export function Changed({ picked, inkId, today }: NoteProps) {
  const bench = useBench();
  const ink = picked.inks.find((i) => i.id === inkId)!;
  const fresh = ink.bars.length === 0;
  const start = {
    ...changedForm.write(
      {
        day: today,
        ml: ink.ml,
        wasLeft: null,
        firstFill: fresh && !ink.isBox ? 'yes' : 'no',
        note: '',
      },
      bench,
    ),
    inkId: String(inkId),
  };
  const form = useNote(noteChange, start, picked, 'The change is noted.');
  return (
    <FormSlip
      label="A cartridge was put in"
      form={form}
      verb="Note the change"
      back={backTo(picked)}
    >
      <FormFields
        form={form.form}
        of={changedForm}
        options={{
          inkId: chosen(picked.inks),
          firstFill: [
            ['no', 'no'],
            ['yes', 'yes'],
          ],
        }}
      />
      <Small>
        What an ink is used by is learned from cartridges that were used up. One that was
        taken out with ink in it counts for what it gave.
      </Small>
    </FormSlip>
  );
}

/** The first set of a new printer, all inks at once. */
export function FirstSet({ picked, today }: Omit<NoteProps, 'inkId'>) {
  const start = firstSetForm.write({ day: today }, useBench());
  const form = useNote(noteFirstSet, start, picked, 'The first set is noted.');
  return (
    <FormSlip
      label="The first set of inks"
      form={form}
      verb="Note the first set"
      back={backTo(picked)}
    >
      <FormFields form={form.form} of={firstSetForm} />
      <Small>
        The first set mostly fills the tubes: it is counted apart, and nothing is learned
        from it of what an ink is used by. Of a printer that was begun long ago, note each
        change by itself instead, as far as you know them.
      </Small>
    </FormSlip>
  );
}

/** What the gauges say, one field an ink. */
export function Gauges({ picked, today }: Omit<NoteProps, 'inkId'>) {
  const bench = useBench();
  const of = gaugeForm(picked.inks);
  const form = useNote(noteGauges, of.write({ day: today }, bench), picked, 'Noted.');
  return (
    <FormSlip
      label="The gauges say"
      form={form}
      verb="Note what they say"
      back={backTo(picked)}
    >
      <FormFields form={form.form} of={of} />
      <Small>
        Per cent of a full cartridge; of the waste box, what it may still take. Gauges count
        what was sent, not what is left: what they say is held against what is reckoned.
      </Small>
    </FormSlip>
  );
}

/** The heads were cleaned. */
export function Cleaned({ picked, today }: Omit<NoteProps, 'inkId'>) {
  const start = cleanedForm.write({ day: today, times: 1, note: '' }, useBench());
  const form = useNote(noteCleaning, start, picked, 'The cleaning is noted.');
  return (
    <FormSlip
      label="The heads were cleaned"
      form={form}
      verb="Note the cleaning"
      back={backTo(picked)}
    >
      <FormFields form={form.form} of={cleanedForm} />
      <Small>
        A cleaning takes ink of every cartridge, and fills the waste box. Where a nozzle
        check is clean, none is needed; the printer’s manual says what its cleanings are.
      </Small>
    </FormSlip>
  );
}

/** Cartridges that were bought. */
export function Bought({ picked, inkId, today }: NoteProps) {
  const bench = useBench();
  const start = {
    ...boughtForm.write({ day: today, pieces: 1, price: null, note: '' }, bench),
    inkId: String(inkId),
  };
  const form = useNote(noteBought, start, picked, 'Noted: it lies ready.');
  return (
    <FormSlip label="Ink was bought" form={form} verb="Note it" back={backTo(picked)}>
      <FormFields
        form={form.form}
        of={boughtForm}
        options={{ inkId: chosen(picked.inks) }}
      />
      <Small>It is taken off again when a change of this ink is noted.</Small>
    </FormSlip>
  );
}
