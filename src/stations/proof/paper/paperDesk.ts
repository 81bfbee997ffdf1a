'use client';
import { WEIGHED_INTENTS } from '@/core/proof';
import type { WeighedIntent } from '@/core/proof';
import { useKept } from '@/shell/actions';
import { WIDE_SCREEN } from '@/shell/drawing';

/** What is chosen on the sheet; without an intent the one that is recommended. */
export interface PaperDesk {
  intent: WeighedIntent | null;
  paperWhite: boolean;
  blackInk: boolean;
  marks: boolean;
  /** Marked from this distance on, CIEDE2000. */
  threshold: number;
  screen: string;
  beside: boolean;
}

const USUAL: PaperDesk = {
  intent: null,
  paperWhite: true,
  blackInk: true,
  marks: false,
  threshold: 2,
  screen: 'srgb',
  beside: false,
};

const isDesk = (v: unknown): v is PaperDesk => {
  const d = (v ?? {}) as Record<keyof PaperDesk, unknown>;
  return (
    (['paperWhite', 'blackInk', 'marks', 'beside'] as const).every(
      (k) => typeof d[k] === 'boolean',
    ) &&
    (d.intent === null || WEIGHED_INTENTS.includes(d.intent as WeighedIntent)) &&
    typeof d.threshold === 'number' &&
    d.threshold >= 0.5 &&
    d.threshold <= 10 &&
    typeof d.screen === 'string' &&
    (d.screen === WIDE_SCREEN || /^(srgb|icc:[0-9a-f]{64})$/.test(d.screen))
  );
};

/** The desk of a work, kept for the tab and carried by a link; a screen that is gone, or is none here, is forgotten. */
export function usePaperDesk(
  workId: number,
  screens: readonly { sha256: string }[],
  wide: boolean,
): [PaperDesk, (over: Partial<PaperDesk>) => void] {
  const [kept, keep] = useKept(`proof-paper-${workId}`, isDesk);
  const desk = kept ?? USUAL;
  const there =
    desk.screen === 'srgb' ||
    (desk.screen === WIDE_SCREEN && wide) ||
    screens.some((s) => desk.screen === `icc:${s.sha256}`);
  const shown = there ? desk : { ...desk, screen: USUAL.screen };
  return [shown, (over) => keep({ ...shown, ...over })];
}
