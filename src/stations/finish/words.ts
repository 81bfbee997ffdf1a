import { STACK_PARTS, finishCost, stackDepth } from '@/core/finish';
import type { FinishValues, FrameStack, MatPlan, planFinish } from '@/core/finish';
import type { Millimetres } from '@/core/units';
import type { Format } from '@/shell/figures';

/** Whether the mat holds, and why. */
export function matWords(
  found: NonNullable<ReturnType<typeof planFinish>>,
  format: Format,
): [string, 'plain' | 'stop' | 'caution'] {
  const { plan, input } = found;
  const per = `${format.length(input.perSide)} per side`;
  const worst = format.length(plan.worstCase);
  const what = input.style === 'overlap' ? 'overlap' : 'reveal';
  if (!plan.holds)
    return [
      `${per} of ${what} does not exceed the ${worst} that print, mat and frame may be off together: ${input.style === 'overlap' ? 'white may show at an edge' : 'the image may be covered at an edge'}.`,
      'stop',
    ];
  if (!plan.catches)
    return [
      `Only ${format.length(plan.heldBy)} of sheet lie behind the mat on the narrowest side: the print can fall through. Give it more border.`,
      'stop',
    ];
  if (input.style === 'overlap')
    return [
      `It holds: ${what} ${per}, worst case ${worst}. The number and signature are under the mat; choose a reveal to show them.`,
      'plain',
    ];
  return [
    `It holds: ${what} ${per}, worst case ${worst}. ${plan.signatureShows ? 'Number and signature show.' : 'Too little to show number and signature.'}`,
    plan.signatureShows ? 'plain' : 'caution',
  ];
}

const PARTS: Record<keyof FrameStack, string> = {
  glass: 'glazing',
  board: 'mat',
  spacer: 'spacer',
  print: 'print',
  backing: 'backing',
};

/** What lies in the rabbet, with the print's own paper. */
export const stackOf = (
  { glass, board, spacer, backing }: Omit<FrameStack, 'print'>,
  paper: { thickness: Millimetres } | null,
): FrameStack => ({ glass, board, spacer, backing, print: paper?.thickness ?? null });

/** How deep the rabbet must be for what lies in it; or what is not known of it. */
export function stackWords(
  values: Pick<FinishValues, 'glass' | 'board' | 'spacer' | 'backing'> | null,
  paper: { thickness: Millimetres } | null,
  { thickness }: Pick<Format, 'thickness'>,
): string {
  if (!values) return '';
  const stack = stackOf(values, paper);
  const depth = stackDepth(stack);
  const missing = STACK_PARTS.filter((p) => stack[p] === null).map((p) => PARTS[p]);
  if (depth === null) return `not known: ${missing.join(', ')}`;
  const parts = STACK_PARTS.filter((p) => stack[p]! > 0);
  return `${thickness(depth)}: ${parts.map((p) => `${PARTS[p]} ${thickness(stack[p]!)}`).join(', ')}`;
}

/** What it costs in material and hours, where that was said. */
export function costFacts(
  plan: MatPlan,
  values: FinishValues | null,
  format: Pick<Format, 'money' | 'number'>,
): [string, string][] {
  if (!values?.prices) return [];
  const { currency, hours } = values.prices;
  const { total } = finishCost(plan, values.prices);
  return [
    ['Material, each', format.money(total, currency)],
    ...(hours > 0
      ? [['Your time, each', `${format.number(hours, 2)} h`] as [string, string]]
      : []),
  ];
}
