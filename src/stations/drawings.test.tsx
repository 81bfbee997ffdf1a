import type { ReactElement } from 'react';
import { draw, drawnRects, readDrawing } from '../../e2e/support/draw';
import { figuresUnsaid } from '../../e2e/support/drawing';
import { choosePacking, checkScales, PACK_RULES, parcelWeight } from '@/core/pack';
import type { PackingMaterial } from '@/core/pack';
import { FAMILIES, fitToSheet, plainLayout, ladder, SIZE_RULES } from '@/core/size';
import { grams, gsm, mm, size } from '@/core/units';
import { MatDrawing } from './finish/MatDrawing';
import { planFinish } from './finish/plan';
import { ParcelDrawing, WeightBar } from './pack/ParcelDrawing';
import { USUAL_STOCK } from './pack/usualStock';
import { PriceBar } from './price/PriceBar';
import { DistanceChart } from './size/sheets/DistanceChart';
import { WallOfSizes } from './size/sheets/WallOfSizes';

const MASTER = { width: 7087, height: 9449 };
const rungs = ladder(
  FAMILIES.metricFrames,
  MASTER,
  plainLayout('within', mm(15)),
  SIZE_RULES,
);
const fit = fitToSheet(size(500, 700), 3 / 4, plainLayout('within', mm(25)));
const mat = planFinish(fit, {
  style: 'reveal',
  perSide: mm(12),
  offPrint: mm(1),
  offMat: mm(1),
  offFrame: mm(1),
  sides: mm(60),
  above: mm(60),
  below: mm(75),
  moulding: mm(20),
  glass: mm(2),
  glazing: 'glass',
})!;
const stock = USUAL_STOCK.map((m, id): PackingMaterial => {
  const { width, height, thickness } = m;
  return m.kind === 'tube'
    ? { ...m, id, kind: 'tube', diameter: width, length: height, wall: thickness, stock: 5 }
    : { ...m, id, kind: m.kind, stock: 5 };
});

function parcelOf(width: number, height: number) {
  const print = { ...size(width, height), weight: gsm(308), thickness: mm(0.5) };
  const packing = choosePacking(print, stock, PACK_RULES);
  if (packing.way === 'none') throw new Error('nothing takes it');
  const parcel = parcelWeight(print, packing);
  return {
    label: '7/30',
    print,
    packing,
    parcel,
    fit: fitToSheet(size(width, height), 3 / 4, plainLayout('within', mm(20))),
    scales: checkScales(parcel, grams(parcel.total - 31), PACK_RULES),
  } as never;
}

const none = () => undefined;
const DRAWINGS: [string, ReactElement][] = [
  [
    'wall of sizes',
    <WallOfSizes
      key="w"
      rungs={rungs}
      picture={null}
      small={null}
      tallest={200}
      picked="metricFrames-50x70"
      offered={new Set(['metricFrames-30x40'])}
      onPick={none}
    />,
  ],
  [
    'distances',
    <DistanceChart key="d" rungs={rungs} picked="metricFrames-50x70" onPick={none} />,
  ],
  ['mat and frame', <MatDrawing key="m" fit={fit} {...mat} picture={null} />],
  ['parcel, flat', <ParcelDrawing key="f" reckoned={parcelOf(300, 400)} picture={null} />],
  [
    'parcel, rolled',
    <ParcelDrawing key="r" reckoned={parcelOf(700, 1000)} picture={null} />,
  ],
  ['weights', <WeightBar key="b" reckoned={parcelOf(300, 400)} weighed={569} />],
  [
    'price',
    <PriceBar
      key="p"
      r={{
        cost: [
          { part: 'printing', amount: 900 },
          { part: 'paper', amount: 640 },
          { part: 'labour', amount: 1560 },
          { part: 'postage', amount: 0 },
        ],
        total: 3100,
        gross: 8000,
        fees: 262,
        net: 4638,
        margin: 0.58,
      }}
    />,
  ],
];

describe.each(DRAWINGS)('%s', (_name, drawing) => {
  it.each(['metric', 'inch'] as const)(
    'says in words every figure it draws, %s',
    (units) => {
      const { drawn, said } = readDrawing(draw(drawing, units));
      expect(drawn.join('')).toMatch(/\w/);
      expect(figuresUnsaid(drawn, said)).toEqual([]);
    },
  );
});

it('the check of figures finds one that is not said', () => {
  expect(figuresUnsaid(['300\u202fmm', '0.75'], 'print 300 mm wide')).toEqual(['0.75']);
});

it('draws all sizes to one scale', () => {
  const found = drawnRects(draw(DRAWINGS[0]![1]));
  const sheets = rungs.map((r) => r.fit.sheet);
  const scales = sheets.map((s) => {
    // The sheet and its shadow are the same size.
    const own = found.filter(
      (r) => Math.abs(r.width / r.height - s.width / s.height) < 1e-6 && r.width > 2,
    );
    return own.map((r) => r.width / s.width);
  });
  const common = scales.reduce((a, b) =>
    a.filter((x) => b.some((y) => Math.abs(x - y) < 1e-6)),
  );
  expect(common.length).toBeGreaterThan(0);
});

it('draws mat, opening and sheet to one scale', () => {
  const found = drawnRects(draw(DRAWINGS[2]![1]));
  const { plan, input } = mat;
  const across = plan.frame.width + 2 * input.mouldingWidth;
  const scale = found[0]!.width / across;
  for (const s of [plan.outside, plan.opening, fit.sheet])
    expect(found).toContainEqual({
      width: expect.closeTo(s.width * scale, 6),
      height: expect.closeTo(s.height * scale, 6),
    });
});

it('draws parts of the price in proportion', () => {
  const widths = drawnRects(draw(DRAWINGS[6]![1])).map((r) => r.width);
  const total = widths.reduce((a, b) => a + b, 0);
  expect(widths.map((w) => w / total)).toEqual(
    [900, 640, 1560, 262, 4638].map((a) => expect.closeTo(a / 8000, 6)),
  );
});

it('draws no parcel where nothing takes the print', () => {
  const reckoned = { packing: { way: 'none' } } as never;
  expect(draw(<ParcelDrawing reckoned={reckoned} picture={null} />)).toBe('');
});
