import { brightenedWords, permanenceLine, signingWords } from './paperWords';

const paper = { name: 'Flax 310', signedWith: 'not known', scuffs: false } as const;

it('says how a print on a paper is signed, and nothing where nobody said', () => {
  expect(signingWords(paper)).toBeNull();
  expect(signingWords({ ...paper, signedWith: 'pencil' })).toBe(
    'Flax 310 is signed with pencil.',
  );
  expect(signingWords({ ...paper, signedWith: 'white ink' })).toContain('scrapes off');
  expect(signingWords({ ...paper, scuffs: true })).toBe(
    '▲ Flax 310 scuffs at a touch: gloves, and a sheet under the hand.',
  );
  expect(signingWords({ ...paper, signedWith: 'pigment pen', scuffs: true })).toBe(
    'Flax 310 is signed with pigment pen. ▲ It scuffs at a touch: gloves, and a sheet under the hand.',
  );
});

it('says what brighteners do only where there are some', () => {
  expect(brightenedWords('yes')).toContain('yellower');
  expect([brightenedWords('no'), brightenedWords('not known')]).toEqual(['', '']);
});

it('quotes a permanence whole, or not at all', () => {
  const of = { permanenceSource: 'a test', permanenceDisplay: 'in the dark' };
  expect(permanenceLine({ ...of, permanenceYears: 95 })).toBe(
    '95 years in the dark, a test',
  );
  expect(permanenceLine({ ...of, permanenceYears: null })).toBeNull();
});
