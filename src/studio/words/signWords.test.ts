import { signPlan } from '@/core/size';
import { SIGN_WORDS, signCaution } from './signWords';

it('says nothing where there is room to sign', () => {
  const plan = signPlan(true, 'removed');
  expect(signCaution(plan, '20 mm')).toBeNull();
  expect(SIGN_WORDS[plan]).toBe('✓');
});

it.each([
  ['inPicture', /picture is signed, but the number/],
  ['absent', /no signature in the picture/],
  ['removed', /no signature in the picture/],
  [null, /Say in Capture/],
] as const)('warns before a print without room, the signature being %s', (known, words) => {
  const plan = signPlan(false, known);
  expect(signCaution(plan, '6 mm')).toMatch(/^Only 6 mm white below the image/);
  expect(signCaution(plan, '6 mm')).toMatch(words);
  expect(SIGN_WORDS[plan]).toMatch(/^▲/);
});
