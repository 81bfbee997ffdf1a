import { LookedUp } from './lookedUp';

/** What a query is: it asks whenever somebody waits for it. */
function query(answer: string) {
  const asked = { times: 0 };
  const then: PromiseLike<string>['then'] = (done, failed) => {
    asked.times += 1;
    return Promise.resolve(answer).then(done, failed);
  };
  return { asked, lazy: { then } };
}

it('asks once for a name, however often it is waited for', async () => {
  const looked = new LookedUp();
  const { asked, lazy } = query('Linen 300');
  const found = await Promise.all([1, 2, 3].map(() => looked.of('paper 1', () => lazy)));
  expect(found).toEqual(['Linen 300', 'Linen 300', 'Linen 300']);
  await looked.of('paper 1', () => lazy);
  expect(asked.times).toBe(1);
  expect(await looked.of('paper 2', () => query('Flax 310').lazy)).toBe('Flax 310');
});
