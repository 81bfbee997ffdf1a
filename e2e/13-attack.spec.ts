import { expect, test } from '@playwright/test';
import { ATTACKS, openTargets } from './attack/attacks';
import type { Targets } from './attack/attack';

let targets: Targets;
let end: () => Promise<void>;
test.beforeAll(async () => {
  ({ targets, end } = await openTargets('/tmp/glassine-attack', 4161));
});
test.afterAll(() => end());

for (const { name, run } of ATTACKS.filter((a) => a.quick))
  test(name, async () => {
    expect(await run(targets)).not.toBe('');
  });
