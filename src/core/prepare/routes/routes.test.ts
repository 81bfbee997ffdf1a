import { ROUTE_KINDS, answersErrands, routeKind, routeProblems } from '.';
import type { RoutedFile } from '.';

it('finds each kind by its name, and no other', () => {
  for (const kind of ROUTE_KINDS) expect(routeKind(kind.id)).toBe(kind);
  expect(() => routeKind('balloon' as never)).toThrow('balloon');
});

it('asks only who answers by itself; whose kind was never said was always asked', () => {
  const answering = ROUTE_KINDS.filter((k) => answersErrands(k.id)).map((k) => k.id);
  expect(answering).toEqual(['onlineLab']);
  expect(answersErrands(null)).toBe(true);
});

it.each(ROUTE_KINDS.map((k) => k.usual))(
  'says in what a file is not what is asked: %j',
  (wants) => {
    const { leastPpi, target, bits, format } = wants;
    const good: RoutedFile = {
      ppi: leastPpi,
      target,
      bits,
      format,
      compression: 'lzw',
      failed: 0,
    };
    expect(routeProblems(good, wants)).toEqual([]);
    const other = bits === 8 ? 16 : 8;
    const elsewhere = target === 'srgb' ? 'a98-rgb' : 'srgb';
    const otherFormat = format === 'jpeg' ? 'tiff' : 'jpeg';
    const poor = {
      ...good,
      ppi: leastPpi - 1,
      target: elsewhere,
      bits: other,
      format: otherFormat,
      failed: 2,
    };
    expect(routeProblems(poor as RoutedFile, wants)).toEqual([
      { code: 'failed', count: 2 },
      { code: 'ppi', wanted: leastPpi, found: leastPpi - 1 },
      { code: 'target', wanted: target, found: elsewhere },
      { code: 'bits', wanted: bits, found: other },
      { code: 'format', wanted: format, found: otherFormat },
    ]);
    const press = 'icc:p' as const;
    expect(routeProblems({ ...good, target: press }, { ...wants, press })).toEqual([]);
  },
);
