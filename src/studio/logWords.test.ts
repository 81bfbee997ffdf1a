import type { LogLine } from '@/data';
import { sayLogLine } from './logWords';

const context = {
  works: new Map([[1, 'Salt Pans']]),
  papers: new Map([[2, 'Linen 300']]),
  declarations: new Map([
    [
      3,
      { kind: 'limited' as const, scope: 'perSize' as const, size: 30, artistsProofs: 3 },
    ],
  ]),
  currency: 'EUR',
  locale: 'en-GB',
};
const line = (
  what: string,
  detail: LogLine['detail'],
  over: Partial<LogLine> = {},
): LogLine => ({
  id: 1,
  at: '2026-03-01T10:00:00.000Z',
  what,
  workId: 1,
  sizeKey: 'isoA-A3',
  editionId: null,
  series: null,
  impression: null,
  orderId: null,
  detail,
  ...over,
});
const say = (...args: Parameters<typeof line>) => sayLogLine(line(...args), context);

it('names work, size and the pencilled number', () => {
  const over = { editionId: 3, series: 'number' as const, impression: 7 };
  expect(say('edition.assigned', { printing: 1 }, over)).toMatchObject({
    work: 'Salt Pans',
    size: 'A3',
    impression: '7/30',
    text: 'Numbered.',
  });
  expect(say('edition.assigned', { printing: 2 }, over).text).toBe(
    'Numbered again, printing 2.',
  );
});

it.each([
  [
    'proof.sent',
    { round: 2, paperId: 2, route: 'own printer' },
    'Proof round 2 sent, Linen 300, own printer.',
  ],
  [
    'price.set',
    { price: 8000, net: 3777, channel: 'fair' },
    'Price 80.00 EUR, net 37.77, fair.',
  ],
  [
    'order.taken',
    { order: '0412', customer: 'T. Venn', dueOn: '2026-03-05' },
    'Order 0412 from T. Venn, leaves by 5 Mar 2026.',
  ],
  ['stock.used', { pieces: -3, reason: 'printed' }, '3 used: printed.'],
  ['size.withdrawn', { reason: 'falls short' }, 'Withdrawn: falls short.'],
  ['something.new', {}, 'something.new'],
] as const)('says %s', (what, detail, text) => expect(say(what, detail).text).toBe(text));
