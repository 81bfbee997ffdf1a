'use server';
import { addDevice, added, editRow, getDevice, removeRow } from '@/data';
import type { DeviceRow } from '@/data';
import { act, changeSettings, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { DEVICE_FIELDS, deviceForm, editDeviceForm, hireForm } from './deviceForm';
import { removeDeviceForm } from './deviceForm';

const WORDS = {
  gone: 'This device was taken off the list meanwhile. What you typed is still here.',
};

type Typed = Omit<DeviceRow, 'id'>;

/** What its kind asks for and was left empty, as a refusal; null when all is there. */
function lacking(device: Typed): Answer<never> | null {
  for (const [name, label] of DEVICE_FIELDS[device.kind]) {
    if (name === 'measuredPpi' || device[name] !== null) continue;
    const message = `${label}: nothing was given. A plan needs it.`;
    return refuse(message, { [name]: message });
  }
  return null;
}

/** Puts a device on the list. */
export async function createDevice(typed: unknown): Promise<Answer<number>> {
  return act(deviceForm, typed, {}, async (device, { write, at, undoable }) => {
    const refusal = lacking(device);
    return (
      refusal ??
      write(async (tx) => {
        const id = await addDevice(tx, device, at);
        await undoable(tx, `naming ${device.name}`, added('device', id));
        return id;
      })
    );
  });
}

/** Changes a device. */
export async function editDevice(typed: unknown): Promise<Answer<number>> {
  return act(editDeviceForm, typed, WORDS, async ({ deviceId, ...device }, tools) => {
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

/** Takes a device off the list. */
export async function removeDevice(typed: unknown): Promise<Answer<null>> {
  return act(
    removeDeviceForm,
    typed,
    WORDS,
    async ({ deviceId }, { write, at, undoable }) =>
      write(async (tx) => {
        const device = await getDevice(tx, deviceId);
        if (!device) return refuse(WORDS.gone);
        const step = await removeRow(tx, 'device', deviceId, { at, name: device.name });
        await undoable(tx, `taking ${device.name} off the list`, step);
        return null;
      }),
  );
}

/** Keeps what hiring out and doing it oneself cost. */
export async function keepHire(typed: unknown): Promise<Answer<null>> {
  return act(hireForm, typed, {}, (value, tools) =>
    changeSettings(tools, 'what hiring out costs', ({ currency }) => ({
      hire: { ...value, currency },
    })),
  );
}
