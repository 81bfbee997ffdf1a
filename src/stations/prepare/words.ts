import type {
  Check,
  CheckName,
  LimitedField,
  NameProblem,
  OutOfLimits,
  Recipe,
  RecipeStep,
  StepKind,
  recipeCautions,
  RecipeFault,
} from '@/core/prepare';
import { BALANCE_PARTS } from '@/core/colour';
import type { BalancePart } from '@/core/colour';
import { ADJUSTED, NAME_PARTS } from '@/core/prepare';
import { KERNELS } from '@/core/image';

export const CHECKS: Record<CheckName, string> = {
  pixels: 'pixels',
  ppi: 'ppi tag',
  profile: 'profile',
  bits: 'bits',
  format: 'format',
  picture: 'picture',
  border: 'border',
  thumbnail: 'same picture',
  title: 'title in it',
  checksum: 'checksum',
};

export const STEP_NAMES: Record<StepKind, string> = {
  capture: 'Sharpen the capture',
  adjust: 'Adjust by eye',
  balance: 'Move by tone and hue',
  resample: 'Resize',
  output: 'Sharpen for the print',
};

export const FIELD_NAMES: Record<LimitedField, string> = {
  amount: 'amount',
  radius: 'radius',
  threshold: 'threshold',
  noise: 'noise away',
  grain: 'its grain',
  lightness: 'lightness',
  contrast: 'contrast',
  warmth: 'warmth',
  saturation: 'saturation',
  shift: 'shift',
  ppi: 'resolution',
  quality: 'quality',
};

export const FIELD_UNITS: Partial<Record<LimitedField, string>> = {
  amount: '%',
  radius: 'px',
  threshold: 'of 255',
  noise: '%',
  grain: 'of 255',
  ppi: 'ppi',
};

/** Parts of what is moved by tone and by hue. */
export const BALANCE_NAMES: Record<BalancePart, string> = {
  curve: 'tone curve',
  tones: 'by tone',
  hues: 'by hue',
};

export { INTENT_NAMES } from '@/studio/words/recipeWords';

type Caution = ReturnType<typeof recipeCautions>[number];

export const CAUTIONS: Record<Caution, string> = {
  sharpenedBeforeSize:
    'It sharpens for the print before it resizes: the radius then counts in master pixels.',
  changedAfterSharpening:
    'It changes tones after sharpening: halos get stronger with contrast.',
  captureAfterSize:
    'The capture is sharpened after resizing, when its own softness is gone.',
  lossyFile:
    'JPEG loses detail each time it is written: send it only where nothing else is taken.',
  fewBitsForWideSpace: '8 bits are few for ROMM RGB: smooth tones may show steps. Take 16.',
  notSharpened:
    'Nothing is sharpened for the print: paper swallows detail, most of all matte.',
  absoluteIntent:
    'Absolute intent prints the white of the picture’s space as a tint on the paper.',
  halos: 'Amount times radius is high: look for halos along edges.',
};

/** A check as one reads it: what was found, and what was wanted where it is not that. */
export function checkWords({ check, wanted, found, passed }: Check): string {
  const said =
    check === 'checksum'
      ? `${found.slice(0, 12)}…`
      : check === 'border' && wanted === '0'
        ? found === '0'
          ? 'white'
          : `${found} of 255 ink`
        : check === 'thumbnail'
          ? `off by ${found} of 255`
          : found;
  return passed ? `✓ ${said}` : `▲ wanted ${wanted}, found ${said}`;
}

/** A step in a few figures, as the list shows it. */
export function stepSummary(step: RecipeStep): string {
  if (!step.on) return 'left out';
  switch (step.kind) {
    case 'capture': {
      const sharpened = step.amount > 0 ? `${step.amount} %, ${step.radius} px` : '';
      const cleaned = step.noise > 0 ? `noise ${step.noise} %` : '';
      return [sharpened, cleaned].filter(Boolean).join(', ') || 'nothing';
    }
    case 'adjust': {
      const [first, ...more] = ADJUSTED.filter((name) => step[name] !== 0).map(
        (name) => `${name} ${step[name] > 0 ? '+' : '−'}${Math.abs(step[name])}`,
      );
      if (!first) return 'nothing';
      return more.length > 0 ? `${first}, ${more.length} more` : first;
    }
    case 'balance': {
      const moved = BALANCE_PARTS.filter((part) => step[part].some((v) => v !== 0));
      return moved.map((part) => BALANCE_NAMES[part]).join(', ') || 'nothing';
    }
    case 'resample':
      return `${KERNELS[step.kernel].name}, ${step.ppi} ppi`;
    case 'output':
      return `${step.amount} %, ${step.radius} px, ${step.threshold}`;
  }
}

/** A number that cannot be worked with, in a sentence. */
export function limitWords(
  { step, field, value, limits }: OutOfLimits,
  recipe: Recipe,
): string {
  const of = step === null ? 'The file' : STEP_NAMES[recipe.steps[step]!.kind];
  const unit = FIELD_UNITS[field] ? ` ${FIELD_UNITS[field]}` : '';
  const said = Number.isFinite(value) ? `${value}${unit}` : 'what was typed';
  return `${of}, ${FIELD_NAMES[field]}: ${said} cannot be worked with. It must be ${limits[0]} to ${limits[1]}${unit}.`;
}

/** What is wrong with a name, in a sentence. */
export function nameProblemWords(problem: NameProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'File name: is empty. Begin it with {size}.';
    case 'sizeFirst':
      return 'File name: it must begin with {size}, so that no one orders the wrong one.';
    case 'tooLong':
      return 'File name: it is longer than some systems take. Keep it under 120 characters.';
    case 'forbidden':
      return `File name: “${problem.character}” is refused by some systems. Take letters without accents, digits, - and _.`;
    case 'unknownPart':
      return `File name: {${problem.part}} means nothing here. There are ${NAME_PARTS.map((p) => `{${p}}`).join(', ')}.`;
  }
}

/** What is wrong with a recipe, in a sentence. */
export function faultWords(fault: RecipeFault, recipe: Recipe): string {
  switch (fault.code) {
    case 'limits':
      return limitWords(fault.outside, recipe);
    case 'resizing':
      return 'Recipe: it needs one step that resizes, and only one. Take the usual recipe and change it.';
    case 'rule':
      return `${STEP_NAMES[fault.step]}: it needs a recipe of the rule of now. Take the rule of now first.`;
    case 'name':
      return nameProblemWords(fault.problem);
  }
}

/**
 * That a recipe is of the rule of before, and how far today's would be from it: null while it is
 * measured, or why it cannot be.
 */
export function ruleWords(
  found: { mean: number; p95: number; most: number; pixels: number } | string | null,
  number: (v: number, digits: number) => string,
): string {
  const before = 'This recipe is of the rule of before, and prints what it always printed.';
  if (found === null)
    return `${before} What the rule of now would change is being measured …`;
  if (typeof found === 'string')
    return `${before} What the rule of now would change cannot be said: ${found}`;
  const { mean, p95, most, pixels } = found;
  return `${before} The rule of now would change this size by ΔE00 ${number(mean, 2)} in the mean, ${number(p95, 2)} in 95 of 100 pixels, ${number(most, 2)} at most (${number(pixels, 0)} pixels looked at).`;
}
