import fc from 'fast-check';
import { mm, minor, ppi, size } from '../../units';
import {
  CAPTURE_RULES,
  captureNeeds,
  fewestPieces,
  hireOrOwn,
  lensDistance,
  lightFalloff,
  mediumCautions,
  piecesAlong,
  pictureBytes,
  placeLights,
  planCapture,
} from '.';
import type { Device } from '.';

const FLATBED: Device = {
  kind: 'flatbed',
  name: 'bed',
  bed: size(216, 297),
  nominalPpi: ppi(4800),
  measuredPpi: ppi(1600),
};
const CAMERA: Device = {
  kind: 'camera',
  name: 'camera',
  pixels: { width: 6000, height: 4000 },
  sensor: size(36, 24),
  focalLength: mm(50),
};

it('needs print ppi x print / original, the larger axis wins', () => {
  const needs = captureNeeds(size(300, 400), size(600, 900), 300);
  expect(needs.ppi).toBeCloseTo(675);
  expect(needs.height).toBe(Math.ceil((400 / 25.4) * 675));
  // The print is turned the way the original lies.
  expect(captureNeeds(size(400, 300), size(600, 800), 300).ppi).toBeCloseTo(600);
  expect(pictureBytes({ width: 1000, height: 1000 }, 16)).toBe(6e6);
});

it('counts tiles by (original - overlap) / (bed - overlap)', () => {
  expect(piecesAlong(297, 297, 20)).toBe(1);
  expect(piecesAlong(400, 297, 20)).toBe(2);
  expect(piecesAlong(574, 297, 20)).toBe(2);
  expect(piecesAlong(575, 297, 20)).toBe(3);
  expect(piecesAlong(100, 20, 20)).toBe(Infinity);
});

it('turns the bed when that takes fewer tiles', () => {
  const turned = fewestPieces(size(560, 210), size(216, 297), () => 20)!;
  expect(turned).toMatchObject({ turned: true, across: 2, down: 1 });
  expect(fewestPieces(size(100, 100), size(10, 12), () => 20)).toBeNull();
});

const side = fc.integer({ min: 60, max: 900 });
it('covers the whole original with fields that overlap enough, numbered once each', () =>
  fc.assert(
    fc.property(side, side, (w, h) => {
      const found = fewestPieces(size(w, h), size(216, 297), () => 20)!;
      const { pieces, across, down, field } = found;
      expect(pieces.map((p) => p.number)).toEqual(pieces.map((_, i) => i + 1));
      expect(pieces).toHaveLength(across * down);
      expect(Math.min(...pieces.map((p) => p.left))).toBeLessThanOrEqual(1e-9);
      expect(Math.max(...pieces.map((p) => p.left + p.width))).toBeGreaterThanOrEqual(
        w - 1e-9,
      );
      expect(Math.max(...pieces.map((p) => p.top + p.height))).toBeGreaterThanOrEqual(
        h - 1e-9,
      );
      const lefts = [...new Set(pieces.map((p) => p.left))].sort((a, b) => a - b);
      lefts
        .slice(1)
        .forEach((left, i) =>
          expect(lefts[i]! + field.width - left).toBeGreaterThanOrEqual(20 - 1e-6),
        );
    }),
  ));

it('plans a flatbed with what it was measured to resolve', () => {
  const plan = planCapture(size(300, 400), size(600, 800), FLATBED, CAPTURE_RULES);
  expect(plan).toMatchObject({ verdict: 'inPieces', count: 4, reached: 1600 });
  expect(plan.largest.width).toBeCloseTo((300 * 1600) / 300);
  const far = planCapture(size(30, 40), size(600, 800), FLATBED, CAPTURE_RULES);
  expect(far).toMatchObject({ verdict: 'fallsShort', because: 'resolution' });
});

it('reaches with one frame what margin and mismatch leave of its pixels', () => {
  const plan = planCapture(size(600, 300), size(600, 300), CAMERA, CAPTURE_RULES);
  // The long side decides: 6000 px over 600 mm and 6 %.
  expect(plan.camera!.single).toBeCloseTo(6000 / ((600 * 1.06) / 25.4), 3);
  expect(plan.verdict).toBe('inPieces');
  expect(plan.camera!.planned).toBeCloseTo(300, 3);
});

it('stands where the thin lens puts it', () => {
  // At life size the work is two focal lengths away.
  expect(lensDistance(CAMERA as never, mm(36))).toBeCloseTo(100);
  expect(lensDistance(CAMERA as never, mm(720))).toBeCloseTo(1050);
});

it('takes one frame when one is enough, more the finer it is to be', () =>
  fc.assert(
    fc.property(fc.integer({ min: 100, max: 1500 }), (needed) => {
      const plan = planCapture(size(400, 300), size(400, 300), CAMERA, {
        ...CAPTURE_RULES,
        printPpi: needed,
      });
      const { single, reached, pieces } = plan.camera!;
      expect(reached).toBeGreaterThanOrEqual(single);
      expect(pieces.pieces.length).toBeLessThanOrEqual(CAPTURE_RULES.mostPieces);
      if (needed <= single) expect(pieces.pieces).toHaveLength(1);
      expect(plan.verdict === 'fallsShort').toBe(needed > reached);
    }),
  ));

it('sets a canvas up with its bleed, and counts the layers that fit', () => {
  const tablet: Device = { kind: 'digital', name: 'tablet', memoryMegabytes: 1000 };
  const { canvas } = planCapture(size(508, 339), size(500, 700), tablet, CAPTURE_RULES);
  expect(canvas!.width).toBe(Math.round((506 / 25.4) * 300));
  expect(canvas!.layerBytes.sixteen).toBe(canvas!.width * canvas!.height * 8);
  expect(canvas!.layers.eight).toBe(Math.floor(1e9 / (canvas!.width * canvas!.height * 4)));
});

it('scans film by its frame', () => {
  const film: Device = { kind: 'film', name: 'film', frame: size(36, 24), ppi: ppi(4000) };
  const plan = planCapture(size(360, 240), size(360, 240), film, CAPTURE_RULES);
  expect(plan.reached).toBeCloseTo(400);
  expect(plan.verdict).toBe('oneGo');
});

it('moves lights away until the falloff is good', () => {
  const work = size(700, 500);
  const lights = placeLights(work, 45, 1 / 6);
  expect(lights.stops).toBeCloseTo(1 / 6, 4);
  expect(lightFalloff(work, lights.distance * 1.5, 45)).toBeLessThan(1 / 6);
  expect(lights.aside).toBeCloseTo(lights.before, 6);
});

it('knows which media are friable and which throw glare', () => {
  expect(mediumCautions('Soft pastel on paper')).toEqual(['friable']);
  expect(mediumCautions('Charcoal and varnish')).toEqual(['friable', 'glare']);
  expect(mediumCautions('Oil on canvas')).toEqual(['glare']);
  expect(mediumCautions('Watercolour')).toEqual([]);
});

it('pays to do it oneself from the break-even on', () => {
  const input = {
    feePerWork: minor(4000),
    equipment: minor(60000),
    hoursPerWork: 0.5,
    hourlyRate: minor(3000),
    works: 30,
  };
  const { breakEven, hired, own } = hireOrOwn(input);
  expect({ breakEven, hired, own }).toEqual({ breakEven: 24, hired: 120000, own: 105000 });
  expect(hireOrOwn({ ...input, hoursPerWork: 2 }).breakEven).toBeNull();
});
