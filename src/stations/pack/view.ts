import { impressionLabel } from '@/core/edition';
import { daysUntil } from '@/core/days';
import { nominalSize } from '@/core/size';
import { editionsNow, ordersOfWork } from '@/data';
import { loadWorkPage, todayOf } from '@/studio';

const MOST = 60;

/** The pack station: the orders in which prints of a work go out. */
export async function loadPack(id: string) {
  const { work, db, master, settings } = await loadWorkPage(id);
  const today = todayOf(settings);
  const orders = await ordersOfWork(db, work.id, MOST);
  const editions = await editionsNow(
    db,
    orders.flatMap((o) => o.lines.flatMap((l) => l.editionId ?? [])),
  );
  return {
    work,
    preview: master?.preview ?? null,
    orders: orders.map(({ lines, ...o }) => ({
      ...o,
      days: daysUntil(o.dueOn, today),
      prints: lines.map((l) => {
        const edition = l.editionId === null ? undefined : editions.get(l.editionId);
        return {
          id: l.id,
          state: l.state,
          label:
            edition && l.series && l.impression
              ? impressionLabel(edition, l.series, l.impression)
              : `${l.quantity} ×`,
          size: l.sizeKey === null ? '' : (nominalSize(l.sizeKey)?.label ?? ''),
          width: (l.sizeKey && nominalSize(l.sizeKey)?.width) || 0,
          height: (l.sizeKey && nominalSize(l.sizeKey)?.height) || 0,
        };
      }),
    })),
  };
}

export type PackView = Awaited<ReturnType<typeof loadPack>>;
