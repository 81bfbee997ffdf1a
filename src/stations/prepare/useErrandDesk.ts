'use client';
import { useKept } from '@/shell/actions';
import { useBench } from '@/shell/figures';
import { isErrandDesk, readItem } from './errandDesk';
import type { Chosen, ErrandDesk } from './errandDesk';
import type { FileShown } from './filesShown';

/** What lies ready to be handed over at one station: files of its work, and of others. */
export function useErrandDesk(workId: number, own: readonly FileShown[], paperId: string) {
  const [kept, keep] = useKept<ErrandDesk>(`errand-${workId}`, isErrandDesk);
  const desk = kept ?? { routeId: null, items: {}, others: {} };
  const put = (file: FileShown, over: Partial<Chosen> | null) => {
    const items = { ...desk.items };
    const others = { ...desk.others };
    if (over === null) {
      delete items[file.id];
      delete others[file.id];
    } else {
      items[file.id] = { quantity: '1', paperId, remarks: '', ...items[file.id], ...over };
      if (file.work !== '') others[file.id] = file;
    }
    keep({ ...desk, items, others });
  };
  const chosen = [...own, ...Object.values(desk.others)].filter((f) => desk.items[f.id]);
  const bench = useBench();
  const lines = chosen.map((f) => readItem(f, desk.items[f.id]!, bench));
  return {
    desk,
    put,
    chosen,
    others: Object.values(desk.others),
    choose: (routeId: number) => keep({ ...desk, routeId }),
    /** Lays so many prints of a file ready for somebody, beside what lies there. */
    lay: (file: FileShown, quantity: number, routeId: number) =>
      keep({
        ...desk,
        routeId,
        items: {
          ...desk.items,
          [file.id]: {
            ...{ paperId, remarks: '', ...desk.items[file.id] },
            quantity: String(quantity),
          },
        },
      }),
    clear: () => keep({ ...desk, items: {}, others: {} }),
    /** What is sent, and the first thing that is not right with it. */
    items: lines.flatMap((l) => l.item ?? []),
    fault: lines.find((l) => l.fault !== null)?.fault ?? null,
  };
}

export type ErrandDeskNow = ReturnType<typeof useErrandDesk>;
