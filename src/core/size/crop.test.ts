import fc from 'fast-check';
import {
  LEAST_ZOOM,
  choiceOf,
  cropAt,
  cropLoss,
  heldInside,
  holds,
  largestCrop,
  lostEdges,
  scaled,
  slid,
} from '.';
import type { CropRect } from '.';

// A failure is shown as it was found: doubles shrink without end.
fc.configureGlobal({ endOnFailure: true });

const proportion = fc.double({ min: 0.2, max: 5, noNaN: true });
const share = fc.double({ min: 0, max: 1, noNaN: true });
const choice = fc.record({
  x: share,
  y: share,
  zoom: fc.double({ min: LEAST_ZOOM, max: 1, noNaN: true }),
});
const within = ({ left, top, width, height }: CropRect) => {
  expect(Math.min(left, top)).toBeGreaterThanOrEqual(-1e-12);
  expect(left + width).toBeLessThanOrEqual(1 + 1e-9);
  expect(top + height).toBeLessThanOrEqual(1 + 1e-9);
};

it('a crop has the proportion wanted and stays within the picture', () =>
  fc.assert(
    fc.property(proportion, proportion, choice, (picture, wanted, chosen) => {
      const part = cropAt(picture, wanted, chosen);
      within(part);
      expect((picture * part.width) / part.height / wanted).toBeCloseTo(1, 9);
      const edges = lostEdges(part);
      expect(edges.left + edges.right + part.width).toBeCloseTo(1, 9);
      expect(edges.above + edges.below + part.height).toBeCloseTo(1, 9);
      expect(cropLoss(part)).toBeCloseTo(1 - part.width * part.height, 12);
    }),
  ));

it('the largest crop touches two edges: 3:4 to 4:5 loses a sixteenth of the height', () => {
  expect(largestCrop(3 / 4, 4 / 5)).toEqual({ width: 1, height: 0.9375 });
  expect(cropAt(3 / 4, 4 / 5).top).toBeCloseTo(0.03125, 12);
});

it('the choice of a part gives that part back', () =>
  fc.assert(
    fc.property(proportion, proportion, choice, (picture, wanted, chosen) => {
      const part = cropAt(picture, wanted, chosen);
      const back = cropAt(picture, wanted, choiceOf(picture, wanted, part));
      for (const key of ['left', 'top', 'width', 'height'] as const)
        expect(back[key]).toBeCloseTo(part[key], 9);
    }),
  ));

it('slides up to the edges, and scales about its middle', () =>
  fc.assert(
    fc.property(
      proportion,
      proportion,
      choice,
      fc.double({ min: -2, max: 2, noNaN: true }),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      (picture, wanted, chosen, by, factor) => {
        const part = cropAt(picture, wanted, chosen);
        const moved = slid(part, by, -by);
        within(moved);
        expect(moved.width).toBe(part.width);
        const grown = scaled(picture, wanted, part, factor);
        within(grown);
        expect((picture * grown.width) / grown.height / wanted).toBeCloseTo(1, 9);
      },
    ),
  ));

it('scaled down and up again in the middle of the picture it is where it was', () => {
  const part = cropAt(1.5, 1, { x: 0.5, y: 0.5, zoom: 0.5 });
  const back = scaled(1.5, 1, scaled(1.5, 1, part, 0.8), 1.25);
  expect(back.left).toBeCloseTo(part.left, 9);
  expect(back.width).toBeCloseTo(part.width, 9);
});

it('holds what must stay whenever a crop of that proportion can, else says that it cannot', () =>
  fc.assert(
    fc.property(
      proportion,
      proportion,
      choice,
      fc.record({
        left: fc.double({ min: 0, max: 0.9, noNaN: true }),
        top: fc.double({ min: 0, max: 0.9, noNaN: true }),
        width: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        height: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
      }),
      (picture, wanted, chosen, area) => {
        const part = cropAt(picture, wanted, chosen);
        const held = heldInside(picture, wanted, part, area);
        const most = largestCrop(picture, wanted);
        if (area.width > most.width || area.height > most.height)
          return expect(held).toBeNull();
        within(held!);
        expect(holds(held!, area)).toBe(true);
        // What holds it already is not moved.
        if (holds(part, area)) expect(held!.left).toBeCloseTo(part.left, 8);
      },
    ),
  ));
