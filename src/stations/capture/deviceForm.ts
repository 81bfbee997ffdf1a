import { choice, decimal, defineForm, length, money, optional } from '@/core/input';
import { rowNumber, text, whole } from '@/core/input';
import type { InputContext, Typed } from '@/core/input';
import type { DeviceKind, HireInput } from '@/core/capture/plan';

export const DEVICE_KINDS: readonly (readonly [DeviceKind, string])[] = [
  ['flatbed', 'flatbed scanner'],
  ['camera', 'camera'],
  ['film', 'film scan'],
  ['digital', 'born digital'],
];

export type DeviceFieldName =
  | 'width'
  | 'height'
  | 'pixelsAcross'
  | 'pixelsDown'
  | 'nominalPpi'
  | 'measuredPpi'
  | 'focalLength'
  | 'memoryMegabytes';

type DeviceField = readonly [name: DeviceFieldName, label: string];

/** What is asked of each kind of device. Only a measured resolution may stay empty. */
export const DEVICE_FIELDS: Record<DeviceKind, readonly DeviceField[]> = {
  flatbed: [
    ['width', 'Bed, width'],
    ['height', 'Bed, height'],
    ['nominalPpi', 'The maker says'],
    ['measuredPpi', 'Measured'],
  ],
  camera: [
    ['pixelsAcross', 'Pixels across'],
    ['pixelsDown', 'Pixels down'],
    ['width', 'Sensor, width'],
    ['height', 'Sensor, height'],
    ['focalLength', 'Focal length'],
  ],
  film: [
    ['width', 'Frame, width'],
    ['height', 'Frame, height'],
    ['nominalPpi', 'Scanned at'],
  ],
  digital: [['memoryMegabytes', 'Memory for layers']],
};

const KINDS = ['flatbed', 'camera', 'film', 'digital'] as const;

const FIELDS = {
  kind: choice('Kind', KINDS),
  name: text('Name', { max: 80 }),
  width: optional(length('Width', { above: 0, max: 3000 })),
  height: optional(length('Height', { above: 0, max: 3000 })),
  pixelsAcross: optional(whole('Pixels across', { min: 100, max: 200000 }, 'px')),
  pixelsDown: optional(whole('Pixels down', { min: 100, max: 200000 }, 'px')),
  nominalPpi: optional(decimal('Resolution', { min: 50, max: 20000 }, 'ppi')),
  measuredPpi: optional(decimal('Measured', { min: 50, max: 20000 }, 'ppi')),
  focalLength: optional(length('Focal length', { min: 1, max: 2000 })),
  memoryMegabytes: optional(whole('Memory for layers', { min: 1, max: 1000000 }, 'MB')),
};
const deviceId = rowNumber('Device');

/** A device; which fields count depends on its kind. */
export const deviceForm = defineForm(FIELDS);
export const editDeviceForm = defineForm({ ...FIELDS, deviceId });
export const removeDeviceForm = defineForm({ deviceId });

/** What hiring a capture out and doing it oneself cost. */
export const hireForm = defineForm({
  feePerWork: money('Hired: fee for a work', { min: 0, max: 1e8 }),
  equipment: money('Own equipment, once', { min: 0, max: 1e9 }),
  hoursPerWork: decimal('Own time for a work', { min: 0, max: 100 }, 'h'),
  hourlyRate: money('Your hour', { min: 0, max: 1e7 }),
  works: whole('Works in view', { min: 1, max: 100000 }),
});

/** What is kept of them as it stands in its form; amounts of another currency are asked anew. */
export const hireWritten = (
  { currency, ...hire }: HireInput & { currency: string | null },
  context: InputContext,
): Typed => {
  const same = currency === null || currency === context.currency;
  const money = same ? {} : { feePerWork: null, equipment: null, hourlyRate: null };
  return hireForm.write({ ...hire, ...money }, context);
};
