import { mm, size } from '../units';
import { finishCost, planMat } from '.';
import type { MatInput } from '.';

const input: MatInput = {
  image: size(450, 600),
  margins: { sides: mm(25), above: mm(25), below: mm(75) },
  style: 'overlap',
  perSide: mm(4),
  tolerances: [mm(1), mm(1), mm(1)],
  borders: { sides: mm(60), above: mm(60), below: mm(75) },
  mouldingWidth: mm(20),
  sawLoss: mm(3),
  glazing: { thickness: mm(2), material: 'glass' },
};

it('reports the overlap per side, not in total', () => {
  const plan = planMat(input);
  expect(plan.opening).toEqual({ width: 442, height: 592 });
  expect((input.image.width - plan.opening.width) / 2).toBe(4);
  expect([plan.worstCase, plan.holds, plan.heldBy, plan.catches]).toEqual([
    3,
    true,
    29,
    true,
  ]);
  expect(planMat({ ...input, perSide: mm(3) }).holds).toBe(false);
});

it('sizes mat, frame, moulding and glass', () => {
  const plan = planMat(input);
  expect(plan.outside).toEqual({ width: 562, height: 727 });
  expect(plan.frame).toEqual({ width: 565, height: 730 });
  expect(plan.mouldingLength).toBe(2 * (565 + 730) + 8 * 20 + 8 * 3);
  expect(plan.glazingGrams).toBeCloseTo(0.565 * 0.73 * 5000, 6);
});

it('shows the signature only where the reveal leaves room, and asks for paper behind the mat', () => {
  expect(planMat({ ...input, style: 'reveal', perSide: mm(12) })).toMatchObject({
    signatureShows: true,
    catches: true,
    heldBy: 13,
  });
  expect(planMat({ ...input, style: 'reveal', perSide: mm(23) }).catches).toBe(false);
  expect(() => planMat({ ...input, perSide: mm(230) })).toThrow(RangeError);
});

it('material of a frame costs by its length and areas, each rounded by itself', () => {
  const plan = {
    frame: size(403, 503),
    outside: size(400, 500),
    mouldingLength: mm(1996),
  };
  const prices = { moulding: 1250, glazing: 2000, board: 900, backing: 600, hardware: 150 };
  expect(finishCost(plan, prices)).toEqual({
    parts: [
      // 1.996 m x 12.50; 0.202709 m2 x 20.00; 0.2 m2 x 9.00; 0.202709 m2 x 6.00.
      { part: 'moulding', amount: 2495 },
      { part: 'glazing', amount: 405 },
      { part: 'board', amount: 180 },
      { part: 'backing', amount: 122 },
      { part: 'hardware', amount: 150 },
    ],
    total: 3352,
  });
});
