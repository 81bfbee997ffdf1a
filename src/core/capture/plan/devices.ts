import type { Millimetres, Ppi, Size } from '../../units';

/** Something that a master can come from. Lengths in millimetres, resolutions in ppi. */
export type Device =
  | {
      kind: 'flatbed';
      name: string;
      bed: Size;
      /** What the maker says. */
      nominalPpi: Ppi;
      /** What a test target showed; nominal resolution is rarely reached. */
      measuredPpi: Ppi | null;
    }
  | {
      kind: 'camera';
      name: string;
      /** Pixels of one frame, lying. */
      pixels: { width: number; height: number };
      sensor: Size;
      focalLength: Millimetres;
    }
  | { kind: 'film'; name: string; frame: Size; ppi: Ppi }
  | { kind: 'digital'; name: string; memoryMegabytes: number };

export type DeviceKind = Device['kind'];
export type DeviceOf<K extends DeviceKind> = Extract<Device, { kind: K }>;

/**
 * The resolution to plan a flatbed with: measured where it was measured, else the maker's word.
 * @example flatbedPpi({ kind: 'flatbed', name: 'bed', bed: size(216, 297), nominalPpi: ppi(4800), measuredPpi: ppi(2000) }) // 2000
 */
export const flatbedPpi = (device: DeviceOf<'flatbed'>): Ppi =>
  device.measuredPpi ?? device.nominalPpi;
