import { priceInput, reckon } from './reckon';

const typed = {
  workId: '1',
  sizeKey: 'isoA-A3',
  printing: '9',
  paper: '6.40',
  capture: '45',
  proofs: '38',
  expectedImpressions: '30',
  spoilage: '4',
  finishing: '0',
  packing: '5.20',
  postage: '0',
  hours: '0.6',
  hourlyRate: '26',
  channel: 'own site',
  commission: '0',
  payment: '2.9',
  fixed: '0.30',
  margin: '45',
  step: '5',
};
const read = (over: object) =>
  priceInput.read(
    { ...typed, ...over },
    { units: 'metric', currency: 'EUR', locale: 'en-GB' },
  );

it('reckons the price from what was typed', () => {
  const result = read({});
  if (!result.ok) throw new Error(JSON.stringify(result.fields));
  const { cost, sale } = reckon(result.value);
  expect(cost.total).toBe(900 + 640 + 150 + 127 + 64 + 520 + 1560);
  expect(sale).toMatchObject({ gross: 8000, fees: 262 });
  expect(sale!.margin).toBeGreaterThanOrEqual(0.45);
});

it('finds no price when margin and fees take everything', () => {
  const result = read({ margin: '60', commission: '40' });
  expect(result.ok && reckon(result.value).sale).toBeNull();
});

it('refuses a margin of 100 % and a rounding step of 0 at their fields', () => {
  const result = read({ margin: '100', step: '0' });
  expect(result.ok ? [] : Object.keys(result.fields).sort()).toEqual(['margin', 'step']);
});
