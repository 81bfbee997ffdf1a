import type { DeviceKind } from '@/core/capture/plan';
import type { DeviceRow } from '@/data';

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

type DeviceField = readonly [name: DeviceFieldName, label: string, unit?: string];

/** What is asked of each kind of device. Only a measured resolution may stay empty. */
export const DEVICE_FIELDS: Record<DeviceKind, readonly DeviceField[]> = {
  flatbed: [
    ['width', 'Bed, width'],
    ['height', 'Bed, height'],
    ['nominalPpi', 'The maker says', 'ppi'],
    ['measuredPpi', 'Measured', 'ppi'],
  ],
  camera: [
    ['pixelsAcross', 'Pixels across', 'px'],
    ['pixelsDown', 'Pixels down', 'px'],
    ['width', 'Sensor, width'],
    ['height', 'Sensor, height'],
    ['focalLength', 'Focal length'],
  ],
  film: [
    ['width', 'Frame, width'],
    ['height', 'Frame, height'],
    ['nominalPpi', 'Scanned at', 'ppi'],
  ],
  digital: [['memoryMegabytes', 'Memory for layers', 'MB']],
};

const LENGTHS: readonly DeviceFieldName[] = ['width', 'height', 'focalLength'];

/** A device as it stands in its form. */
export const deviceForm = (
  row: Pick<DeviceRow, 'name' | 'kind' | DeviceFieldName>,
): Record<string, string> => ({
  name: row.name,
  kind: row.kind,
  ...Object.fromEntries(
    DEVICE_FIELDS[row.kind].map(([name]) => {
      const value = row[name];
      const text = value === null ? '' : String(value);
      return [name, text && LENGTHS.includes(name) ? `${text} mm` : text];
    }),
  ),
});
