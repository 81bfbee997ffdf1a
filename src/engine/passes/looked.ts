/** Samples of a part of a file, no more than `LOOK` pixels a side. */
export interface Looked {
  data: Uint8Array | Uint16Array;
  width: number;
  height: number;
  channels: number;
  /** Of 255 or 65535. */
  whole: number;
}
