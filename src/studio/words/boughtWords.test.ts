import { boughtHref, comingWords } from './boughtWords';

it('says what is on its way, and since when it is late', () => {
  const of = {
    ...{ id: 1, kind: 'paper' as const, ref: 3, name: 'Linen 300', quantity: 20 },
    ...{ supplier: 'Quay', orderedOn: '2026-11-20', comesOn: '2026-11-28' },
    ...{ at: '', printerId: null },
  };
  const said = (more: { supplier?: string; comesOn?: null }, today = '2026-11-28') =>
    comingWords({ ...of, ...more }, today, (d) => d.slice(8));
  expect(said({})).toBe('On its way: 20, ordered of Quay on 20; it is to come on 28.');
  expect(said({}, '2026-11-29')).toContain('▲ it was to come on 28');
  expect(said({ supplier: '', comesOn: null })).toBe(
    'On its way: 20, ordered on 20; when it comes was not said.',
  );
});

it('leads to where a delivery of it is noted', () => {
  expect(boughtHref('paper', 3, null)).toBe('/papers?paper=3');
  expect(boughtHref('ink', 3, 2)).toBe('/printers?printer=2&ink=3');
  // An ink that is not there any more has no printer.
  expect(boughtHref('ink', 3, null)).toBe('/printers');
  expect(boughtHref('material', 3, null)).toBe('/materials?material=3');
});
