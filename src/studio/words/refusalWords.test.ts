import type { RefusedFile } from '@/engine';
import { refusalWords } from './refusalWords';

const CASES: [RefusedFile, RegExp, RegExp][] = [
  [{ code: 'empty' }, /is empty \(0 bytes\)/, /Copy it again/],
  [
    { code: 'notAPicture', kind: 'pdf' },
    /this is a PDF document/,
    /export it as 16-bit TIFF/,
  ],
  [
    { code: 'notAPicture', kind: 'tiff' },
    /this is not a picture/,
    /export it as 16-bit TIFF/,
  ],
  [{ code: 'animated', frames: 3 }, /holds 3 pages or frames/, /export the one you mean/],
  [{ code: 'animated', frames: 1 }, /holds an animation/, /export the one you mean/],
  [{ code: 'cmyk' }, /colours are CMYK/, /Bring the RGB or grey original/],
  [{ code: 'otherModel', model: 'lab' }, /colour model \(lab\)/, /Export it as RGB TIFF/],
  [
    { code: 'tooLong', edge: 4_000_000, limit: 65_535 },
    /one edge has 4000000 pixels, over the limit of 65535/,
    /Cut it into parts/,
  ],
  [
    { code: 'tooManyPixels', megapixels: 1200.4, limit: 1000 },
    /1200 megapixels are over the limit of 1000/,
    /Raise GLASSINE_MAX_MEGAPIXELS/,
  ],
  [
    { code: 'interlaced', megapixels: 61.7, limit: 60 },
    /62 megapixels, saved interlaced.*limit for that is 60/,
    /Save it again without interlacing/,
  ],
  [{ code: 'tooLarge', limitGigabytes: 16 }, /over 16 GB/, /Raise GLASSINE_MAX_GIGABYTES/],
  [
    { code: 'broken', detail: 'strip 3' },
    /damaged \(strip 3\)/,
    /scan it again; nothing of it was kept/,
  ],
];

it.each(CASES)('%j: what happened, to what, and what to do', (refused, what, toDo) => {
  const words = refusalWords('pears.tif', refused);
  expect(words.startsWith('pears.tif: ')).toBe(true);
  expect(words).toMatch(what);
  expect(words).toMatch(toDo);
  expect(words).toMatch(/\.$/);
});
