import { staleForm } from './stale';

/** What a refusal says at its fields, and what the form is to send along. */
const said = (refused: ReturnType<typeof staleForm>) => {
  if (!refused || refused.ok) throw new Error('was not refused');
  return refused;
};

const titles = { title: 'Title', medium: 'Medium' };
const seen = JSON.stringify({ title: 'Salt Pans', medium: 'tempera' });

it('lets a form through that still shows what is stored', () => {
  const stored = { title: 'Salt Pans', medium: 'tempera' };
  expect(
    staleForm(seen, stored, { title: 'Salt Pans II', medium: 'tempera' }, titles),
  ).toBeNull();
});

it('shows both values of what was changed meanwhile, and only of that', () => {
  const stored = { title: 'Salt Pans', medium: 'casein' };
  const refused = staleForm(seen, stored, { title: 'Low Sun', medium: 'oil' }, titles);
  expect(refused).toMatchObject({
    ok: false,
    fields: {
      medium:
        'Medium: now “casein”, changed elsewhere since you opened this; you typed “oil”.',
    },
  });
  expect(Object.keys(said(refused).fields)).toEqual(['medium']);
});

it('says so too when the field was left alone, since sending would undo the other change', () => {
  const stored = { title: 'Salt Pans', medium: 'casein' };
  const refused = staleForm(seen, stored, { title: 'Low Sun', medium: 'tempera' }, titles);
  expect(said(refused).fields.medium).toContain('you left it at “tempera”');
});

it('is through when both typed the same, or when it is sent again', () => {
  const stored = { title: 'Salt Pans', medium: 'casein' };
  expect(
    staleForm(seen, stored, { title: 'Low Sun', medium: 'casein' }, titles),
  ).toBeNull();
  const typed = { title: 'Low Sun', medium: 'oil' };
  const { fresh } = said(staleForm(seen, stored, typed, titles));
  expect(staleForm(fresh!.seen!, stored, typed, titles)).toBeNull();
});

it('a form that sends nonsense of what it showed is held against what is stored', () => {
  const stored = { title: 'Salt Pans', medium: 'casein' };
  const refused = staleForm('{broken', stored, { title: 'A', medium: 'B' }, titles);
  expect(Object.keys(said(refused).fields)).toEqual(['title', 'medium']);
});
