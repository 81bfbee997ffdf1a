'use client';
import { useCallback, useMemo, useState } from 'react';
import {
  againstOriginal,
  judgedNow,
  ladder,
  nominalSize,
  ratioName,
  reopened,
  rung,
  sizesOf,
} from '@/core/size';
import type { CropChoice, FamilyId, Reopened, Rung, SizeRules } from '@/core/size';
import { printFileBytes } from '@/core/prepare';
import { turnedLike } from '@/core/units';
import { isFigure, isText, shape } from '@/core/facts';
import { useKept } from '@/shell/actions';
import type { SizeView } from './view';
import { useLayout } from './useLayout';

export type Decided = SizeView['decided'][number];

/** A size of the ladder with all that is known of it. */
export interface Step extends Rung {
  /** How many times the original's size it is. */
  original: number;
  /** Bytes of its print file. */
  bytes: number;
  decided: Decided | undefined;
  /** Its verdict is another one than when it was decided on. */
  reopened: Reopened | null;
}

const isDraft = shape({
  ratio: isText,
  choice: shape({ x: isFigure, y: isFigure, zoom: isFigure }),
});

/** What the size station works with: the ladder as it is laid out and judged at this moment. */
export function useSizing(view: SizeView) {
  const { work, master, decided } = view;
  const start =
    decided.find((d) => d.sizeKey === view.picked) ??
    decided.find((d) => d.kind === 'offered');
  const [families, setFamilies] = useState<FamilyId[]>(() => [
    nominalSize(view.picked ?? start?.sizeKey ?? '')?.family ?? 'metricFrames',
  ]);
  const [ratio, setRatio] = useState<string | null>(null);
  const [standing, setStanding] = useState<Partial<SizeRules>>({});
  const [picked, pick] = useState<string | null>(view.picked ?? start?.sizeKey ?? null);
  const [draft, setDraft] = useKept<{ ratio: string; choice: CropChoice }>(
    `glassine.crop.${work.id}`,
    isDraft,
  );
  const desk = useLayout(`glassine.layout.${work.id}`, start?.layout);
  const rules = useMemo(() => ({ ...view.rules, ...standing }), [view.rules, standing]);
  const facts = useMemo(
    () =>
      master && {
        ...master.facts,
        crops: draft
          ? { ...master.facts.crops, [draft.ratio]: draft.choice }
          : master.facts.crops,
      },
    [master, draft],
  );
  const sizes = useMemo(() => sizesOf(families, view.ownSizes), [families, view.ownSizes]);
  const ratios = useMemo(() => [...new Set(sizes.map(ratioName))], [sizes]);
  // A ratio that no size comes in any more leaves none out.
  const only = ratio !== null && ratios.includes(ratio) ? ratio : null;
  const shown = useMemo(
    () => (only === null ? sizes : sizes.filter((s) => ratioName(s) === only)),
    [sizes, only],
  );
  const byKey = useMemo(() => new Map(decided.map((d) => [d.sizeKey, d])), [decided]);
  /** Sizes that are open again: by the crops that are kept and the studio's rules, not by what is tried here. */
  const openAgain = useMemo(() => {
    const found = new Map<string, Reopened>();
    if (!master) return found;
    for (const said of decided) {
      const nominal = nominalSize(said.sizeKey);
      const now = nominal && rung(nominal, master.facts, said.layout, view.rules);
      const again =
        now && reopened(said.kind, said.judged, judgedNow(now.judgement, master.id));
      if (again) found.set(said.sizeKey, again);
    }
    return found;
  }, [decided, master, view.rules]);
  const { layout } = desk;
  const original = master ? turnedLike(work, master.facts) : work;
  const steps = useMemo((): Step[] => {
    if (!facts || !master) return [];
    return ladder(shown, facts, layout, rules).map((r) => ({
      ...r,
      original: againstOriginal(original, r.fit),
      bytes: printFileBytes(r.fit, rules.printPpi),
      decided: byKey.get(r.key),
      reopened: openAgain.get(r.key) ?? null,
    }));
  }, [facts, master, shown, layout, rules, byKey, openAgain, original]);
  const here =
    steps.find((s) => s.key === picked) ??
    steps.find((s) => s.judgement.advice === 'offer' && s.judgement.figures.ppi < 700) ??
    steps.at(-1);
  /** Picks a size, and shows its family if it is not shown yet. */
  const go = useCallback((key: string) => {
    pick(key);
    const family = nominalSize(key)?.family;
    if (family) setFamilies((now) => (now.includes(family) ? now : [...now, family]));
  }, []);
  return {
    families,
    setFamilies,
    ratio: only,
    setRatio,
    /** Names of the ratios that the chosen families come in. */
    ratios,
    rules,
    setStanding,
    /** Not the studio's rule of where people stand, but another one tried here. */
    tried: Object.keys(standing).length > 0,
    facts,
    steps,
    openAgain,
    /** Sizes that the borders leave nothing of. */
    eaten: facts ? shown.length - steps.length : 0,
    here,
    pick: go,
    desk,
    draft,
    setDraft,
  };
}

export type Sizing = ReturnType<typeof useSizing>;

/** What every sheet of the station is given. */
export interface SheetProps {
  view: SizeView;
  master: NonNullable<SizeView['master']>;
  sizing: Sizing;
  head: React.ReactNode;
}
