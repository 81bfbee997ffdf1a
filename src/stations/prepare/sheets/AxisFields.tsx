'use client';
import { SETTING_AXES } from '@/core/prepare';
import type { AxisPlan, SettingAxis } from '@/core/prepare';
import { FigureRow, Tags } from '@/shell/fields';
import { PlainChoice } from '../PlainChoice';
import { AXIS_NAMES } from '../sheetWords';

/** One axis of a settings sheet: what is changed, by how much, how often. */
export function AxisFields({
  label,
  plan,
  optional,
  onChange,
}: {
  label: string;
  plan: AxisPlan | null;
  optional?: boolean;
  onChange: (plan: AxisPlan | null) => void;
}) {
  const usual: AxisPlan = plan ?? { axis: 'contrast', step: 8, sides: 1, words: [] };
  const numbers = plan && plan.axis !== 'media' && plan.axis !== 'intent';
  return (
    <>
      <PlainChoice
        label={label}
        value={plan?.axis ?? ''}
        options={[
          ...(optional ? [['', 'none'] as const] : []),
          ...SETTING_AXES.map((a) => [a, AXIS_NAMES[a]] as const),
        ]}
        onChange={(axis) =>
          onChange(axis === '' ? null : { ...usual, axis: axis as SettingAxis })
        }
      />
      {numbers && (
        <>
          <FigureRow
            label="by steps of"
            unit={plan.axis === 'sharpening' ? '%' : ''}
            value={plan.step}
            limits={[0.5, 100]}
            most={40}
            step={1}
            onChange={(step) => onChange({ ...plan, step })}
          />
          <FigureRow
            label="each way"
            value={plan.sides}
            limits={[1, 4]}
            step={1}
            onChange={(sides) => onChange({ ...plan, sides: Math.round(sides) })}
          />
        </>
      )}
      {plan?.axis === 'media' && (
        <Tags
          label="named"
          value={plan.words}
          split={(typed) => typed.split(';')}
          onChange={(words) => onChange({ ...plan, words })}
        />
      )}
    </>
  );
}
