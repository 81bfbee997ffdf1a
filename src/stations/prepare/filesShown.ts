import { ppiOf, routeProblems } from '@/core/prepare';
import type { RouteProblem, RouteWants, RoutedFile } from '@/core/prepare';
import type { PrintFile } from '@/data';

/** A print file as it is chosen for an errand. */
export interface FileShown {
  id: number;
  name: string;
  /** Title of its work; empty for the work of the station. */
  work: string;
  bytes: number;
  routed: RoutedFile;
}

export const fileShown = (f: PrintFile, work = ''): FileShown => ({
  id: f.id,
  name: f.name,
  work,
  bytes: f.bytes,
  routed: {
    ppi: ppiOf(f.recipe),
    target: f.recipe.convert.target,
    bits: f.recipe.file.bits,
    format: f.recipe.file.format,
    compression: f.recipe.file.compression,
    failed: f.checks.filter((c) => !c.passed).length,
  },
});

/** The newest print file of each size and kind of colours. */
export function newestFiles(files: readonly PrintFile[]): PrintFile[] {
  const seen = new Set<string>();
  return files.filter((f) => {
    const key = `${f.sizeKey} ${f.channels}`;
    if (f.kind !== 'print' || seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** What is not as the route asks. */
export const problemsOf = (f: FileShown, wants: RouteWants | undefined): RouteProblem[] =>
  wants ? routeProblems(f.routed, wants) : [];
