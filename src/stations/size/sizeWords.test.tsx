import { draw as markupOf, drawnRects, readDrawing } from '../../../e2e/support/draw';
import { figuresUnsaid } from '../../../e2e/support/drawing';
import { planMat } from '@/core/finish';
import { SIZE_RULES, WHOLE, fitToSheet, plainLayout, sheetCautions } from '@/core/size';
import type { Fit, JudgedThen, Layout } from '@/core/size';
import { mm, size } from '@/core/units';
import type { UnitMode } from '@/core/units';
import { formatOf } from '@/shell/figures/format';
import { lookOf, lookSource } from './lookSource';
import { sheetCautionWords, sheetWords } from './sheetWords';
import { SheetDrawing } from './sheets/SheetDrawing';
import type { Presented } from './sheets/SheetDrawing';
import { WallSketch } from './sheets/WallSketch';
import { hangScene } from '@/core/size';
import { bytesWords, largestWords, lossWords, reopenedWords, standingWords } from './words';

const written = (units: UnitMode) =>
  formatOf({ units, locale: 'en-GB', currency: 'EUR', timeZone: 'UTC' });
const format = written('metric');
const plain = (text: string) => text.replaceAll('\u202f', ' ');

const laid = (fit: Fit, border: number, over: Partial<Layout> = {}) =>
  fitToSheet(size(400, 500), 3 / 4, { ...plainLayout(fit, mm(border)), ...over });

describe('the drawing of a sheet', () => {
  const LAYOUTS = [
    ['a plain border', laid('within', 20)],
    ['bleed', laid('fill', 0, { bleed: mm(3) })],
    ['a torn edge', laid('cut', 30, { deckle: mm(12.5) })],
  ] as const;
  const draw = (
    fit: (typeof LAYOUTS)[number][1],
    units: UnitMode,
    presented: Presented,
  ) => {
    const mat = planMat({
      image: fit.image,
      margins: { sides: fit.left, above: fit.above, below: fit.below },
      style: 'reveal',
      perSide: mm(10),
      tolerances: [mm(1)],
      borders: { sides: mm(60), above: mm(60), below: mm(75) },
      mouldingWidth: mm(20),
      sawLoss: mm(0),
      glazing: { thickness: mm(2), material: 'glass' },
    });
    return markupOf(
      <SheetDrawing
        fit={fit}
        rules={SIZE_RULES}
        picture={null}
        presented={presented}
        mat={presented === 'mat' ? mat : null}
        label={sheetWords('40 × 50 cm', fit, written(units))}
      />,
      units,
    );
  };
  it.each(LAYOUTS)('with %s says every figure it draws, in both units', (_, fit) => {
    for (const units of ['metric', 'inch'] as const) {
      const { drawn, said } = readDrawing(draw(fit, units, 'flat'));
      expect(drawn.length).toBeGreaterThan(3);
      expect(figuresUnsaid(drawn, said)).toEqual([]);
    }
  });
  it.each(['flat', 'mat', 'float'] as const)('%s is to one scale', (presented) => {
    const fit = laid('within', 20);
    const found = drawnRects(draw(fit, 'metric', presented));
    const scaleOf = (s: { width: number; height: number }) =>
      found
        .filter((r) => Math.abs(r.width / r.height - s.width / s.height) < 1e-6)
        .map((r) => r.width / s.width);
    const sheet = scaleOf(fit.sheet);
    expect(sheet.length).toBeGreaterThan(0);
    expect(found.every((r) => r.width <= 770 && r.height <= 520)).toBe(true);
  });
});

describe('the wall', () => {
  const scene = hangScene(
    [
      { key: 'a', label: '40 × 50 cm', fit: laid('within', 20) },
      {
        key: 'b',
        label: '100 × 140 cm',
        fit: fitToSheet(size(1000, 1400), 0.75, plainLayout('within', mm(30))),
      },
    ],
    SIZE_RULES,
  );
  it('hangs prints in a row, none behind the sofa', () => {
    const [a, b] = scene.hung;
    expect(b!.x - (a!.x + 400)).toBeGreaterThan(50);
    for (const h of scene.hung)
      expect(h.y + h.fit.sheet.height).toBeLessThan(scene.floor - scene.sofa.height);
    // A small one alone hangs with its middle at 150 cm.
    expect(hangScene([scene.hung[0]!], SIZE_RULES).floor).toBe(1500);
  });
  it('is drawn to scale, and says what is on it', () => {
    const markup = markupOf(<WallSketch scene={scene} picture={null} picked="a" />);
    const sheets = drawnRects(markup).filter((r) => r.height > 0 && r.width < 200);
    const [a, b] = [size(400, 500), size(1000, 1400)].map((s) =>
      sheets.find((r) => Math.abs(r.width / r.height - s.width / s.height) < 1e-6),
    );
    expect(a!.width / 400).toBeCloseTo(b!.width / 1000, 6);
    const person = /scale\(([\d.]+)\)/g;
    const scales = [...markup.matchAll(person)].map((m) => Number(m[1]));
    expect(scales[1]! / scales[0]!).toBeCloseTo(SIZE_RULES.personMm / SIZE_RULES.sofaMm, 6);
    expect(plain(markup)).toContain('a person of 1.7 m and a sofa of 2 m');
  });
});

describe('words', () => {
  const then: JudgedThen = {
    verdict: 'inHand',
    advice: 'offer',
    ppi: 400,
    worth: 400,
    masterId: 1,
  };
  const now: JudgedThen = { ...then, verdict: 'softUpClose', worth: 120, masterId: 2 };
  it('say what made a size open again, and what to do', () => {
    expect(
      reopenedWords({ then, now, better: false, because: 'master' }, 'offered', format),
    ).toBe(
      'Open again: crisp in the hand when it was offered, soft up close since a newer master or crop of it came (400 ppi then, 120 now). Offer it again, or withdraw it.',
    );
    expect(
      reopenedWords(
        { then, now, better: true, because: 'cropOrRules' },
        'withdrawn',
        format,
      ),
    ).toMatch(/^Open again: withdrawn as it fell short, it would pass now, since the crop/);
  });
  it('name the edges that a crop loses', () => {
    expect(lossWords(WHOLE, format)).toBe('nothing is lost');
    const part = { left: 0.1, top: 0, width: 0.8, height: 0.95 };
    expect(plain(lossWords(part, format))).toBe('10.0 % right, 5.0 % below, 10.0 % left');
  });
  it('say where people stand', () => {
    expect(standingWords(SIZE_RULES, format)).toBe('at 1.5 × the diagonal');
    expect(plain(standingWords({ ...SIZE_RULES, standing: 'fixed' }, format))).toBe(
      'at 2 m',
    );
    expect(standingWords({ ...SIZE_RULES, standing: 'hand' }, format)).toBe('in the hand');
  });
  it('say the largest size, and bytes', () => {
    expect(largestWords('any', format)).toBe('any size');
    expect(plain(largestWords(size(618.4, 824.5), format))).toBe('61.8 × 82.5 cm');
    expect(plain(bytesWords(146e6, format))).toBe('146 MB');
    expect(plain(bytesWords(2.53e9, format))).toBe('2.5 GB');
  });
  it('each caution of a sheet has its figure and what to do', () => {
    const said = sheetCautions(laid('fill', 0), SIZE_RULES).map((c) =>
      plain(sheetCautionWords(c, format)),
    );
    expect(said[0]).toMatch(
      /within 0 mm of the paper's edge; the printer leaves 5 mm blank/,
    );
    expect(said[1]).toMatch(/3 mm is usual/);
    expect(said[2]).toBe('Nothing is left to sign on: 0 mm below the image, 15 mm wanted.');
  });
});

it('asks for windows of a print by what they show', () => {
  const fit = laid('within', 20);
  const look = lookSource(7, fit, 300, 2);
  // 345 x 460 mm at two pixels a millimetre; 4075 pixels across at 300 ppi.
  expect([look.width, look.height]).toEqual([690, 920]);
  const asked = new URL(look.url(256, 0), 'http://here').searchParams;
  expect(asked.get('printWidth')).toBe('4075');
  expect(asked.get('screenWidth')).toBe('690');
  expect([asked.get('x'), asked.get('across')]).toEqual(['256', '256']);
  const print = { width: 50, height: 40 };
  expect(lookOf(7, WHOLE, { print, screen: print }).url(0, 0, 9, 8)).toMatch(
    /across=9&down=8$/,
  );
});
