import fc from 'fast-check';
import { patchBox } from '.';

const plan = (width: number, height: number, factor: number) => ({
  image: { left: 0, top: 0, width, height },
  factor,
});

it('is as large as the room, about its place, and half of it when it is seen twice as large', () => {
  const room = { width: 800, height: 600 };
  const middle = { x: 0.5, y: 0.5 };
  expect(patchBox(room, plan(6000, 4000, 1), 1, middle)).toEqual({
    left: 2600,
    top: 1700,
    right: 3400,
    bottom: 2300,
  });
  const near = patchBox(room, plan(6000, 4000, 1), 2, middle);
  expect([near.right - near.left, near.bottom - near.top]).toEqual([400, 300]);
});

it('never leaves the print, and never needs more of the picture than can be read', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 2000 }),
      fc.integer({ min: 50, max: 2000 }),
      fc.integer({ min: 100, max: 20_000 }),
      fc.double({ min: 0.05, max: 8, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.constantFrom(1 as const, 2 as const),
      (across, down, side, factor, at, zoom) => {
        const box = patchBox(
          { width: across, height: down },
          plan(side, side, factor),
          zoom,
          {
            x: at,
            y: 1 - at,
          },
        );
        expect(Math.min(box.left, box.top)).toBeGreaterThanOrEqual(0);
        expect(Math.max(box.right, box.bottom)).toBeLessThanOrEqual(side);
        const [w, h] = [box.right - box.left, box.bottom - box.top];
        expect(Math.min(w, h)).toBeGreaterThanOrEqual(1);
        if (Math.min(w, h) > 1) expect((w * h) / factor ** 2).toBeLessThanOrEqual(7e6);
      },
    ),
  ));
