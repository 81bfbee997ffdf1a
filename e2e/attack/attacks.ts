import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { seedStudio } from '../support/seedStudio';
import { StudioServer } from '../support/studioServer';
import type { Attack, Targets } from './attack';
import { fileAttacks } from './fileAttacks';
import { gateAttacks } from './gateAttacks';
import { ledgerAttacks } from './ledgerAttacks';
import { raceAttacks } from './raceAttacks';
import { valueAttacks } from './valueAttacks';

/** All attacks; those that use up the tries of the gate come last. */
export const ATTACKS: readonly Attack[] = [
  ...valueAttacks,
  ...raceAttacks,
  ...ledgerAttacks,
  ...fileAttacks,
  ...gateAttacks.filter((a) => a.quick),
  ...gateAttacks.filter((a) => !a.quick).reverse(),
];

const PASSPHRASE = 'nine gulls on the weir';

/** Two studios to be attacked, each with a server of its own; and how to end them. */
export async function openTargets(
  folder: string,
  port: number,
): Promise<{ targets: Targets; end: () => Promise<void> }> {
  rmSync(folder, { recursive: true, force: true });
  const own = new StudioServer(join(folder, 'own'), port);
  const shared = new StudioServer(join(folder, 'shared'), port + 1, {
    GLASSINE_BIND: '127.0.0.2',
    GLASSINE_PASSPHRASE: PASSPHRASE,
  });
  for (const { home } of [own, shared])
    await seedStudio(home, { editionOf: 5, numbered: 1, orders: 1 });
  await own.start();
  await shared.start();
  return {
    targets: { own, shared, passphrase: PASSPHRASE },
    async end() {
      await Promise.all([own.kill(), shared.kill()]);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
