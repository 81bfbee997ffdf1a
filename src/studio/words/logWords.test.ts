import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
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
  timeZone: 'UTC',
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
    'Price €80.00, net €37.77, fair.',
  ],
  [
    'order.taken',
    { order: '0412', customer: 'T. Venn', dueOn: '2026-03-05' },
    'Order 0412 from T. Venn, leaves by 5 Mar 2026.',
  ],
  ['stock.used', { pieces: -3, reason: 'printed' }, '3 used: printed.'],
  ['size.withdrawn', { reason: 'falls short' }, 'Withdrawn: falls short.'],
  ['work.edited', { fields: 'title, year' }, 'Changed: title, year.'],
  ['paper.edited', { name: 'Linen 300', fields: '' }, 'Paper Linen 300 changed: nothing.'],
  ['paper.removed', { name: 'Linen 300' }, 'Paper Linen 300 taken out of the drawer.'],
  [
    'master.taken',
    { name: 'pans.tif', pixels: '7087 × 9449', space: null },
    'Master pans.tif, 7087 × 9449 px, untagged.',
  ],
  [
    'master.space',
    { space: 'prophoto-rgb' },
    'Colour space of the untagged master: ROMM RGB.',
  ],
  [
    'master.inspected',
    { detail: 0.567, specks: 12 },
    'Master read: detail 0.57, 12 specks.',
  ],
  [
    'master.inspected',
    { detail: null, specks: 0 },
    'Master read: detail not to be told, 0 specks.',
  ],
  [
    'speck.judged',
    { x: 10, y: 20, verdict: 'partOfPicture' },
    'Speck at 10, 20 px: belongs to the picture.',
  ],
  [
    'speck.judged',
    { x: 10, y: 20, verdict: null },
    'Speck at 10, 20 px: to look at again.',
  ],
  ['signature.noted', { present: 'removed' }, 'Signature: removed from the master.'],
  [
    'crop.kept',
    { ratio: '4:5', across: 50, down: 20, zoom: 80 },
    'Crop to 4:5 kept: middle at 50 % across, 20 % down, 80 % of the largest.',
  ],
  ['size.offered', { borderMm: 20 }, 'Offered, border 20 mm.'],
  ['recipe.kept', { name: 'Linen', version: 3 }, 'Recipe Linen kept, version 3.'],
  [
    'profile.used',
    {
      paper: 'Cotton',
      profile: 'Cotton 4',
      printer: 'Own printer',
      setting: 'heavy matte',
    },
    'Paper Cotton is printed through profile Cotton 4 by Own printer, setting heavy matte.',
  ],
  [
    'profile.left',
    { paper: 'Cotton', profile: '', printer: '', setting: '' },
    'Paper Cotton has no profile any more.',
  ],
  ['profile.taken', { name: 'Press', space: 'CMYK' }, 'Profile Press taken, CMYK.'],
  [
    'sheet.resolution',
    { name: 'p.tif', pieces: 4, sizes: 'A3, A2' },
    'Proof sheet p.tif written: 4 pieces of A3, A2.',
  ],
  [
    'sheet.settings',
    { name: 's.tif', pieces: 15 },
    'Settings sheet s.tif written: 15 cells.',
  ],
  [
    'errand.handedOver',
    { number: 'H-0001', to: 'Tidewrack', files: 1 },
    'H-0001 handed over to Tidewrack: 1 file.',
  ],
  [
    'errand.answered',
    { number: 'H-0001', stage: 'refused', accepted: 0, refused: 2 },
    'H-0001, the lab says refused: 0 accepted, 2 refused.',
  ],
  [
    'print.judged',
    { what: 'p.tif', said: 'halos faint', remarks: 'by day' },
    'Of p.tif: halos faint; by day.',
  ],
  ['print.judged', { what: 'p.tif', said: '', remarks: '' }, 'Of p.tif: a photograph.'],
  [
    'printFile.written',
    {
      name: 'p.tif',
      factor: 1.6,
      kernel: 'lanczos3',
      sharpen: '60 %',
      space: 'icc:0123',
      intent: 'relative',
      failedChecks: 2,
    },
    'Print file p.tif: 1.6 ×, Lanczos 3, sharpened 60 %, a printer’s profile, relative; 2 checks failed.',
  ],
  [
    'proof.changeAndRepeat',
    { round: 1, toChange: 'lighter' },
    'Proof round 1, to change: lighter',
  ],
  ['edition.declared', { kind: 'open' }, 'Declared an open edition.'],
  [
    'edition.declared',
    { kind: 'limited', size: 30, artistsProofs: 3 },
    'Declared an edition of 30 and 3 artist’s proofs.',
  ],
  ['edition.spoiled', { reason: 'creased' }, 'Spoiled and destroyed: creased.'],
  ['order.weighed', { order: '0412', grams: 640 }, 'Order 0412 weighed: 640 g.'],
  ['something.new', {}, 'something.new'],
] as const)('says %s', (what, detail, text) => expect(say(what, detail).text).toBe(text));

/** Every line that some write leaves, by the code that names it. */
function written(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.ts$/.test(name) && !/\.test\.ts$/.test(name))
    .flatMap((name) => {
      const text = readFileSync(join(folder, name), 'utf8');
      return [...text.matchAll(/what: '([a-z][a-zA-Z]*\.[a-z][a-zA-Z]*|undone)'/g)];
    })
    .map(([, what]) => what!);
}

it('has words for everything that is written into it', () => {
  const all = [...new Set(written(join(__dirname, '../../data')))];
  expect(all.length).toBeGreaterThan(15);
  expect(all.filter((what) => say(what, { dueOn: '2026-03-05' }).text === what)).toEqual(
    [],
  );
});
