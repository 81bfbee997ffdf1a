'use client';
import { KERNELS, KERNEL_IDS } from '@/core/image';
import type { KernelId } from '@/core/image';
import { ADJUSTED, LIMITS } from '@/core/prepare';
import type { LimitedField, RecipeStep } from '@/core/prepare';
import { FigureRow } from '@/shell/fields';
import { BalanceFields } from './BalanceFields';
import { PlainChoice } from './PlainChoice';
import { FIELD_NAMES, FIELD_UNITS } from './words';

/** How finely a number goes, and where its slide ends. */
const SLIDES: Partial<Record<LimitedField, { step: number; most?: number }>> = {
  amount: { step: 5, most: 200 },
  radius: { step: 0.1, most: 4 },
  threshold: { step: 1, most: 20 },
  grain: { step: 0.5, most: 12 },
  ppi: { step: 10 },
};

const FIELDS: Record<Exclude<RecipeStep['kind'], 'balance'>, LimitedField[]> = {
  capture: ['amount', 'radius', 'threshold', 'noise', 'grain'],
  adjust: [...ADJUSTED],
  resample: ['ppi'],
  output: ['amount', 'radius', 'threshold'],
};

/** The numbers of one step. */
export function StepFields({
  step,
  onChange,
}: {
  step: RecipeStep;
  onChange: (step: RecipeStep) => void;
}) {
  if (step.kind === 'balance') return <BalanceFields step={step} onChange={onChange} />;
  const values = step as unknown as Record<LimitedField, number>;
  return (
    <>
      {step.kind === 'resample' && (
        <PlainChoice
          label="kernel"
          value={step.kernel}
          options={KERNEL_IDS.map((k) => [k, KERNELS[k].name])}
          onChange={(kernel) => onChange({ ...step, kernel: kernel as KernelId })}
        />
      )}
      {FIELDS[step.kind].map((field) => (
        <FigureRow
          key={field}
          label={FIELD_NAMES[field]}
          unit={FIELD_UNITS[field]}
          value={values[field]}
          limits={LIMITS[field]}
          step={1}
          {...SLIDES[field]}
          onChange={(value) => onChange({ ...step, [field]: value })}
        />
      ))}
    </>
  );
}
