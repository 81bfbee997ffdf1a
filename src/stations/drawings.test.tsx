import type { ReactElement } from 'react';
import { draw, drawnRects, readDrawing } from '../../e2e/support/draw';
import { SHELF } from '../../e2e/support/shelf';
import { figuresUnsaid } from '../../e2e/support/drawing';
import { planFinish } from '@/core/finish';
import { choosePacking, PACK_RULES, parcelOf as reckon } from '@/core/pack';
import type { Contents } from '@/core/pack';
import { FAMILIES, fitToSheet, plainLayout, ladder, SIZE_RULES } from '@/core/size';
import { gsm, minor, mm, size } from '@/core/units';
import { ParcelDrawing } from '@/drawers/orders/bench/ParcelDrawing';
import { WeightBar } from '@/drawers/orders/bench/WeightBar';
import { MatDrawing } from './finish/MatDrawing';
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
  board: null,
  spacer: null,
  backing: null,
})!;

/** A parcel with one print, as its bench shows it. */
function parcelOf(width: number, height: number) {
  const contents: Contents = {
    prints: [
      {
        line: 1,
        copies: 1,
        ...size(width, height),
        weight: gsm(308),
        thickness: mm(0.5),
        certificate: true,
      },
    ],
    goods: [],
    extras: [],
  };
  const chosen = choosePacking(contents, SHELF, PACK_RULES);
  if (!chosen.packing) throw new Error('nothing takes it');
  const { parts, total } = reckon(contents, chosen.packing);
  const fit = fitToSheet(size(width, height), 3 / 4, plainLayout('within', mm(20)));
  const lines = [
    { id: 1, work: 'Salt Pans', label: '7/30', sheet: size(width, height), fit, workId: 1 },
  ];
  return { parts, total, lines };
}

function drawnParcel(key: string, width: number, height: number) {
  const { parts, lines } = parcelOf(width, height);
  return <ParcelDrawing key={key} parts={parts} lines={lines as never} previews={{}} />;
}

function weighed() {
  const { parts, total } = parcelOf(300, 400);
  return <WeightBar key="b" parts={parts} total={total} weighed={569} agrees={false} />;
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
  ['mat and frame', <MatDrawing key="m" fit={fit} {...mat} picture={null} depth={null} />],
  ['parcel, flat', drawnParcel('f', 300, 400)],
  ['parcel, rolled', drawnParcel('r', 700, 1000)],
  ['weights', weighed()],
  [
    'price',
    <PriceBar
      key="p"
      cost={{
        parts: [
          { part: 'printing', amount: minor(900) },
          { part: 'paper', amount: minor(640) },
          { part: 'labour', amount: minor(1560) },
          { part: 'postage', amount: minor(0) },
        ],
        total: minor(3100),
      }}
      sale={{
        gross: minor(8000),
        fees: minor(262),
        cost: minor(3100),
        net: minor(4638),
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
  expect(draw(<ParcelDrawing parts={[]} lines={[]} previews={{}} />)).toBe('');
});
