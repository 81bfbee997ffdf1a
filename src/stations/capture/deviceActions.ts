'use server';
import { addDevice, editRow, getDevice, removeRow, saveSettings } from '@/data';
import type { DeviceRow } from '@/data';
import { act, refuse } from '@/studio';
import type { ActionResult } from '@/studio';
import {
  choice,
  decimal,
  defineForm,
  length,
  money,
  optional,
  text,
  whole,
} from '@/core/input';
import { DEVICE_FIELDS } from './deviceForm';

const FIELDS = {
  name: text('Name', { max: 80 }),
  kind: choice('Kind', ['flatbed', 'camera', 'film', 'digital']),
  width: optional(length('Width', { above: 0, max: 3000 })),
  height: optional(length('Height', { above: 0, max: 3000 })),
  pixelsAcross: optional(whole('Pixels across', { min: 100, max: 200000 })),
  pixelsDown: optional(whole('Pixels down', { min: 100, max: 200000 })),
  nominalPpi: optional(decimal('Resolution', { min: 50, max: 20000 }, 'ppi')),
  measuredPpi: optional(decimal('Measured', { min: 50, max: 20000 }, 'ppi')),
  focalLength: optional(length('Focal length', { min: 1, max: 2000 })),
  memoryMegabytes: optional(whole('Memory for layers', { min: 1, max: 1000000 })),
};
const WORDS = {
  gone: 'This device was taken off the list meanwhile. What you typed is still here.',
};

type Typed = Omit<DeviceRow, 'id'>;

/** What its kind asks for and was left empty, as a refusal; null when all is there. */
function lacking(device: Typed): ActionResult<never> | null {
  for (const [name, label] of DEVICE_FIELDS[device.kind]) {
    if (name === 'measuredPpi' || device[name] !== null) continue;
    const message = `${label}: nothing was given. A plan needs it.`;
    return refuse(message, { [name]: message });
  }
  return null;
}

const made = defineForm(FIELDS);

/** Puts a device on the list. */
export async function createDevice(typed: unknown): Promise<ActionResult<number>> {
  return act(made, typed, {}, async (device, { write, at }) => {
    const refusal = lacking(device);
    return refusal ?? write((tx) => addDevice(tx, device, at));
  });
}

const edited = defineForm({ ...FIELDS, deviceId: whole('Device', { min: 1 }) });

/** Changes a device. */
export async function editDevice(typed: unknown): Promise<ActionResult<number>> {
  return act(edited, typed, WORDS, async ({ deviceId, ...device }, tools) => {
    const refusal = lacking(device);
    if (refusal) return refusal;
    const { write, at, undoable } = tools;
    return write(async (tx) => {
      const step = await editRow(tx, 'device', deviceId, device, { at, name: device.name });
      await undoable(tx, `changing ${device.name}`, step);
      return deviceId;
    });
  });
}

const removed = defineForm({ deviceId: whole('Device', { min: 1 }) });

/** Takes a device off the list. */
export async function removeDevice(typed: unknown): Promise<ActionResult<null>> {
  return act(removed, typed, WORDS, async ({ deviceId }, { write, at, undoable }) =>
    write(async (tx) => {
      const device = await getDevice(tx, deviceId);
      if (!device) return refuse(WORDS.gone);
      const step = await removeRow(tx, 'device', deviceId, { at, name: device.name });
      await undoable(tx, `taking ${device.name} off the list`, step);
      return null;
    }),
  );
}

const hire = defineForm({
  feePerWork: money('Fee for a work', { min: 0, max: 1e8 }),
  equipment: money('Own equipment', { min: 0, max: 1e9 }),
  hoursPerWork: decimal('Own hours for a work', { min: 0, max: 100 }, 'h'),
  hourlyRate: money('Your hour', { min: 0, max: 1e7 }),
  works: whole('Works in view', { min: 1, max: 100000 }),
});

/** Keeps what hiring out and doing it oneself cost. */
export async function keepHire(typed: unknown): Promise<ActionResult<null>> {
  return act(hire, typed, {}, async (value, { write }) => {
    await write((tx) => saveSettings(tx, { hire: value }));
    return null;
  });
}
