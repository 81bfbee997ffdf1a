import type { Station, WorkFacts } from '@/core/work';
import { nominalSize } from '@/core/size';
import type { LapsedReference } from '../reads/referenceOf';

const count = (n: number, one: string, many: string) =>
  n === 0 ? [] : [`${n} ${n === 1 ? one : many}`];

/** @example lapsedWords({ workId: 1, sizeKey: 'isoA-A3', why: 'the profile is another …' }) // 'no valid reference of A3: the profile …' */
export const lapsedWords = ({ sizeKey, why }: LapsedReference): string =>
  `no valid reference of ${nominalSize(sizeKey)?.label ?? sizeKey}: ${why}`;

/** Why a station needs attention, where it does. */
export function markReasons(
  f: WorkFacts,
  lapsed: readonly LapsedReference[],
): Partial<Record<Station, string>> {
  const why: Record<Station, string[]> = {
    capture: [
      ...(f.masterRead === 'failed' ? ['the master could not be read'] : []),
      ...(f.masterRead !== 'none' && f.untagged
        ? ['the master carries no colour profile']
        : []),
    ],
    size: [
      ...count(f.offeredFallingShort, 'size falls short', 'sizes fall short'),
      ...count(
        f.offeredReopened,
        'size was judged otherwise before',
        'sizes were judged otherwise before',
      ),
    ],
    prepare: count(f.printFilesFailed, 'file failed a check', 'files failed a check'),
    proof: [
      ...count(f.proofsOut, 'round is out', 'rounds are out'),
      ...lapsed.map(lapsedWords),
    ],
    edition: f.editions > 0 && f.numbersLeft === 0 ? ['no number is left'] : [],
    price: [],
    finish: [],
    pack: [
      ...count(f.ordersLate, 'order is late', 'orders are late'),
      ...count(f.ordersOpen - f.ordersLate, 'order is open', 'orders are open'),
    ],
  };
  return Object.fromEntries(
    Object.entries(why)
      .filter(([, said]) => said.length > 0)
      .map(([station, said]) => [station, said.join('; ')]),
  );
}
