'use client';
import { useCallback, useMemo } from 'react';
import {
  RECIPE,
  plainRecipe,
  ppiOf,
  recipeCautions,
  stepIn,
  suggestedOutput,
  withStep,
} from '@/core/prepare';
import type { Recipe, RecipeStep } from '@/core/prepare';
import { factText, isFact, isFigure, isRow, orNull, shape } from '@/core/facts';
import { useKept } from '@/shell/actions';
import type { PrepareView } from './view';

interface Kept {
  recipe: Recipe;
  /** The step that is unfolded. */
  at: number;
  /** The named recipe that it was taken from. */
  fromId: number | null;
}

const isKept = shape({
  recipe: isFact(RECIPE),
  at: isFigure,
  fromId: orNull(isRow),
});

const same = (a: Recipe, b: Recipe) => factText(a) === factText(b);

/** The recipe under the hand: kept in this tab, until it is written or kept under a name. */
export function useRecipe(view: PrepareView) {
  const { work, picked, settings, recipes, files, viewing, plan } = view;
  const [kept, keep] = useKept(`recipe-${work.id}`, isKept);
  const factor = plan?.factor ?? 1;
  const first = useMemo<Kept>(() => {
    const last = files.find((f) => f.kind === 'print' && f.sizeKey === picked?.key);
    const usual = plainRecipe(settings.printPpi, 1);
    const suggestion = suggestedOutput(settings.printPpi, viewing, factor);
    const { because: _, ...numbers } = suggestion;
    const output = stepIn(usual, 'output')!;
    return {
      recipe: last?.recipe ?? withStep(usual, 4, { ...output, ...numbers }),
      // What is most often moved: the last sharpening.
      at: usual.steps.findIndex((s) => s.kind === 'output'),
      fromId: last?.recipeId ?? null,
    };
  }, [files, picked?.key, settings.printPpi, viewing, factor]);
  const now = useMemo(
    () => (kept ? { ...kept, recipe: RECIPE.read(kept.recipe) } : first),
    [kept, first],
  );
  const { recipe } = now;
  const named = recipes.find((r) => r.id === now.fromId) ?? null;
  const put = useCallback((over: Partial<Kept>) => keep({ ...now, ...over }), [keep, now]);
  return {
    recipe,
    at: now.at,
    named,
    /** The named recipe that this is to the letter. */
    exact: named && same(named.recipe, recipe) ? named : null,
    cautions: recipeCautions(recipe),
    suggestion: suggestedOutput(ppiOf(recipe), viewing, factor),
    unfold: (at: number) => put({ at }),
    change: (next: Recipe) => put({ recipe: RECIPE.read(next) }),
    changeStep: (at: number, step: RecipeStep) =>
      put({ recipe: withStep(recipe, at, step) }),
    take: (id: number) => {
      const chosen = recipes.find((r) => r.id === id);
      if (chosen) put({ recipe: chosen.recipe, fromId: id });
    },
    /** The usual recipe with what is suggested for this size. */
    reset: () => keep(null),
    keptAs: (id: number) => put({ fromId: id }),
  };
}

export type RecipeDesk = ReturnType<typeof useRecipe>;
