import { daysUntil } from '../days';
import type { BoughtKind } from '../paper';
import type { TodayFacts, TodayLine, TodayRules, Urgency } from './types';

/**
 * When something on the shelf is to be ordered; null where it is enough. Where the day is known by
 * which to order, it decides; else the count does, where a reorder point was set.
 */
function toOrder(
  {
    left,
    reorderPoint,
    orderBy,
  }: { left: number; reorderPoint: number; orderBy: string | null },
  today: string,
  { orderWithinDays }: TodayRules,
): { urgency: Urgency; orderIn: number | null } | null {
  const orderIn = orderBy === null ? null : daysUntil(orderBy, today);
  const low =
    orderIn === null || left <= 0 ? left <= reorderPoint : orderIn <= orderWithinDays;
  if (!low) return null;
  return { urgency: orderIn !== null && orderIn <= 0 ? 'due' : 'low', orderIn };
}

/** A paper that is low, or is to be ordered soon. */
function paperLine(
  paper: TodayFacts['papers'][number],
  today: string,
  rules: TodayRules,
): TodayLine[] {
  const { id, name, sheets, reorderPoint, discontinuedAt, orderBy = null } = paper;
  const discontinued = discontinuedAt !== null;
  // Of what is no longer made, an empty shelf is nothing to do any more.
  if (discontinued && sheets <= 0) return [];
  const shelf = { left: sheets, reorderPoint, orderBy: discontinued ? null : orderBy };
  const order = toOrder(shelf, today, rules);
  if (!order) return [];
  const line = { paperId: id, paper: name, sheets, reorderPoint, discontinued };
  return [{ what: 'paper', ...order, ...line }];
}

/** Packing material that is low, or is to be ordered soon; without a reorder point only by its day. */
function materialLine(
  { id, name, pieces, reorderPoint, orderBy = null }: TodayFacts['materials'][number],
  today: string,
  rules: TodayRules,
): TodayLine[] {
  if (reorderPoint === 0 && orderBy === null) return [];
  const order = toOrder({ left: pieces, reorderPoint, orderBy }, today, rules);
  if (!order) return [];
  return [
    { what: 'material', ...order, materialId: id, material: name, pieces, reorderPoint },
  ];
}

/** An ink that is to be bought soon, or whose gauge alone warns. */
function inkLine(
  { orderBy, printerId, printer, inkId, ink }: TodayFacts['inks'][number],
  today: string,
  { orderWithinDays }: TodayRules,
): TodayLine[] {
  const orderIn = orderBy === null ? null : daysUntil(orderBy, today);
  if (orderIn !== null && orderIn > orderWithinDays) return [];
  const urgency = orderIn !== null && orderIn <= 0 ? 'due' : 'low';
  return [{ what: 'ink', urgency, printerId, printer, inkId, ink, orderIn }];
}

/** What was to come before today. */
const overdueLine = (
  { name, supplier, comesOn }: TodayFacts['onItsWay'][number],
  today: string,
): TodayLine[] =>
  comesOn === null || comesOn >= today
    ? []
    : [
        {
          what: 'overdue',
          urgency: 'due',
          days: -daysUntil(comesOn, today),
          ...{ name, supplier },
        },
      ];

/** What of paper, ink and packing is low or to be ordered, but for what is on its way; and what of that is late. */
export function shelfLines(
  facts: Pick<TodayFacts, 'onItsWay' | 'papers' | 'inks' | 'materials'>,
  today: string,
  rules: TodayRules,
): TodayLine[] {
  const waits = (kind: BoughtKind, ref: number) =>
    facts.onItsWay.some((p) => p.kind === kind && p.ref === ref);
  const { onItsWay, papers, inks, materials } = facts;
  return [
    ...onItsWay.flatMap((p) => overdueLine(p, today)),
    ...papers
      .filter((p) => !waits('paper', p.id))
      .flatMap((p) => paperLine(p, today, rules)),
    ...inks.filter((i) => !waits('ink', i.inkId)).flatMap((i) => inkLine(i, today, rules)),
    ...materials
      .filter((m) => !waits('material', m.id))
      .flatMap((m) => materialLine(m, today, rules)),
  ];
}
