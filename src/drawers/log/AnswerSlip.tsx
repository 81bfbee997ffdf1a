'use client';
import { useRouter } from 'next/navigation';
import { recipeLine } from '@/studio/words/recipeWords';
import { Button, keepInTab } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import type { PrintsView } from './prints';
import { SOURCES, changeWords } from './words';

/** What the book says: how near the nearest come, and a recipe out of what worked. */
export function AnswerSlip({
  view,
  answer,
}: {
  view: PrintsView;
  answer: NonNullable<PrintsView['answer']>;
}) {
  const format = useFormat();
  const router = useRouter();
  const { asked, near, proposed, judged } = answer;
  const from = near.find((n) => n.id === proposed?.from);
  const take = () => {
    if (!proposed || !view.from) return;
    keepInTab(`recipe-${view.from.workId}`, {
      recipe: proposed.recipe,
      at: proposed.recipe.steps.findIndex((s) => s.kind === 'output'),
      fromId: null,
    });
    router.push(
      `/works/${view.from.workId}/prepare?sheet=recipe&size=${encodeURIComponent(view.from.sizeKey)}`,
    );
  };
  return (
    <Slip
      label="What the book says"
      actions={
        proposed && view.from && <Button onPress={take}>Take this recipe to Prepare</Button>
      }
    >
      <SlipTitle>{format.number(asked.factor, 2)} ×, what worked</SlipTitle>
      <SlipSub>
        {asked.source ? `from ${SOURCES[asked.source] ?? asked.source}` : 'from anything'}
        {asked.surface ? `, onto ${asked.surface}` : ''}
      </SlipSub>
      <Figures
        figures={[
          { value: String(near.length), unit: '', label: 'nearest prints' },
          { value: String(judged), unit: '', label: 'of the near ones judged' },
        ]}
      />
      <Sentence $tone={proposed ? 'plain' : 'caution'}>
        {proposed
          ? `Begin with the recipe of ${from ? `“${from.title}”, ${from.what}` : 'the nearest judged print'}${proposed.changes.length > 0 ? ', and change what was wrong with it.' : ': it was right as it was.'}`
          : 'No print near this was judged yet. Say of the nearest ones what you think: then the book can propose.'}
      </Sentence>
      {proposed && (
        <>
          <SectionLabel>The recipe</SectionLabel>
          <Small>{recipeLine(proposed.recipe)}</Small>
          {proposed.changes.map((c) => (
            <Small key={c.field}>
              {changeWords(c, from?.thought?.opinion[c.aspect] ?? null)}
            </Small>
          ))}
          {!view.from && (
            <Small>
              Asked from Prepare, the recipe can be taken there; or pick an entry and keep
              its recipe under a name.
            </Small>
          )}
        </>
      )}
      <Small>
        Near is: no more doublings apart, the same kind of source, as much real detail, the
        same paper or one like it. The changes are rules of thumb.
      </Small>
    </Slip>
  );
}
