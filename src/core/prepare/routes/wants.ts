import type { Compression, FileFormat, TargetId } from '../recipe';

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
