import { nominalSize } from '@/core/size';
import {
  askedOf,
  proofCosts,
  proofCounts,
  proofsOut,
  proofsPage,
  readSettings,
} from '@/data';
import { studio } from '@/studio';

/** Rounds that are out are always shown first, as many as fit a page. */
const OUT = 50;

/** All proof rounds of the studio, the ones that are out first. */
export async function loadProofs(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const plain = asked.sort === null && asked.find === '' && asked.page === 1;
  const [page, counts, costs, out] = await Promise.all([
    proofsPage(db, asked),
    proofCounts(db),
    proofCosts(db),
    plain ? proofsOut(db, OUT) : [],
  ]);
  const first = new Set(out.map((p) => p.id));
  const rows = [...out, ...page.rows.filter((p) => !first.has(p.id))].map((p) => ({
    ...p,
    size: nominalSize(p.sizeKey)?.label ?? '',
  }));
  return {
    page: { ...page, rows },
    asked,
    counts,
    costs,
    timeZone: (await readSettings(db)).timeZone,
  };
}

export type ProofsView = Awaited<ReturnType<typeof loadProofs>>;
