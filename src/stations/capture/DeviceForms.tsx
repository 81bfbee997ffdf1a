'use client';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import type { DeviceKind } from '@/core/capture/plan';
import type { DeviceRow } from '@/data';
import { createDevice, editDevice, removeDevice } from './deviceActions';
import { DEVICE_FIELDS, DEVICE_KINDS, deviceForm } from './deviceForm';

const Column = ({ children }: { children: React.ReactNode }) => (
  <div style={{ display: 'grid', gap: 7, marginTop: 8 }}>{children}</div>
);

/** A device put right, or taken off the list. */
export function EditDevice({ row }: { row: DeviceRow }) {
  const { form, submit, sending, problem } = useActionForm(editDevice, deviceForm(row), {
    fixed: { deviceId: String(row.id), kind: row.kind },
    done: 'Changed.',
  });
  const removal = useAction(removeDevice, 'Taken off the list.');
  return (
    <Column>
      <Field form={form} name="name" label="Name" words />
      {DEVICE_FIELDS[row.kind].map(([name, label, unit]) => (
        <Field
          key={name}
          form={form}
          name={name}
          label={label}
          {...(unit ? { unit } : {})}
        />
      ))}
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

const BLANK: Record<string, string> = {
  name: '',
  kind: 'flatbed',
  ...Object.fromEntries(
    Object.values(DEVICE_FIELDS).flatMap((fields) => fields.map(([name]) => [name, ''])),
  ),
};

/** A new device for the list. */
export function NewDevice() {
  const { form, submit, sending, problem } = useActionForm(createDevice, BLANK, {
    done: 'On the list.',
    onDone: () => form.reset(BLANK),
  });
  const kind = (form.watch('kind') ?? 'flatbed') as DeviceKind;
  return (
    <Column>
      <ChoiceField form={form} name="kind" label="Kind" options={DEVICE_KINDS} />
      <Field form={form} name="name" label="Name" words />
      {DEVICE_FIELDS[kind].map(([name, label, unit]) => (
        <Field
          key={`${kind} ${name}`}
          form={form}
          name={name}
          label={label}
          {...(unit ? { unit } : {})}
        />
      ))}
      <Problem>{problem}</Problem>
      <Button $small onPress={submit} isDisabled={sending} style={{ justifySelf: 'start' }}>
        Put it on the list
      </Button>
    </Column>
  );
}
