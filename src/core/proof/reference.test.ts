import { plainRecipe, withStep } from '../prepare';
import type { Recipe } from '../prepare';
import { staleReasons, standingReference } from '.';
import type { ProofMadeOf } from '.';

const recipe = plainRecipe(300, 1);
const approved: ProofMadeOf & { verdict: string; id: number } = {
  id: 1,
  verdict: 'approved',
  sizeKey: 'isoA-A3',
  area: 297 * 420,
  paperId: 1,
  route: 'own printer',
  profileSha256: 'a',
  masterId: 4,
  recipe,
  inkSet: 'eight pigments',
};

it('holds while nothing it was approved for is another; what is not said is not held against it', () => {
  expect(staleReasons(approved, approved)).toEqual([]);
  expect(staleReasons(approved, { sizeKey: 'isoA-A3' })).toEqual([]);
  const unsaid = { profileSha256: null, masterId: null, recipe: null, inkSet: null };
  const print = { ...approved, profileSha256: 'b', masterId: 5, inkSet: 'ten pigments' };
  expect(staleReasons({ ...approved, ...unsaid }, print)).toEqual([]);
});

it.each([
  ['paper', { paperId: 2 }],
  ['printer', { route: 'lab' }],
  ['ink', { inkSet: 'ten pigments' }],
  ['profile', { profileSha256: 'b' }],
  ['master', { masterId: 5 }],
  [
    'recipe',
    {
      recipe: { ...recipe, convert: { ...recipe.convert, intent: 'perceptual' as const } },
    },
  ],
  ['size', { sizeKey: 'isoA-A0', area: 841 * 1189 }],
])('stops holding with another %s', (reason, over) => {
  expect(staleReasons(approved, { ...approved, ...over })).toEqual([reason]);
});

it('covers other sizes up to a factor, pixels an inch and the form of the file', () => {
  const a2 = { ...approved, sizeKey: 'isoA-A2', area: 420 * 594 };
  expect(staleReasons(approved, a2)).toEqual([]);
  expect(staleReasons(approved, a2, 1.2)).toEqual(['size']);
  const finer = withStep(recipe, 3, { ...recipe.steps[3]!, ppi: 360 } as never);
  const turned = {
    ...recipe,
    convert: Object.fromEntries(Object.entries(recipe.convert).reverse()),
  };
  expect(staleReasons(approved, { ...approved, recipe: turned as Recipe })).toEqual([]);
  const deep: Recipe = { ...finer, file: { ...recipe.file, bits: 16 } };
  expect(staleReasons(approved, { ...approved, recipe: deep })).toEqual([]);
});

it('is held against the inks and the profile that its printer has by now', () => {
  const print = { sizeKey: approved.sizeKey };
  const now = (over: Partial<ProofMadeOf>) => staleReasons({ ...approved, ...over }, print);
  expect(now({ inkSetNow: 'eight pigments', profileNow: 'a' })).toEqual([]);
  expect(now({ inkSetNow: 'ten pigments' })).toEqual(['ink']);
  expect(now({ profileNow: 'b', inkSetNow: null })).toEqual(['profile']);
});

it('of several approved the one with the least against it stands, and of these the newest', () => {
  const other = { ...approved, id: 2, paperId: 2 };
  const newer = { ...approved, id: 3 };
  const open = { ...approved, id: 4, verdict: 'changeAndRepeat' };
  const of = (paperId: number) =>
    standingReference([approved, other, newer, open], { ...approved, paperId });
  expect(of(1)).toMatchObject({ round: { id: 3 }, reasons: [] });
  expect(of(2)).toMatchObject({ round: { id: 2 }, reasons: [] });
  expect(of(7)).toMatchObject({ reasons: ['paper'] });
  expect(standingReference([open], approved)).toBeNull();
  const byRound = standingReference([approved, newer], (r) => ({
    ...approved,
    masterId: r.id === 1 ? 4 : 5,
  }));
  expect(byRound).toMatchObject({ round: { id: 1 }, reasons: [] });
});
