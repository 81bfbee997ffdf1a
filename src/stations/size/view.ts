import { offeredSizes, signatureOf } from '@/data';
import { loadWorkPage } from '@/studio';

/** The size station: the master's pixels, the rules in force, what is on offer. */
export async function loadSize(id: string, query: Record<string, string | undefined>) {
  const { db, work, master, settings } = await loadWorkPage(id);
  const [offered, signature] = await Promise.all([
    offeredSizes(db, work.id),
    signatureOf(db, work.id),
  ]);
  return {
    work,
    master,
    rules: settings.sizing,
    signature: signature?.present ?? null,
    offered: offered.map(({ sizeKey, fit, border }) => ({ sizeKey, fit, border })),
    picked: query.size ?? null,
  };
}

export type SizeView = Awaited<ReturnType<typeof loadSize>>;
