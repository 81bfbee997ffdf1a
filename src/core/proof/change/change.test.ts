import { HUES, TONES, hueAngle, hueOf, toneOf } from '../../colour';
import type { Vector } from '../../colour';
import { coloursThrough, plainRecipe, recipeFault, stepIn } from '../../prepare';
import { chooseStrip } from '../strip';
import { leastSquares, proposeChange } from '.';
import type { Foretell, PrintedColour } from '.';

const same: Foretell = (labs) => labs.map((l): Vector => [...l]);
const { steps } = plainRecipe(300, 1);

/** A picture with every hue at several tones, and greys. */
const picture: Vector[] = [15, 30, 45, 60, 75, 88].flatMap((l) => [
  [l, 0, 0] as Vector,
  ...HUES.flatMap((hue) => {
    const angle = (hueAngle(hue) * Math.PI) / 180;
    return [14, 30].map((c): Vector => {
      const chroma = Math.min(c, l * 0.6);
      return [l, chroma * Math.cos(angle), chroma * Math.sin(angle)];
    });
  }),
]);
const strip = chooseStrip(picture, new Array<number>(picture.length).fill(1));
const printedBy = (print: (lab: Vector) => Vector): PrintedColour[] =>
  strip.map(({ name, kind, lab }) => ({
    name,
    master: lab,
    printed: kind === 'paper' ? lab : print(lab),
    weight: kind === 'paper' || kind === 'black' ? 0 : 1,
  }));

describe('the change to try', () => {
  it('asks for nothing where nothing is wrong', () => {
    const found = proposeChange(
      printedBy(([...lab]) => lab),
      steps,
      same,
      same,
    );
    expect(found).toMatchObject({ parts: [], moved: [], before: 0, left: 0 });
    expect(found.steps).toEqual(steps);
  });

  it('takes the simplest that is enough: a print that is too dark is made lighter', () => {
    const dark = coloursThrough(
      [
        {
          ...stepIn({ steps: steps.map((s) => ({ ...s, on: true })) }, 'adjust')!,
          lightness: -12,
        },
      ],
      strip.map((s) => s.lab),
    );
    const colours = printedBy(([...lab]) => lab).map((c, i) => ({
      ...c,
      printed: dark[i]!,
    }));
    const found = proposeChange(colours, steps, same, same);
    expect(found.parts).toEqual(['adjust']);
    expect(found.left).toBeLessThan(found.before / 3);
    expect(found.moved.find((m) => m.part === 'lightness')!.now).toBeGreaterThan(5);
  });

  for (const by of [-6, 1])
    for (const [c, axis] of ['L*', 'a*', 'b*'].entries()) {
      it.each(TONES)(`leaves less than a third of ${by} ${axis} in the %s`, (tone) => {
        const found = proposeChange(
          printedBy(
            (lab) =>
              lab.map(
                (v, k) => v + (k === c && toneOf(lab[0]) === tone ? by : 0),
              ) as Vector,
          ),
          steps,
          same,
          same,
        );
        expect(found.left / found.before).toBeLessThan(1 / 3);
        expect(recipeFault({ ...plainRecipe(300, 1), steps: found.steps })).toBeNull();
      });
      it.each(HUES)(`leaves less than a third of ${by} ${axis} in %s`, (hue) => {
        const found = proposeChange(
          printedBy(
            (lab) =>
              lab.map(
                (v, k) => v + (k === c && hueOf(lab[1], lab[2]) === hue ? by : 0),
              ) as Vector,
          ),
          steps,
          same,
          same,
        );
        expect(found.left / found.before).toBeLessThan(1 / 3);
      });
    }
});

it('never proposes a recipe by which a darker tone becomes the lighter', () => {
  // Greys of the middle came much too light, those beside them much too dark.
  const wild = printedBy(([l, a, b]) => [l + (l > 45 && l < 65 ? 14 : -14), a, b]);
  const { steps: next } = proposeChange(wild, steps, same, same);
  const ramp = Array.from({ length: 101 }, (_, l): Vector => [l, 0, 0]);
  const tones = coloursThrough(next, ramp).map(([l]) => Math.min(100, l));
  tones.forEach((l, i) => expect(l).toBeGreaterThanOrEqual((tones[i - 1] ?? -1) - 0.011));
});

it('least squares finds a line, and stays within limits', () => {
  const at = [0, 1, 2, 3];
  const sought = [0, 1].map(() => ({ scale: 1, least: -5, most: 5 }));
  const of = (slope: number) => (p: readonly number[]) =>
    at.map((x) => p[0]! + p[1]! * x - (1 + slope * x));
  const found = leastSquares(of(2), [0, 0], sought, { weight: 1e-9 });
  expect(found.map((v) => +v.toFixed(4))).toEqual([1, 2]);
  expect(leastSquares(of(9), [0, 0], sought, { weight: 1e-9 })[1]).toBe(5);
});
