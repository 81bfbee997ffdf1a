import { recordWords } from './recordWords';

const record = { times: 3, quantity: 24, faulty: 1, dearer: 0.042, later: 2.1 };

it.each([
  [
    record,
    'came 3 times, 2 days later than promised, 4 % dearer than promised, 1 of 24 faulty',
  ],
  [
    { ...record, times: 1, dearer: -0.1, later: -1, faulty: 0 },
    'came once, 1 day earlier than promised, 10 % cheaper than promised, none of 24 faulty',
  ],
  [
    { ...record, dearer: 0.001, later: 0.2 },
    'came 3 times, on its day, at its price, 1 of 24 faulty',
  ],
  [{ ...record, dearer: null, later: null }, 'came 3 times, 1 of 24 faulty'],
])('%j is said', (of, words) => expect(recordWords(of)).toBe(words));
