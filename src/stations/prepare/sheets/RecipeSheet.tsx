'use client';
import { Link } from '@/shell/link';
import { useMemo, useState } from 'react';
import { ppiOf, recipePlan, recipeFault } from '@/core/prepare';
import { Button, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose, FormFields } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { FormDialog } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { keepRecipe } from '../actions';
import { keepForm } from '../prepareForms';
import { PatchView } from '../patch/PatchView';
import { RuleNotice } from '../RuleNotice';
import { RecipeSteps } from '../RecipeSteps';
import type { SheetProps } from '../sheetProps';
import type { RecipeDesk } from '../useRecipe';
import { CAUTIONS, faultWords } from '../words';

const KEPT = ['name', 'remarks'];

/** A recipe gets a name, or its next version. */
function KeepRecipe({ desk, onClose }: { desk: RecipeDesk; onClose: () => void }) {
  const form = useActionForm(
    keepRecipe,
    { name: desk.named?.name ?? '', remarks: desk.named?.remarks ?? '' },
    {
      fixed: {
        recipe: JSON.stringify(desk.recipe),
        fromId: String(desk.named?.id ?? ''),
      },
      done: 'Recipe kept.',
      onDone: (id: number) => {
        desk.keptAs(id);
        onClose();
      },
    },
  );
  return (
    <FormDialog title="Keep this recipe" form={form} onClose={onClose}>
      <FormFields form={form.form} of={keepForm} only={KEPT} lines={{ remarks: 2 }} />
      <Small>
        Under a name that is there already it becomes the next version; under another one a
        copy. Files once made keep the recipe that they were made with.
      </Small>
    </FormDialog>
  );
}

/** Recipe: what is done to the picture, step by step, seen on a piece of the print. */
export function RecipeSheet({ view, master, picked, desk, head, turn }: SheetProps) {
  const { recipe, named, exact, cautions } = desk;
  const format = useFormat();
  const [keeping, setKeeping] = useState(false);
  const wrong = recipeFault(recipe);
  // A name that cannot be used is said at its field.
  const outside = wrong !== null && wrong.code !== 'name';
  const ppi = ppiOf(recipe);
  const plan = useMemo(
    () => (ppi >= 72 && ppi <= 720 ? recipePlan(master.facts, picked.fit, recipe) : null),
    [master.facts, picked.fit, ppi, recipe],
  );
  return (
    <Bench>
      <Surface>
        {head}
        {plan && !outside && (
          <PatchView master={master} plan={plan} recipe={recipe} at={desk.at} />
        )}
        {outside && <Sentence $tone="stop">{faultWords(wrong, recipe)}</Sentence>}
      </Surface>
      <Slip
        label="The recipe"
        actions={
          <>
            <Button onPress={() => turn('files')} isDisabled={wrong !== null}>
              Write files by it
            </Button>
            <Button
              $plain
              onPress={() => setKeeping(true)}
              isDisabled={wrong !== null || exact !== null}
            >
              Keep it
            </Button>
            <Button $plain onPress={desk.reset}>
              As usual
            </Button>
          </>
        }
      >
        <SlipTitle>{picked.label}</SlipTitle>
        <SlipSub>
          {named
            ? `${named.name}, version ${named.version}${exact ? '' : ', changed'}`
            : 'a recipe without a name'}
        </SlipSub>
        {plan && (
          <Figures
            figures={[
              { value: format.number(plan.factor, 2), unit: '×', label: 'resized' },
              { value: String(ppi), unit: 'ppi', label: 'on paper' },
              {
                ...splitUnit(format.distance(view.viewing)),
                label: 'people stand',
              },
            ]}
          />
        )}
        {view.recipes.length > 0 && (
          <Choose
            label="Take a recipe"
            value={String(exact?.id ?? '')}
            onChange={(id) => id && desk.take(Number(id))}
            options={[
              ['', 'take a recipe …'],
              ...view.recipes.map(
                (r) => [String(r.id), `${r.name}, version ${r.version}`] as const,
              ),
            ]}
          />
        )}
        <RuleNotice workId={view.work.id} sizeKey={picked.key} desk={desk} />
        <RecipeSteps view={view} desk={desk} />
        {plan && (
          <Link
            style={{ fontSize: 12.5 }}
            href={`/log?factor=${plan.factor.toFixed(2)}&source=${view.made.source ?? ''}&detail=${view.made.detail ?? ''}&for=${view.work.id}&size=${encodeURIComponent(picked.key)}`}
          >
            What worked before? Ask the log book
          </Link>
        )}
        {cautions.slice(0, 2).map((c) => (
          <Small key={c} style={{ color: 'var(--ochre)' }}>
            ▲ {CAUTIONS[c]}
          </Small>
        ))}
      </Slip>
      {keeping && <KeepRecipe desk={desk} onClose={() => setKeeping(false)} />}
    </Bench>
  );
}
