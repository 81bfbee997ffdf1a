import { impressionLabel } from '@/core/edition';
import { nominalSize } from '@/core/size';
import type { FitResult } from '@/core/size';
import type { Size } from '@/core/units';
import { currentMaster, editionsNow, offeredSizes } from '@/data';
import type { BenchSettings, OrderLine, Reading } from '@/data';
import { layOut } from '@/studio/reads/offered';

/** A line with the size of its sheet, and how its number is pencilled. */
export interface BenchLine extends OrderLine {
  label: string | null;
  sizeLabel: string;
  sheet: Size | null;
  fit: FitResult | null;
  /** Hash of the picture its print is drawn with; null for goods. */
  picture: string | null;
}

/** Lines as they lie on the table: each print laid out on its sheet. */
export async function benchLines(
  db: Reading,
  lines: readonly OrderLine[],
  settings: BenchSettings,
): Promise<BenchLine[]> {
  const works = [...new Set(lines.flatMap((l) => l.workId ?? []))];
  const editions = await editionsNow(
    db,
    lines.flatMap((l) => l.editionId ?? []),
  );
  const laid = new Map(
    await Promise.all(
      works.map(async (workId) => {
        const [master, offered] = await Promise.all([
          currentMaster(db, workId),
          offeredSizes(db, workId),
        ]);
        const rungs = master ? layOut(offered, master, settings) : [];
        return [workId, { rungs, picture: master?.picture ?? null }] as const;
      }),
    ),
  );
  return lines.map((line) => {
    const { workId, sizeKey, editionId, series, impression } = line;
    const work = workId === null ? undefined : laid.get(workId);
    const rung = work?.rungs.find((r) => r.key === sizeKey);
    const nominal = sizeKey === null ? undefined : nominalSize(sizeKey);
    const edition = editionId === null ? undefined : editions.get(editionId);
    return {
      ...line,
      label:
        edition && series && impression
          ? impressionLabel(edition, series, impression)
          : null,
      sizeLabel: nominal?.label ?? '',
      sheet:
        rung?.fit.sheet ??
        (nominal ? { width: nominal.width, height: nominal.height } : null),
      fit: rung?.fit ?? null,
      picture: work?.picture ?? null,
    };
  });
}
