import { rmSync } from 'node:fs';
import { chance, damage, wholePictures } from '../e2e/support/damage';
import { seedStudio } from '../e2e/support/seedStudio';
import { StudioServer } from '../e2e/support/studioServer';
import { within } from './folder';

const FILES = 330;

async function seconds(url: string, name: string, data: Buffer): Promise<number> {
  const from = performance.now();
  const answer = await fetch(`${url}/api/masters?work=1&name=${name}`, {
    method: 'PUT',
    body: new Uint8Array(data),
  });
  await answer.text();
  return performance.now() - from;
}

/** How long a damaged picture keeps the one who brings it waiting, beside a whole one. */
export async function measureDamaged(home: string): Promise<void> {
  rmSync(home, { recursive: true, force: true });
  await seedStudio(home, { editionOf: 5, numbered: 1, orders: 1 });
  const server = new StudioServer(home, 4194);
  await server.start();
  try {
    const whole = await wholePictures();
    const luck = chance(1);
    const times = { whole: [] as number[], damaged: [] as number[] };
    for (let i = 0; i < FILES; i += 1) {
      const { name, data } = whole[i % whole.length]!;
      times.whole.push(await seconds(server.url, `whole-${i}-${name}`, data));
      times.damaged.push(await seconds(server.url, `${i}-${name}`, damage(data, luck)));
    }
    console.log(
      `\n${FILES} whole and ${FILES} damaged pictures, until each is answered, ms`,
    );
    for (const [what, of] of Object.entries(times))
      console.log(
        `${what.padEnd(10)} median ${within(of, 0.5).toFixed(0)}   p95 ${within(of, 0.95).toFixed(0)}   slowest ${within(of, 1).toFixed(0)}`,
      );
    console.log(
      `slowest damaged against slowest whole ${(within(times.damaged, 1) / within(times.whole, 1)).toFixed(2)} x`,
    );
  } finally {
    await server.kill();
    rmSync(home, { recursive: true, force: true });
  }
}
