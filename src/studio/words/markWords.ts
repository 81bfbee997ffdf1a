import { STATIONS, attentionOf } from '@/core/work';
import type { Attention, Station, WorkFacts } from '@/core/work';
import { nominalSize } from '@/core/size';
import type { LapsedReference } from '../reads/referenceOf';

const some = (one: string, many: string) => (n: number) => `${n} ${n === 1 ? one : many}`;

const WORDS: Record<Exclude<Attention, 'referencesLapsed'>, (n: number) => string> = {
  unread: () => 'the master could not be read',
  untagged: () => 'the master carries no colour profile',
  fallsShort: some('size falls short', 'sizes fall short'),
  reopened: some('size was judged otherwise before', 'sizes were judged otherwise before'),
  checksFailed: some('file failed a check', 'files failed a check'),
  proofsOut: some('round is out', 'rounds are out'),
  numbersGone: () => 'no number is left',
  ordersLate: some('order is late', 'orders are late'),
  ordersOpen: some('order is open', 'orders are open'),
};

/** @example lapsedWords({ workId: 1, sizeKey: 'isoA-A3', why: 'the profile is another …' }) // 'no valid reference of A3: the profile …' */
export const lapsedWords = ({ sizeKey, why }: LapsedReference): string =>
  `no valid reference of ${nominalSize(sizeKey)?.label ?? sizeKey}: ${why}`;

/** Why stations need attention, in words, those that do. */
export function markReasons(
  facts: WorkFacts,
  lapsed: readonly LapsedReference[],
): Partial<Record<Station, string>> {
  const attention = attentionOf(facts);
  return Object.fromEntries(
    STATIONS.filter((s) => attention[s].length > 0).map((s) => [
      s,
      attention[s]
        .flatMap(([what, n]) =>
          what === 'referencesLapsed' ? lapsed.map(lapsedWords) : [WORDS[what](n)],
        )
        .join('; '),
    ]),
  );
}
