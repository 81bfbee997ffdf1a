import { oneAtATime } from './oneAtATime';

const soon = () => new Promise((r) => setTimeout(r, 5));

it('what concerns one thing waits for it, also where it failed; other things do not', async () => {
  const seen: string[] = [];
  const work =
    (name: string, fails = false) =>
    async () => {
      seen.push(`${name} begins`);
      await soon();
      seen.push(`${name} ends`);
      if (fails) throw new Error(name);
      return name;
    };
  const ends = await Promise.allSettled([
    oneAtATime('a', work('first', true)),
    oneAtATime('a', work('second')),
    oneAtATime('b', work('other')),
  ]);
  expect(ends.map((e) => e.status)).toEqual(['rejected', 'fulfilled', 'fulfilled']);
  const at = (what: string) => seen.indexOf(what);
  expect(at('second begins')).toBeGreaterThan(at('first ends'));
  expect(at('other begins')).toBeLessThan(at('first ends'));
});
