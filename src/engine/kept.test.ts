import { Kept } from './kept';

it('makes what is asked for once, drops what was not asked for longest, and keeps no failure', async () => {
  const dropped: string[] = [];
  const kept = new Kept<string>(2, (gone) => dropped.push(gone));
  let made = 0;
  const make = (value: string) => () => {
    made += 1;
    return Promise.resolve(value);
  };
  await kept.of('a', make('a'));
  await kept.of('b', make('b'));
  expect(await kept.of('a', make('other'))).toBe('a');
  expect(made).toBe(2);
  await kept.of('c', make('c'));
  await Promise.resolve();
  expect(dropped).toEqual(['b']);
  await expect(kept.of('d', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect(await kept.of('d', make('d'))).toBe('d');
});
