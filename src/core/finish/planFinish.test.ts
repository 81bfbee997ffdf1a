import { fitToSheet, plainLayout } from '../size';
import { mm, size } from '../units';
import { USUAL_FINISH, planFinish } from '.';

const fit = fitToSheet(size(500, 700), 0.75, plainLayout('within', mm(25)));

it('plans from the sheet as it is laid out', () => {
  const found = planFinish(fit, USUAL_FINISH);
  expect(found?.plan).toMatchObject({ worstCase: 3, holds: true, catches: true });
  expect(found?.plan.opening.width).toBeCloseTo(442);
});

it('has no plan when the overlap covers the image', () =>
  expect(planFinish(fit, { ...USUAL_FINISH, perSide: mm(230) })).toBeNull());

it('tells that a reveal as wide as the border leaves nothing to hold the print', () =>
  expect(
    planFinish(fit, { ...USUAL_FINISH, style: 'reveal', perSide: mm(25) })?.plan.catches,
  ).toBe(false));
