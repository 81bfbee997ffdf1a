import { fitToSheet, plainLayout } from '@/core/size';
import { mm, size } from '@/core/units';
import { planFinish } from './plan';
import type { FinishValues } from './plan';

const values: FinishValues = {
  style: 'overlap',
  perSide: mm(4),
  offPrint: mm(1),
  offMat: mm(1),
  offFrame: mm(1),
  sides: mm(60),
  above: mm(60),
  below: mm(75),
  moulding: mm(20),
  glass: mm(2),
  glazing: 'glass',
};
const fit = fitToSheet(size(500, 700), 0.75, plainLayout('within', mm(25)));

it('plans from the sheet as it is laid out', () => {
  const found = planFinish(fit, values);
  expect(found?.plan).toMatchObject({ worstCase: 3, holds: true, catches: true });
  expect(found?.plan.opening.width).toBeCloseTo(442);
});

it('has no plan when the overlap covers the image', () =>
  expect(planFinish(fit, { ...values, perSide: mm(230) })).toBeNull());

it('tells that a reveal as wide as the border leaves nothing to hold the print', () =>
  expect(
    planFinish(fit, { ...values, style: 'reveal', perSide: mm(25) })?.plan.catches,
  ).toBe(false));
