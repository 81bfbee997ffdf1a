import type { Compression, FileFormat, TargetId } from './recipe';

/** What who prints asks of a file. */
export interface RouteWants {
  /** Least resolution, ppi. */
  leastPpi: number;
  target: TargetId;
  /** A CMYK profile, when a file in ink is wanted beside the one in RGB; else empty. */
  press: TargetId | '';
  bits: 8 | 16;
  format: FileFormat;
}

export const USUAL_WANTS: RouteWants = {
  leastPpi: 200,
  target: 'a98-rgb',
  press: '',
  bits: 8,
  format: 'tiff',
};

/** A file as far as a route looks at it. */
export interface RoutedFile {
  ppi: number;
  target: TargetId;
  bits: 8 | 16;
  format: FileFormat;
  compression: Compression;
  /** Checks against its order that it did not pass. */
  failed: number;
}

export type RouteProblem =
  | { code: 'failed'; count: number }
  | { code: 'ppi'; wanted: number; found: number }
  | { code: 'target'; wanted: TargetId; found: TargetId }
  | { code: 'bits'; wanted: number; found: number }
  | { code: 'format'; wanted: FileFormat; found: FileFormat };

/** In what a file is not what its route asks for. */
export function routeProblems(file: RoutedFile, wants: RouteWants): RouteProblem[] {
  const found: RouteProblem[] = [];
  if (file.failed > 0) found.push({ code: 'failed', count: file.failed });
  if (file.ppi < wants.leastPpi)
    found.push({ code: 'ppi', wanted: wants.leastPpi, found: file.ppi });
  if (file.target !== wants.target && file.target !== wants.press)
    found.push({ code: 'target', wanted: wants.target, found: file.target });
  if (file.bits !== wants.bits)
    found.push({ code: 'bits', wanted: wants.bits, found: file.bits });
  if (file.format !== wants.format)
    found.push({ code: 'format', wanted: wants.format, found: file.format });
  return found;
}

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
] as const satisfies (keyof ManifestItem)[];
