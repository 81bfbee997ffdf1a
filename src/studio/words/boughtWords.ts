import type { BoughtKind } from '@/core/paper';
import type { OnItsWay } from '@/data';

/** Where something that is bought is looked at, and its delivery noted. */
export const boughtHref = (
  kind: BoughtKind,
  ref: number,
  printerId: number | null,
): string =>
  ({
    paper: `/papers?paper=${ref}`,
    ink: printerId === null ? '/printers' : `/printers?printer=${printerId}&ink=${ref}`,
    material: `/materials?material=${ref}`,
  })[kind];

/** What was ordered and is not here yet, in a sentence. */
export function comingWords(
  { quantity, supplier, orderedOn, comesOn }: OnItsWay,
  today: string,
  day: (iso: string) => string,
): string {
  const of = supplier && ` of ${supplier}`;
  const when =
    comesOn === null
      ? 'when it comes was not said'
      : `${comesOn < today ? '▲ it was to come' : 'it is to come'} on ${day(comesOn)}`;
  return `On its way: ${quantity}, ordered${of} on ${day(orderedOn)}; ${when}.`;
}
