'use client';
import { useEffect, useState } from 'react';
import type { Answer } from '@/core/input';
import { RECIPE_RULE, ruleOf } from '@/core/prepare';
import type { PrintDifference } from '@/engine';
import { Button } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Small } from '@/shell/words';
import type { RecipeDesk } from './useRecipe';
import { ruleWords } from './words';

/** Numbers that still move are not measured, ms. */
const REST = 700;

/** What is known of the difference: nothing yet, what was measured, or why it cannot be. */
type Known = { by: string } & ({ found: PrintDifference } | { problem: string });

/**
 * That a recipe is of the rule of before, how far the rule of now would be from it on this
 * size, and the way to take it. Nothing where the recipe is of now.
 */
export function RuleNotice({
  workId,
  sizeKey,
  desk,
}: {
  workId: number;
  sizeKey: string;
  desk: RecipeDesk;
}) {
  const { recipe } = desk;
  const format = useFormat();
  const [known, setKnown] = useState<Known | null>(null);
  const old = ruleOf(recipe) !== RECIPE_RULE;
  const asked = old
    ? `/api/rule-change/${workId}?size=${encodeURIComponent(sizeKey)}&recipe=${encodeURIComponent(JSON.stringify(recipe))}`
    : null;
  useEffect(() => {
    if (!asked) return;
    const stop = new AbortController();
    const later = setTimeout(() => {
      fetch(asked, { signal: stop.signal })
        .then((answer) => answer.json() as Promise<Answer<PrintDifference>>)
        .then((answer) =>
          setKnown(
            answer.ok
              ? { by: asked, found: answer.value }
              : { by: asked, problem: answer.message },
          ),
        )
        .catch((error: unknown) => {
          if (!stop.signal.aborted)
            setKnown({ by: asked, problem: (error as Error).message });
        });
    }, REST);
    return () => {
      clearTimeout(later);
      stop.abort();
    };
  }, [asked]);
  if (!asked) return null;
  const now = known?.by === asked ? known : null;
  return (
    <div data-testid="rule" style={{ display: 'grid', gap: 6, justifyItems: 'start' }}>
      <Small aria-live="polite">
        {ruleWords(
          now === null ? null : 'found' in now ? now.found : now.problem,
          (v, digits) => format.number(v, digits),
        )}
      </Small>
      <Button $plain $small onPress={() => desk.change({ ...recipe, rule: RECIPE_RULE })}>
        Take the rule of now
      </Button>
    </div>
  );
}
