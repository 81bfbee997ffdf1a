'use client';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { movedStep } from '@/core/prepare';
import { Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { ConvertFields, FileFields, SheetFields, targetChoices } from './EndFields';
import { StepFields } from './StepFields';
import type { RecipeDesk } from './useRecipe';
import type { PrepareView } from './view';
import { INTENT_NAMES, STEP_NAMES, stepSummary } from './words';
import { List, Head, Suggestion } from './recipeParts';

/** Places of what comes after the steps, when one unfolds them. */
const SHEET = 100;
const CONVERT = 101;
const FILE = 102;

/** The steps of the recipe in order; one of them unfolded with its numbers. */
export function RecipeSteps({ view, desk }: { view: PrepareView; desk: RecipeDesk }) {
  const format = useFormat();
  const { recipe, at } = desk;
  const { master, picked, profiles } = view;
  const derived = master?.derivation;
  const name = new Map(targetChoices(profiles)).get(recipe.convert.target);
  const ends = [
    {
      key: SHEET,
      name: 'Border, bleed, marks',
      summary: picked
        ? `${format.length(picked.fit.left)} and ${format.length(picked.fit.below)} white${recipe.marks ? ', marks' : ''}`
        : '',
      fields: <SheetFields recipe={recipe} onChange={desk.change} />,
    },
    {
      key: CONVERT,
      name: 'Convert',
      summary: `${name ?? 'a profile that is gone'}, ${INTENT_NAMES[recipe.convert.intent].split(' ')[0]}`,
      fields: <ConvertFields recipe={recipe} profiles={profiles} onChange={desk.change} />,
    },
    {
      key: FILE,
      name: 'File',
      summary: `${recipe.file.format === 'jpeg' ? `JPEG ${recipe.file.quality}` : `${recipe.file.format.toUpperCase()}, ${recipe.file.bits} bit`}${recipe.file.format === 'tiff' && recipe.file.compression !== 'none' ? `, ${recipe.file.compression}` : ''}`,
      fields: <FileFields recipe={recipe} onChange={desk.change} />,
    },
  ];
  const fold = (key: number) => desk.unfold(at === key ? -1 : key);
  return (
    <List aria-label="Steps of the recipe">
      <li>
        <Head>
          <span>0</span>
          <a href={`/works/${view.work.id}/capture`} style={{ flex: 1 }}>
            {derived ? 'Straightened and cropped at Capture' : 'The master as it is'}
          </a>
          {derived?.flatField && <small>light evened</small>}
        </Head>
      </li>
      {recipe.steps.map((step, i) => (
        <li key={step.kind}>
          <Head>
            <Tick
              label={`Carry out: ${STEP_NAMES[step.kind]}`}
              checked={step.on}
              isDisabled={step.kind === 'resample'}
              onChange={(on) =>
                step.kind !== 'resample' && desk.changeStep(i, { ...step, on })
              }
            />
            <button type="button" aria-expanded={at === i} onClick={() => fold(i)}>
              {i + 1} {STEP_NAMES[step.kind]}
              <small>{stepSummary(step)}</small>
            </button>
            <button
              type="button"
              aria-label={`Earlier: ${STEP_NAMES[step.kind]}`}
              disabled={i === 0}
              onClick={() => desk.change(movedStep(recipe, i, -1))}
            >
              <ChevronUp size={14} aria-hidden />
            </button>
            <button
              type="button"
              aria-label={`Later: ${STEP_NAMES[step.kind]}`}
              disabled={i === recipe.steps.length - 1}
              onClick={() => desk.change(movedStep(recipe, i, 1))}
            >
              <ChevronDown size={14} aria-hidden />
            </button>
          </Head>
          {at === i && (
            <>
              <StepFields
                step={step}
                onChange={(next) =>
                  desk.changeStep(
                    i,
                    // A number that is moved is meant to be seen.
                    next.kind === 'resample' ? next : { ...next, on: true },
                  )
                }
              />
              <Suggestion desk={desk} />
            </>
          )}
        </li>
      ))}
      {ends.map((end, i) => (
        <li key={end.key}>
          <Head>
            <button
              type="button"
              aria-expanded={at === end.key}
              onClick={() => fold(end.key)}
            >
              {recipe.steps.length + 1 + i} {end.name}
              <small>{end.summary}</small>
            </button>
          </Head>
          {at === end.key && end.fields}
        </li>
      ))}
    </List>
  );
}
