import fc from 'fast-check';
import { mm, ppi, size } from '../units';
import {
  FAMILIES,
  FAMILY_IDS,
  STANDARD_SIZES,
  sizesOf,
  SIZE_RULES,
  crispFrom,
  fitToSheet,
  plainLayout,
  judgeSize,
  ladder,
  largestEnlarged,
  lyingLabel,
  nominalSize,
  standingDistance,
  signPlan,
} from '.';

const master = { width: 8268, height: 11024 };

it('is crisp from 8732 / ppi centimetres, and stands at 1.5 diagonals', () => {
  expect(crispFrom(ppi(420)) / 10).toBeCloseTo(8732 / 420, 1);
  expect(standingDistance(size(300, 400), 1.5)).toBe(750);
});

describe('fitToSheet', () => {
  it('crops to fill: 3:4 on 50 x 70 loses what stands over', () => {
    const laid = fitToSheet(size(500, 700), 3 / 4, plainLayout('fill', mm(0)));
    expect(laid.cropShare).toBeCloseTo(1 - 500 / 700 / (3 / 4), 9);
    expect(laid.crop.height).toBe(1);
    expect(laid.crop.left).toBeCloseTo((1 - laid.crop.width) / 2);
  });

  it('keeps the whole picture within, the spare white below', () => {
    const laid = fitToSheet(size(500, 700), 3 / 4, plainLayout('within', mm(25)));
    expect(laid.image.width).toBeCloseTo(450);
    expect(laid.image.height).toBeCloseTo(600);
    expect([laid.left, laid.above, laid.below]).toEqual([25, 25, 75]);
  });

  it('cuts the sheet so that the margins are equal', () => {
    const laid = fitToSheet(size(500, 700), 3 / 4, plainLayout('cut', mm(25)));
    expect(laid.sheet).toEqual({ width: 500, height: 650 });
    expect(laid.right).toBeCloseTo(laid.below, 9);
  });

  it('refuses a border that eats the sheet', () => {
    expect(() => fitToSheet(size(100, 100), 1, plainLayout('within', mm(50)))).toThrow(
      RangeError,
    );
  });

  it('always adds up to the sheet, and never distorts the picture', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 2000 }),
        fc.integer({ min: 100, max: 2000 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom('within' as const, 'fill' as const, 'cut' as const),
        (w, h, proportion, border, fit) => {
          const laid = fitToSheet(size(w, h), proportion, plainLayout(fit, mm(border)));
          expect(laid.image.width + laid.left + laid.right).toBeCloseTo(
            laid.sheet.width,
            6,
          );
          expect(laid.image.height + laid.above + laid.below).toBeCloseTo(
            laid.sheet.height,
            6,
          );
          const printed = (proportion * laid.crop.width) / laid.crop.height;
          expect(laid.image.width / laid.image.height).toBeCloseTo(printed, 6);
          expect(
            Math.min(laid.left, laid.right, laid.above, laid.below),
          ).toBeGreaterThanOrEqual(border - 1e-9);
        },
      ),
    );
  });
});

describe('judgeSize', () => {
  const judge = (key: string, pixels = master) => {
    const nominal = nominalSize(key);
    if (!nominal) throw new Error(key);
    return judgeSize(
      pixels,
      fitToSheet(nominal, pixels.width / pixels.height, plainLayout('within', mm(0))),
      SIZE_RULES,
    );
  };

  it('takes the poorer axis: 8268 px over 50 cm is 420 ppi', () => {
    const { figures, verdict, advice } = judge('metricFrames-50x70');
    expect(figures.ppi).toBeCloseTo(420, 0);
    expect(figures.crispFrom / 10).toBeCloseTo(20.8, 1);
    expect([verdict, advice]).toEqual(['inHand', 'offer']);
  });

  it('asks for a proof between 1.5 and 2 times, and advises against beyond', () => {
    expect(judge('metricFrames-60x80', { width: 4200, height: 5600 })).toMatchObject({
      enlarging: 'proofFirst',
      advice: 'proof',
      because: 'enlargement',
    });
    expect(judge('metricFrames-100x140', { width: 4200, height: 5600 })).toMatchObject({
      advice: 'withdraw',
      labsRefuse: true,
    });
  });

  it('says when it falls short of where people stand', () => {
    expect(judge('isoA-A0', { width: 1500, height: 2100 })).toMatchObject({
      verdict: 'softUpClose',
    });
    expect(judge('isoA-A5', { width: 120, height: 168 })).toMatchObject({
      verdict: 'fallsShort',
      because: 'crispness',
    });
  });

  it('takes small prints in the hand: a little under crisp there is soft, not short', () => {
    const small = judge('metricFrames-13x18', { width: 1240, height: 1715 });
    expect(small.figures.standing).toBe(Math.hypot(130, (130 * 1715) / 1240) * 1.5);
    const tiny = judge('inchFrames-5x7', { width: 1100, height: 1540 });
    expect(tiny.figures.standing).toBeGreaterThanOrEqual(300);
    expect(judge('isoA-A5', { width: 1480, height: 2100 })).toMatchObject({
      verdict: 'softUpClose',
    });
  });

  it('finds the largest size at an enlargement', () => {
    expect(largestEnlarged('native', master, SIZE_RULES).width).toBeCloseTo(700.02, 1);
  });
});

it('ladders turn with the picture and leave out sheets the border would eat', () => {
  const landscape = ladder(
    FAMILIES.metricFrames,
    { width: 6000, height: 4000 },
    plainLayout('within', mm(70)),
    SIZE_RULES,
  );
  expect(landscape[0]?.label).toBe('24 × 18 cm');
  expect(landscape).toHaveLength(FAMILIES.metricFrames.length - 1);
  const keys = STANDARD_SIZES.map((s) => s.key);
  expect(new Set(keys).size).toBe(keys.length);
  expect(
    sizesOf(FAMILY_IDS)
      .map((s) => s.key)
      .sort(),
  ).toEqual([...keys].sort());
  expect(lyingLabel(FAMILIES.isoA[0]!, size(210, 148))).toBe('A5');
});

it.each([
  [true, null, 'byHand'],
  [true, 'inPicture', 'byHand'],
  [false, 'inPicture', 'inPictureAlone'],
  [false, 'absent', 'nowhere'],
  [false, 'removed', 'nowhere'],
  [false, null, 'notSaid'],
] as const)(
  'with room to sign %s and a signature %s plans to sign %s',
  (room, signature, plan) => expect(signPlan(room, signature)).toBe(plan),
);
