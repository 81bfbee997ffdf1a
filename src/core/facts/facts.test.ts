import { FINISH_VALUES, USUAL_FINISH } from '../finish';
import { RECIPE, plainRecipe, ppiOf, stepIn } from '../prepare';
import { PRICE_VALUES } from '../price';
import { LAYOUT, plainLayout } from '../size';
import { mm } from '../units';
import { UnreadableFact, defineVersioned, isFact } from '.';

/** Facts as versions before this one stored them, letter by letter. */
const STORED = {
  flatRecipe:
    '{"ppi":300,"resample":{"kernel":"lanczos3","factor":1.2},"outputSharpen":{"amount":80,"radius":1.1,"threshold":3},"convert":{"space":"a98-rgb","intent":"perceptual","blackPoint":true}}',
  layout:
    '{"fit":"fill","place":"outside","borders":{"above":10,"right":10,"below":20,"left":10},"bleed":3,"deckle":0}',
  plainBorder: '{"fit":"within","borderMm":12.5}',
  price:
    '{"printing":"9,50","paper":"6.40","capture":"45","proofs":"38","expectedImpressions":"30","spoilage":"4 %","finishing":"0","packing":"5.20","postage":"0","hours":"0.6","hourlyRate":"26","channel":"gallery","commission":"40","payment":"2.9","fixed":"0.30","margin":"45","step":"5","workId":"1","sizeKey":"isoA-A3"}',
  finish:
    '{"style":"reveal","perSide":"3/16","offPrint":"1 mm","offMat":"1 mm","offFrame":"0.05","sides":"2 1/2 in","above":"60 mm","below":"3","moulding":"20 mm","glass":"2 mm","glazing":"acrylic","workId":"1","sizeKey":"isoA-A3"}',
};
const stored = (name: keyof typeof STORED) => JSON.parse(STORED[name]) as object;

describe('facts of earlier versions are read as they were meant', () => {
  it('a mat of before the stack in the rabbet was asked: nobody said how thick', () => {
    const { board: _, spacer: __, backing: ___, prices: ____, ...old } = USUAL_FINISH;
    const read = FINISH_VALUES.read({ version: 1, ...old });
    expect(read).toMatchObject({ ...old, board: null, spacer: null, backing: null });
    expect(FINISH_VALUES.read(FINISH_VALUES.write(USUAL_FINISH))).toEqual(USUAL_FINISH);
  });
  it('a recipe of before there were steps', () => {
    const recipe = RECIPE.read(stored('flatRecipe'));
    expect(ppiOf(recipe)).toBe(300);
    expect(stepIn(recipe, 'output')).toMatchObject({
      amount: 80,
      radius: 1.1,
      threshold: 3,
    });
    expect(recipe.convert).toEqual({
      target: 'a98-rgb',
      intent: 'perceptual',
      blackPoint: true,
    });
  });

  it('a recipe of before there were rules keeps what its numbers meant', () => {
    const { rule, ...now } = plainRecipe(300, 1.4);
    const { dither, ...file } = now.file;
    expect([rule, dither]).toEqual([2, true]);
    const read = RECIPE.read({ ...now, file, version: 1 });
    expect(read).toEqual({ ...now, rule: 1, file: { ...file, dither: false } });
    expect(RECIPE.read(stored('flatRecipe')).rule).toBe(1);
    expect(isFact(RECIPE)({ ...now, rule: 3, version: 2 })).toBe(false);
  });

  it('a recipe of before colours were moved by tone and hue moves none', () => {
    const now = plainRecipe(300, 1.4);
    const steps = now.steps.filter((s) => s.kind !== 'balance');
    expect(RECIPE.read({ ...now, steps, version: 2 })).toEqual(now);
    expect(RECIPE.read({ ...now, steps: [steps[2]], version: 2 }).steps).toEqual([
      now.steps[2],
      steps[2],
    ]);
    expect(stepIn(now, 'balance')).toBeNull();
  });

  it('a layout without a version, and one of a single border', () => {
    expect(LAYOUT.read(stored('layout'))).toEqual(stored('layout'));
    expect(LAYOUT.read(stored('plainBorder'))).toEqual(plainLayout('within', mm(12.5)));
  });

  it('a price as it was typed, in the currency that held then', () => {
    const read = PRICE_VALUES.read({ ...stored('price'), typedIn: 'EUR' });
    expect(read).toEqual({
      asked: null,
      channel: 'gallery',
      printing: 950,
      paper: 640,
      capture: 4500,
      proofs: 3800,
      finishing: 0,
      packing: 520,
      postage: 0,
      hourlyRate: 2600,
      fixed: 30,
      step: 500,
      spoilage: 0.04,
      commission: 0.4,
      payment: expect.closeTo(0.029, 12) as number,
      margin: 0.45,
      expectedImpressions: 30,
      hours: 0.6,
      ...{ wear: 0, donation: 0, signingHours: 0, finishingHours: 0, packingHours: 0 },
    });
    expect(PRICE_VALUES.read({ ...stored('price'), typedIn: 'JPY' })).toMatchObject({
      capture: 45,
      step: 5,
    });
  });

  it('a mat as it was typed, in the units that held then', () => {
    const read = FINISH_VALUES.read({ ...stored('finish'), typedIn: 'inch' });
    expect(read).toMatchObject({ style: 'reveal', glazing: 'acrylic', moulding: 20 });
    expect(read.perSide).toBeCloseTo((3 / 16) * 25.4, 9);
    expect(read.sides).toBeCloseTo(2.5 * 25.4, 9);
    expect(read.below).toBeCloseTo(3 * 25.4, 9);
    expect(FINISH_VALUES.read({ ...stored('finish'), typedIn: 'metric' }).below).toBe(3);
  });
});

it('what is written is read back the same, with its version beside it', () => {
  const recipe = plainRecipe(360, 0.8);
  expect(RECIPE.write(recipe)).toMatchObject({ version: 3, rule: 2 });
  expect(RECIPE.read(JSON.parse(JSON.stringify(RECIPE.write(recipe))))).toEqual(recipe);
});

describe('what is no such fact is refused, never guessed', () => {
  const crop = defineVersioned<{ zoom: number }>({
    name: 'crop',
    upgrades: [(old) => ({ zoom: 1, ...old }), ({ zoom }) => ({ zoom: Number(zoom) * 2 })],
    holds: (v) => typeof v.zoom === 'number',
  });
  it('each upgrade is passed once, from wherever it starts', () => {
    expect(crop.read({})).toEqual({ zoom: 2 });
    expect(crop.read({ version: 1, zoom: 3 })).toEqual({ zoom: 6 });
    expect(crop.read({ version: 2, zoom: 3 })).toEqual({ zoom: 3 });
  });
  it.each([
    null,
    7,
    'x',
    [],
    { version: 3 },
    { version: -1 },
    { version: '1' },
    { version: 2 },
  ])('%j', (value) => {
    expect(() => crop.read(value)).toThrow(UnreadableFact);
    expect(isFact(crop)(value)).toBe(false);
  });
  it('a layout with a border that is no figure', () => {
    expect(isFact(LAYOUT)({ ...stored('layout'), bleed: 'wide' })).toBe(false);
    expect(isFact(RECIPE)({ steps: [] })).toBe(false);
  });
});
