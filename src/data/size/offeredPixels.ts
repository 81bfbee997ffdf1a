import { sql } from 'drizzle-orm';
import { derivedSize } from '@/core/capture/derivation';
import type { Derivation } from '@/core/capture/derivation';
import { READING_VERSION } from '@/core/capture/reading';
import { LAYOUT } from '@/core/size';
import type { Layout, MasterPixels } from '@/core/size';
import { cropsOf } from '../capture/masters';
import type { Reading } from '../reading';
import { cropChoicesNow } from './sizes';

export interface OfferedPixels {
  workId: number;
  sizeKey: string;
  layout: Layout;
  /** Of the master of now, and how much of them is detail. */
  pixels: MasterPixels;
}

/** The sizes of the given works that are on offer, with the pixels they would be printed from. */
export async function offeredWithPixels(
  db: Reading,
  workIds: readonly number[],
): Promise<OfferedPixels[]> {
  if (workIds.length === 0) return [];
  const crops = await cropChoicesNow(db, workIds);
  const rows = await db.all<{
    workId: number;
    sizeKey: string;
    layout: string;
    width: number;
    height: number;
    derivation: string | null;
    detail: number | null;
  }>(sql`
    SELECT n.work_id AS workId, e.size_key AS sizeKey, e.layout AS layout,
      f.width_px AS width, f.height_px AS height,
      m.derivation AS derivation, r.detail AS detail
    FROM size_now n JOIN size_event e ON e.id = n.event_id
    JOIN master_now mn ON mn.work_id = n.work_id JOIN master m ON m.id = mn.master_id
    JOIN file f ON f.sha256 = m.sha256
    LEFT JOIN reading r ON r.sha256 = m.sha256 AND r.version = ${READING_VERSION}
    WHERE n.work_id IN ${workIds} AND n.kind = 'offered' ORDER BY n.work_id, e.size_key`);
  return rows.map(({ width, height, derivation, detail, layout, ...row }) => {
    const file = { width, height };
    const size = derivation
      ? derivedSize(file, JSON.parse(derivation) as Derivation)
      : file;
    const pixels = { ...size, detail, crops: cropsOf(row.workId, crops) };
    return { ...row, layout: LAYOUT.read(JSON.parse(layout)), pixels };
  });
}

/** The last row of each fact that says how a size stands to its master. */
export interface OfferedMark {
  sizes: number;
  masters: number;
  readings: number;
  crops: number;
}

export const NOTHING_OFFERED: OfferedMark = { sizes: 0, masters: 0, readings: 0, crops: 0 };

export async function offeredMark(db: Reading): Promise<OfferedMark> {
  const [row] = await db.all<OfferedMark>(sql`
    SELECT coalesce((SELECT max(id) FROM size_event), 0) AS sizes,
      coalesce((SELECT max(id) FROM master), 0) AS masters,
      coalesce((SELECT max(rowid) FROM reading), 0) AS readings,
      coalesce((SELECT max(id) FROM crop_choice), 0) AS crops`);
  return row!;
}

/** Works with a size, a master, a reading or a crop that came after a mark, by number. */
export const worksChangedSince = async (
  db: Reading,
  { sizes, masters, readings, crops }: OfferedMark,
): Promise<number[]> =>
  (
    await db.all<{ id: number }>(sql`
      SELECT work_id AS id FROM size_event WHERE id > ${sizes}
      UNION SELECT work_id FROM master WHERE id > ${masters}
      UNION SELECT m.work_id FROM reading r JOIN master m ON m.sha256 = r.sha256 WHERE r.rowid > ${readings}
      UNION SELECT work_id FROM crop_choice WHERE id > ${crops}
      ORDER BY 1`)
  ).map(({ id }) => id);
