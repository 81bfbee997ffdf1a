import { impressionLabel } from '@/core/edition';
import { editionsNow, printedOfLines } from '@/data';
import type { BenchSettings, OrderLine, Reading } from '@/data';
import { sheetsOf } from '@/studio/reads/offered';
import type { LaidSheet } from '@/studio/reads/offered';

/** A line with the size of its sheet, and how its number is pencilled; goods have neither. */
export interface BenchLine extends OrderLine, Omit<LaidSheet, 'label'> {
  label: string | null;
  sizeLabel: string;
  /** Unnumbered prints of it that are made. */
  printed: number;
}

/** Lines as they lie on the table: each print laid out on its sheet. */
export async function benchLines(
  db: Reading,
  lines: readonly OrderLine[],
  settings: BenchSettings,
): Promise<BenchLine[]> {
  const [sheetFor, editions, printed] = await Promise.all([
    sheetsOf(
      db,
      lines.flatMap((l) => l.workId ?? []),
      settings,
    ),
    editionsNow(
      db,
      lines.flatMap((l) => l.editionId ?? []),
    ),
    printedOfLines(
      db,
      lines.map((l) => l.id),
    ),
  ]);
  return lines.map((line) => {
    const { editionId, series, impression } = line;
    const { label: sizeLabel, ...laid } = sheetFor(line.workId, line.sizeKey);
    const edition = editionId === null ? undefined : editions.get(editionId);
    const label =
      edition && series && impression ? impressionLabel(edition, series, impression) : null;
    return { ...line, ...laid, sizeLabel, label, printed: printed.get(line.id) ?? 0 };
  });
}
