/** One file of a hand-over, as the manifest lists it. */
export interface ManifestItem {
  file: string;
  /** Title of the work; errands of before do not say it. */
  title?: string;
  sha256: string;
  bytes: number;
  size: string;
  /** The sheet, mm, and its pixels. */
  widthMm: number;
  heightMm: number;
  widthPx: number;
  heightPx: number;
  ppi: number;
  paper: string;
  /** The printer's media setting, as it is called there; errands of before do not say it. */
  setting?: string;
  quantity: number;
  remarks: string;
}

export interface HandOverManifest {
  errand: string;
  from: string;
  to: string;
  /** YYYY-MM-DD. */
  on: string;
  items: ManifestItem[];
}

export const MANIFEST_COLUMNS = [
  'file',
  'size',
  'paper',
  'quantity',
  'sha256',
  'bytes',
  'widthMm',
  'heightMm',
  'widthPx',
  'heightPx',
  'ppi',
  'remarks',
  'setting',
] as const satisfies (keyof ManifestItem)[];
