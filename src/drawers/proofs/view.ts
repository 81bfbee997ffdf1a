import { nominalSize } from '@/core/sizing';
import { allProofs, listWorks } from '@/data';
import { studio } from '@/studio';

/** All proof rounds of the studio, the ones that are out first. */
export async function loadProofs(_query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const [proofs, works] = await Promise.all([allProofs(db), listWorks(db)]);
  const titles = new Map(works.map((w) => [w.id, w.title]));
  const rows = proofs.map((p) => ({
    ...p,
    work: titles.get(p.workId) ?? '',
    size: nominalSize(p.sizeKey)?.label ?? '',
  }));
  return {
    rows: [
      ...rows.filter((r) => r.verdict === null),
      ...rows.filter((r) => r.verdict !== null).reverse(),
    ],
  };
}

export type ProofsView = Awaited<ReturnType<typeof loadProofs>>;
