'use client';
import { useState } from 'react';
import { MIDDLE, choiceOf, cropAt, heldInside, holds, scaled, slid } from '@/core/size';
import type { CropRect } from '@/core/size';
import { useAction } from '@/shell/actions';
import { dropCrop, freeArea, keepArea, keepCrop } from './cropActions';
import type { SheetProps } from './useSizing';

const SHARE_DIGITS = 6;
const said = (share: number) => Number(share.toFixed(SHARE_DIGITS));

/** The crop of the ratio of the size that is picked: moved here, kept for all sizes of the ratio. */
export function useCrop({ view, master, sizing }: Omit<SheetProps, 'head'>) {
  const { here, draft, setDraft } = sizing;
  const [locked, setLocked] = useState(view.area !== null);
  const [drawing, setDrawing] = useState(false);
  const [marked, setMarked] = useState<CropRect | null>(null);
  const keeping = useAction(keepCrop, 'Crop kept.', () => setDraft(null));
  const dropping = useAction(dropCrop, 'The middle again.', () => setDraft(null));
  const marking = useAction(keepArea, 'Marked: no crop may lose it.', () => {
    setMarked(null);
    setDrawing(false);
    setLocked(true);
  });
  const freeing = useAction(freeArea, 'Nothing is marked any more.');
  const ratio = here?.ratio ?? '';
  const part = here?.fit.printed.crop ?? null;
  const seen = here?.fit.crop ?? null;
  const picture = master.facts.width / master.facts.height;
  const wanted = part ? (part.width / part.height) * picture : picture;
  const area = marked ?? view.area;
  const set = (next: CropRect) => {
    const inside =
      locked && view.area ? heldInside(picture, wanted, next, view.area) : next;
    setDraft({ ratio, choice: choiceOf(picture, wanted, inside ?? next) });
  };
  const kept = view.crops.find((c) => c.ratio === ratio);
  return {
    ratio,
    part,
    seen,
    picture,
    area,
    locked: locked && view.area !== null,
    setLocked,
    drawing,
    setDrawing: (on: boolean) => {
      setDrawing(on);
      setMarked(null);
    },
    marked,
    setMarked,
    /** The crop loses some of what must stay. */
    loses: view.area !== null && seen !== null && !holds(seen, view.area),
    /** No crop of this ratio holds what must stay. */
    tooWide:
      view.area !== null &&
      part !== null &&
      heldInside(picture, wanted, part, view.area) === null,
    /** Moved since it was kept. */
    moved: draft?.ratio === ratio,
    kept,
    /** The picture had another proportion when this crop was chosen. */
    stale: kept !== undefined && Math.abs(Math.log(kept.picture / picture)) > 0.005,
    slide: (across: number, down: number, from = part) =>
      from && set(slid(from, across, down)),
    scale: (factor: number, from = part) =>
      from && set(scaled(picture, wanted, from, factor)),
    middle: () => set(cropAt(picture, wanted, MIDDLE)),
    keep: () => {
      if (draft?.ratio !== ratio) return;
      const { x, y, zoom } = draft.choice;
      const figures = { x: said(x), y: said(y), zoom: said(zoom) };
      keeping.run({ workId: String(view.work.id), ratio, ...figures });
    },
    drop: () => dropping.run({ workId: String(view.work.id), ratio }),
    mark: () =>
      marked &&
      marking.run({
        workId: String(view.work.id),
        left: said(marked.left),
        top: said(marked.top),
        width: said(Math.min(marked.width, 1 - marked.left)),
        height: said(Math.min(marked.height, 1 - marked.top)),
      }),
    free: () => freeing.run({ workId: String(view.work.id) }),
    sending: keeping.sending || dropping.sending || marking.sending || freeing.sending,
    problem: keeping.problem ?? dropping.problem ?? marking.problem ?? freeing.problem,
  };
}

export type CropDesk = ReturnType<typeof useCrop>;
