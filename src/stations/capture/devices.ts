import type { Device } from '@/core/capture/plan';
import { mm, ppi } from '@/core/units';
import type { Size } from '@/core/units';
import type { DeviceRow } from '@/data';

const sizeOf = ({ width, height }: DeviceRow): Size => ({
  width: mm(width ?? 1),
  height: mm(height ?? 1),
});

/** A kept device as the plan knows it. */
export function asDevice(row: DeviceRow): Device {
  const { name } = row;
  switch (row.kind) {
    case 'flatbed':
      return {
        kind: 'flatbed',
        name,
        bed: sizeOf(row),
        nominalPpi: ppi(row.nominalPpi ?? 1),
        measuredPpi: row.measuredPpi === null ? null : ppi(row.measuredPpi),
      };
    case 'camera':
      return {
        kind: 'camera',
        name,
        pixels: { width: row.pixelsAcross ?? 1, height: row.pixelsDown ?? 1 },
        sensor: sizeOf(row),
        focalLength: mm(row.focalLength ?? 50),
      };
    case 'film':
      return { kind: 'film', name, frame: sizeOf(row), ppi: ppi(row.nominalPpi ?? 1) };
    case 'digital':
      return { kind: 'digital', name, memoryMegabytes: row.memoryMegabytes ?? 1 };
  }
}
