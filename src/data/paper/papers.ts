import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { PackingMaterial } from '@/core/pack';
import type { Reading, Writing } from '../database';
import { materials, movements, papers } from '../schema';
import { stockNow } from '../schema';
import { addLogLine } from '../log/log';

export type PaperRow = typeof papers.$inferSelect;
export type MaterialRow = typeof materials.$inferSelect;

export type NewPaper = Omit<PaperRow, 'id' | 'discontinuedAt' | 'replacementId'>;

export async function addPaper(tx: Writing, paper: NewPaper): Promise<number> {
  const [row] = await tx.insert(papers).values(paper).returning({ id: papers.id });
  await addLogLine(tx, {
    at: paper.createdAt,
    what: 'paper.new',
    detail: { paper: paper.name },
  });
  return row!.id;
}

export async function addMaterial(
  tx: Writing,
  material: Omit<MaterialRow, 'id'>,
): Promise<number> {
  const [row] = await tx.insert(materials).values(material).returning({ id: materials.id });
  return row!.id;
}

/** Records pieces received or used. */
export async function moveStock(
  tx: Writing,
  movement: Omit<typeof movements.$inferSelect, 'id'>,
): Promise<void> {
  await tx.insert(movements).values(movement);
  await addLogLine(tx, {
    at: movement.at,
    what: movement.pieces > 0 ? 'stock.received' : 'stock.used',
    detail: {
      of: movement.of,
      ref: movement.ref,
      pieces: movement.pieces,
      reason: movement.reason,
    },
  });
}

async function materialStock(db: Reading): Promise<Map<number, number>> {
  const rows = await db.select().from(stockNow).where(eq(stockNow.of, 'material'));
  return new Map(rows.map((r) => [r.ref, r.pieces]));
}

export const getPaper = (db: Reading, id: number): Promise<PaperRow | undefined> =>
  db.query.papers.findFirst({ where: eq(papers.id, id) });

/** The paper of that name, however it is capitalised. */
export async function paperNamed(db: Reading, name: string): Promise<PaperRow | undefined> {
  const [row] = await db
    .select()
    .from(papers)
    .where(sql`lower(${papers.name}) = lower(${name})`);
  return row;
}

/** Whether sheets of a paper ever came in or went out. */
export async function paperMoved(db: Reading, id: number): Promise<boolean> {
  const [row] = await db
    .select({ id: movements.id })
    .from(movements)
    .where(and(eq(movements.of, 'paper'), eq(movements.ref, id)))
    .limit(1);
  return row !== undefined;
}

/** The last movements of one paper, oldest first. */
export const paperMovements = async (db: Reading, id: number, limit: number) =>
  (
    await db
      .select()
      .from(movements)
      .where(and(eq(movements.of, 'paper'), eq(movements.ref, id)))
      .orderBy(desc(movements.id))
      .limit(limit)
  ).reverse();

/** Packing material with what is left of it. */
export async function listMaterials(db: Reading): Promise<PackingMaterial[]> {
  const stock = await materialStock(db);
  const rows = await db.select().from(materials).orderBy(asc(materials.id));
  return rows.map(({ width, height, thickness, ...m }): PackingMaterial => {
    const left = stock.get(m.id) ?? 0;
    return m.kind === 'tube'
      ? {
          ...m,
          kind: 'tube',
          diameter: width,
          length: height,
          wall: thickness,
          stock: left,
        }
      : { ...m, kind: m.kind, width, height, thickness, stock: left };
  });
}
