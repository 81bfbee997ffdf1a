/** Tries every attack against studios on this machine, and prints what held. */
import { ATTACKS, openTargets } from './attacks';

const { targets, end } = await openTargets('/tmp/glassine-attacked', 4171);
let failed = 0;
try {
  for (const { name, run } of ATTACKS) {
    const began = performance.now();
    const found = await run(targets).then(
      (measured) => `held      ${name}: ${measured}`,
      (error: Error) => {
        failed += 1;
        return `DID NOT HOLD  ${name}: ${error.message}`;
      },
    );
    console.log(`${found} (${((performance.now() - began) / 1000).toFixed(1)} s)`);
  }
} finally {
  await end();
}
console.log(`\n${ATTACKS.length - failed} of ${ATTACKS.length} held`);
process.exit(failed === 0 ? 0 : 1);
