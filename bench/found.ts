/** Prints sought in photographs of them: how many are found, how exactly, and at what cost. */
import { meanError, original, seenAs, taken } from '../e2e/support/photographs';
import { ORIGINALS } from '../demo/originals';
import { findPicture, isFound } from '@/core/proof';

const SIDE = 1400;
const EACH = 4;
const PHOTOGRAPH = { width: 1600, height: 1200 };

/** Every original of the demo, photographed several times: turned by up to 8 degrees, 10 % out of square, noisy, unevenly lit. */
export function measureFound(): void {
  console.log('\nPrints found in photographs of them');
  let [found, all, worst, seconds, reading] = [0, 0, 0, 0, 0];
  for (const { name } of ORIGINALS) {
    const picture = original(name, SIDE);
    const { plane } = seenAs(picture);
    for (let seed = 1; seed <= EACH; seed += 1) {
      const photo = taken(picture, { ...PHOTOGRAPH, seed: 31 * seed });
      const read = performance.now();
      const seen = seenAs(photo).plane;
      const from = performance.now();
      const sighting = findPicture(plane, seen);
      seconds += (performance.now() - from) / 1000;
      reading += (from - read) / 1000;
      all += 1;
      if (!isFound(sighting)) {
        console.log(`  ${name}: ${sighting.code}`);
        continue;
      }
      const error = meanError(sighting.found, photo.corners[0]!, picture);
      worst = Math.max(worst, error);
      if (error < 1) found += 1;
    }
  }
  console.log(
    `  within a pixel of 2000: ${found} of ${all}; off by ${worst.toFixed(2)} px at most; a search takes ${(seconds / reading).toFixed(1)} x as long as turning the photograph into lightness`,
  );
}
