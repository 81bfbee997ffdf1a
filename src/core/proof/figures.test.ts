import fc from 'fast-check';
import { colourDifference, hueAngle, hueOf, HUES, toneOf } from '../colour';
import {
  brokenGradients,
  differences,
  evenStretches,
  gatherColours,
  labAt,
  mergedPairs,
  mergingList,
  proofCost,
  recommendIntent,
  worstPlaces,
} from '.';
import type { IntentCost } from '.';

const colour = fc.tuple(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.double({ min: -100, max: 100, noNaN: true }),
  fc.double({ min: -100, max: 100, noNaN: true }),
);

describe('colours that merge', () => {
  const brute = (source: number[], proof: number[]) => {
    let pairs = 0;
    for (let i = 0; i < source.length / 3; i += 1)
      for (let k = i + 1; k < source.length / 3; k += 1)
        if (
          colourDifference(labAt(source, i), labAt(source, k)) > 2 &&
          colourDifference(labAt(proof, i), labAt(proof, k)) < 1
        )
          pairs += 1;
    return pairs;
  };

  it('are as many as a comparison of all with all finds, wherever they lie', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(colour, colour, fc.double({ min: 0, max: 1, noNaN: true })), {
          maxLength: 40,
        }),
        fc.array(colour, { minLength: 1, maxLength: 4 }),
        (list, hubs) => {
          // Drawn towards a few places, so that some come to lie together.
          const source = list.flatMap(([c]) => c);
          const proof = list.flatMap(([, c, near], i) =>
            hubs[i % hubs.length]!.map((v, k) => v + (c[k]! - v) * near ** 4 * 0.3),
          );
          expect(mergedPairs(source, proof).pairs).toBe(brute(source, proof));
        },
      ),
    ));

  it('shows those that were farthest apart first, and says which merge', () => {
    const source = [50, 60, 30, 50, 75, 40, 50, 62, 31, 20, 0, 0];
    const proof = [50, 50, 25, 50, 50.2, 25, 50, 50.1, 25.1, 20, 0, 0];
    const { pairs, merges, examples } = mergedPairs(source, proof);
    expect(pairs).toBe(brute(source, proof));
    expect([...merges]).toEqual([1, 1, 1, 0]);
    expect(examples[0]).toMatchObject({ one: 0, other: 1 });
  });

  it('looks among all of a few colours, and among the commonest of many', () => {
    const many = Float64Array.from({ length: 5000 }, (_, i) => i);
    expect(mergingList({ weights: many, exact: true })).toHaveLength(5000);
    const list = mergingList({ weights: many, exact: false });
    expect(list).toHaveLength(2000);
    expect(Math.min(...list)).toBe(3000);
  });
});

describe('colours of a picture', () => {
  it('are each by itself while they are few', () => {
    const samples = Uint16Array.from([1, 2, 3, 9, 9, 9, 1, 2, 3]);
    const { colours, weights, of, exact } = gatherColours(samples, 3);
    expect([[...colours], [...weights], [...of], exact]).toEqual([
      [1, 2, 3, 9, 9, 9],
      [2, 1],
      [0, 1, 0],
      true,
    ]);
  });

  it('brought together, have every pixel and lie where their pixels do', () => {
    const samples = Uint16Array.from({ length: 90_000 }, (_, i) => (i * 7919) % 65536);
    const { colours, weights, of, exact } = gatherColours(samples, 3);
    expect(exact).toBe(false);
    expect(weights.reduce((t, v) => t + v, 0)).toBe(30_000);
    for (let p = 0; p < of.length; p += 97)
      for (let c = 0; c < 3; c += 1)
        expect(Math.abs(samples[p * 3 + c]! - colours[of[p]! * 3 + c]!)).toBeLessThan(1025);
  });
});

describe('what a way of printing costs', () => {
  const source = [20, 40, 20, 50, 0, 0, 80, -30, 60, 50, 1, 1];
  const found = [6, 0.5, 1.5, 3];
  const weights = [10, 50, 30, 10];
  const cost = proofCost(found, source, weights);

  it('counts pixels by how far they change', () => {
    expect(cost.beyond.map((v) => v.toFixed(2))).toEqual(['0.50', '0.20', '0.10']);
    expect(cost.mean).toBeCloseTo(0.1 * 6 + 0.5 * 0.5 + 0.3 * 1.5 + 0.1 * 3, 6);
    expect(cost.max).toBe(6);
    expect(cost.p95).toBeCloseTo(6, 1);
  });

  it('by tone and by hue, each with its share', () => {
    expect(cost.byTone.shadows).toMatchObject({ share: 0.1, mean: 6 });
    expect(cost.byTone.highlights).toMatchObject({ share: 0.3, mean: 1.5 });
    expect(cost.byHue.red).toMatchObject({ share: 0.1, mean: 6 });
    expect(cost.byHue.neutral.share).toBeCloseTo(0.6, 9);
    expect(cost.byBoth.red.shadows.mean).toBe(6);
    expect(cost.byBoth.red.midtones.share).toBe(0);
  });

  it('names every hue by its own middle', () => {
    for (const hue of HUES) {
      const angle = (hueAngle(hue) * Math.PI) / 180;
      expect(hueOf(50 * Math.cos(angle), 50 * Math.sin(angle))).toBe(hue);
    }
    expect(hueOf(2, -3)).toBeNull();
    expect([10, 50, 90].map(toneOf)).toEqual(['shadows', 'midtones', 'highlights']);
  });

  it('is nothing where nothing changes', () => {
    const none = proofCost(differences(source, source), source, weights);
    expect([none.mean, none.max, none.beyond]).toEqual([0, 0, [0, 0, 0]]);
  });
});

describe('where most is lost', () => {
  it('is found where it was planted, apart from each other, worst first', () => {
    const [width, height] = [320, 200];
    const of = new Uint32Array(width * height);
    const plant = (x: number, y: number, colour: number) => {
      for (let dy = 0; dy < 12; dy += 1)
        for (let dx = 0; dx < 12; dx += 1) of[(y + dy) * width + x + dx] = colour;
    };
    plant(30, 40, 1);
    plant(250, 150, 2);
    const places = worstPlaces([0, 4, 9], of, { width, height });
    expect(places.map((p) => p.most)).toEqual([9, 4]);
    expect(Math.hypot(places[0]!.x - 0.8, places[0]!.y - 0.78)).toBeLessThan(0.05);
    expect(Math.hypot(places[1]!.x - 0.11, places[1]!.y - 0.23)).toBeLessThan(0.05);
    expect(worstPlaces([0, 0, 0], of, { width, height })).toEqual([]);
  });
});

describe('gradients', () => {
  const [width, height] = [200, 64];
  const of = Uint32Array.from({ length: width * height }, (_, p) => p % width);
  const ramp = Array.from({ length: width }, (_, x) => [20 + x * 0.3, 10, -10]).flat();

  it('that stay even are not broken', () => {
    const stretches = evenStretches(of, { width, height }, ramp);
    expect(stretches.length).toBeGreaterThan(20);
    const quieter = ramp.map((v) => v * 0.8);
    expect(brokenGradients(stretches, of, quieter)).toMatchObject({
      broken: 0,
      worst: null,
    });
  });

  it('that become steps are, and flat places are no gradient', () => {
    const stretches = evenStretches(of, { width, height }, ramp);
    const stepped = ramp.map((v, i) => (i % 3 === 0 ? Math.round(v / 8) * 8 : v));
    const found = brokenGradients(stretches, of, stepped);
    expect(found.broken).toBeGreaterThan(stretches.length / 2);
    expect(found.worst).not.toBeNull();
    const flat = ramp.map((_, i) => [50, 0, 0][i % 3]!);
    expect(evenStretches(of, { width, height }, flat)).toEqual([]);
  });
});

describe('an intent', () => {
  const costing = (mean: number, p95: number, mergedShare: number): IntentCost => ({
    cost: { ...proofCost([mean], [50, 0, 0], [1]), p95 },
    mergedPairs: 0,
    mergedShare,
  });
  it.each([
    [
      'relative keeps what can be kept',
      costing(0.5, 4, 0.01),
      costing(2, 5, 0),
      'relative',
      'exact',
    ],
    ['perceptual changes less', costing(3, 9, 0), costing(2, 7, 0), 'perceptual', 'less'],
    [
      'relative makes one of many',
      costing(1, 6, 0.2),
      costing(2, 6, 0.02),
      'perceptual',
      'merging',
    ],
    ['the price is too high', costing(1, 6, 0.2), costing(5, 8, 0.02), 'relative', 'exact'],
  ] as const)('%s', (_, relative, perceptual, intent, because) =>
    expect(recommendIntent({ relative, perceptual })).toEqual({ intent, because }),
  );
});
