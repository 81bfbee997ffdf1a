import { costOfImpression } from '@/core/price';
import type { LadderItem } from '@/core/price';
import { sheetShareOf } from '@/core/paper';
import type { LadderAsked, LadderKnown, LadderSize, OtherPaper } from './ladderTypes';

/** What is added to the key of a size for a print of it that is framed, on another paper, or both. */
export const FRAMED = '|framed';
export const ON_OTHER = '|paper';
export const VARIANTS = ['', FRAMED, ON_OTHER, `${ON_OTHER}${FRAMED}`] as const;

/** The size that an item of the ladder is of, and how it is sold. */
export function variantOf(id: string): { key: string; paper: boolean; framed: boolean } {
  const framed = id.endsWith(FRAMED);
  const plain = framed ? id.slice(0, -FRAMED.length) : id;
  const paper = plain.endsWith(ON_OTHER);
  return { key: paper ? plain.slice(0, -ON_OTHER.length) : plain, paper, framed };
}

/** What the part of a sheet that a print takes costs. */
const sheetPart = ({ price, sheetWidth, sheetHeight }: OtherPaper, size: LadderSize) =>
  Math.round(price * sheetShareOf(size, { width: sheetWidth, height: sheetHeight }));

/** What one costs more on another paper, with what is spoiled of it; 0 where one of them is not known. */
function paperMore(asked: LadderAsked, size: LadderSize, known: LadderKnown): number {
  const other = known.papers.find((p) => p.name === asked.otherPaper);
  if (!other || !known.paper) return 0;
  const cost = (paper: number) =>
    costOfImpression({ ...size.values, paper: paper as never }).total;
  return cost(sheetPart(other, size)) - cost(sheetPart(known.paper, size));
}

/**
 * A size as it is sold beside the plain print: framed where Finish says what that costs, on another
 * paper where one was chosen, and both.
 */
export function variantsOf(
  asked: LadderAsked,
  size: LadderSize,
  item: LadderItem,
  known: LadderKnown,
): LadderItem[] {
  const framing = size.framing;
  const more = asked.otherPaper === '' ? null : paperMore(asked, size, known);
  const byHand = (times: number, framed: number) =>
    item.byHand === null
      ? null
      : item.byHand * times +
        (framed > 0 ? asked.framedMore + asked.framedTimes * framed : 0);
  const framed = (of: LadderItem, times: number): LadderItem[] =>
    framing === null
      ? []
      : [
          {
            ...of,
            id: `${of.id}${FRAMED}`,
            framed: true,
            framing,
            cost: of.cost + framing,
            byHand: byHand(times, framing),
          },
        ];
  const onOther: LadderItem[] =
    more === null
      ? []
      : [
          {
            ...item,
            id: `${item.id}${ON_OTHER}`,
            paper: asked.otherPaper,
            cost: item.cost + more,
            byHand: byHand(asked.otherTimes, 0),
          },
        ];
  return [
    ...framed(item, 1),
    ...onOther,
    ...onOther.flatMap((o) => framed(o, asked.otherTimes)),
  ];
}
