'use client';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench } from '@/shell/figures';
import { Problem } from '@/shell/said';
import type { Form } from '@/shell/fields';
import type { DeviceKind } from '@/core/capture/plan';
import type { DeviceRow } from '@/data';
import { createDevice, editDevice, removeDevice } from './deviceActions';
import { DEVICE_FIELDS, DEVICE_KINDS, deviceForm } from './deviceForm';

const Column = ({ children }: { children: React.ReactNode }) => (
  <div style={{ display: 'grid', gap: 7, marginTop: 8 }}>{children}</div>
);

/** Its name, and what is asked of its kind, as it is called there. */
const OfKind = ({ form, kind }: { form: Form; kind: DeviceKind }) => {
  const asked = DEVICE_FIELDS[kind];
  return (
    <FormFields
      form={form}
      of={deviceForm}
      only={['name', ...asked.map(([name]) => name)]}
      labels={Object.fromEntries(asked)}
    />
  );
};

/** A device put right, or taken off the list. */
export function EditDevice({ row }: { row: DeviceRow }) {
  const stored = deviceForm.write(row, useBench());
  const { form, submit, sending, problem } = useActionForm(editDevice, stored, {
    fixed: { deviceId: String(row.id), kind: row.kind },
    done: 'Changed.',
  });
  const removal = useAction(removeDevice, 'Taken off the list.');
  return (
    <Column>
      <OfKind form={form} kind={row.kind} />
      <Problem>{problem ?? removal.problem}</Problem>
      <div style={{ display: 'flex', gap: 8 }}>
        <Button $small onPress={submit} isDisabled={sending}>
          Change it
        </Button>
        <Button
          $small
          $plain
          onPress={() => removal.run({ deviceId: String(row.id) })}
          isDisabled={removal.sending}
        >
          Take it off the list
        </Button>
      </div>
    </Column>
  );
}

/** A new device for the list. */
export function NewDevice() {
  const blank = deviceForm.write({ kind: 'flatbed' }, useBench());
  const { form, submit, sending, problem } = useActionForm(createDevice, blank, {
    done: 'On the list.',
    onDone: () => form.reset(blank),
  });
  const kind = (form.watch('kind') ?? 'flatbed') as DeviceKind;
  return (
    <Column>
      <FormFields
        form={form}
        of={deviceForm}
        only={['kind']}
        options={{ kind: DEVICE_KINDS }}
      />
      <OfKind key={kind} form={form} kind={kind} />
      <Problem>{problem}</Problem>
      <Button $small onPress={submit} isDisabled={sending} style={{ justifySelf: 'start' }}>
        Put it on the list
      </Button>
    </Column>
  );
}
