import { impressionLabel } from '@/core/edition';
import type { Declaration } from '@/core/edition';
import { RGB_SPACES } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import { KERNELS } from '@/core/image';
import type { KernelId } from '@/core/image';
import { nominalSize } from '@/core/size';
import { formatDay, formatMoney, minor } from '@/core/units';
import type { Minor } from '@/core/units';
import type { LogLine } from '@/data';
import { INK_VERBS } from './inkLogWords';
import type { ExpenseKind } from '@/core/price';
import { expenseWords } from './expenseWords';
import { LADDER_WORDS } from './ladderWords';
import { plain } from './logDetail';
import type { Detail } from './logDetail';
import { lotAmount as amountWords } from './lotWords';

/** What a line of the log book needs to be said. */
export interface LogContext {
  works: ReadonlyMap<number, string>;
  papers: ReadonlyMap<number, string>;
  declarations: ReadonlyMap<number, Pick<Declaration, 'kind' | 'size' | 'artistsProofs'>>;
  currency: string;
  locale: string;
  timeZone: string;
}

export interface SaidLine {
  id: number;
  at: string;
  work: string;
  workId: number | null;
  /** The pencilled number, where the line is about one impression. */
  impression: string | null;
  size: string;
  text: string;
}

const spaceOf = (id: string) =>
  id.startsWith('icc:') ? 'a printer’s profile' : (RGB_SPACES[id as SpaceId]?.name ?? id);
const kernelOf = (id: string) => KERNELS[id as KernelId]?.name ?? id;
/** How much of which lot. */
const lotAmount = (d: Detail) =>
  `${amountWords(plain(d, 'kind'), Number(d.amount))} of ${plain(d, 'paper')}, lot ${plain(d, 'lot')},`;

const SPECK_WORDS: Record<string, string> = {
  mended: 'mended',
  partOfPicture: 'belongs to the picture',
  ignored: 'let be',
};
const SIGNATURE_WORDS: Record<string, string> = {
  inPicture: 'in the picture',
  removed: 'removed from the master',
  absent: 'never in the picture',
};

const LINES: Record<string, string> = {
  impression: 'a numbered impression',
  artistsProof: 'an artist’s proof',
  openPrint: 'an unnumbered print',
  goods: 'goods',
};
const RETURNS: Record<string, string> = {
  whole: 'came back whole',
  damaged: 'came back damaged',
  lost: 'lost on its way',
};
const VOIDED: Record<string, string> = {
  notWritten: 'the parcel was not written down',
  stopped: 'found without its parcel when Glassine was started',
  opened: 'the parcel was opened again, or its order cancelled',
};

/** An amount in the currency that it was kept in; lines of before do not say it. */
const moneyOf = (d: Detail, key: string, c: LogContext): string =>
  formatMoney(Number(d[key]) as Minor, plain(d, 'currency') || c.currency, c.locale);

const paidFor = (d: Detail): string =>
  expenseWords(plain(d, 'kind') as ExpenseKind, plain(d, 'channel'));

const ofParcel = (d: Detail) =>
  plain(d, 'parcel') ? `, parcel ${plain(d, 'parcel')}` : '';

const VERBS: Record<string, (d: Detail, c: LogContext) => string> = {
  ...INK_VERBS,
  'work.new': () => 'Taken into the drawer.',
  'work.edited': (d) => `Changed: ${plain(d, 'fields') || 'nothing'}.`,
  'work.removed': (d) => `Work “${plain(d, 'name')}” taken out of the drawer.`,
  'paper.edited': (d) =>
    `Paper ${plain(d, 'name')} changed: ${plain(d, 'fields') || 'nothing'}.`,
  'paper.removed': (d) => `Paper ${plain(d, 'name')} taken out of the drawer.`,
  undone: (d) => `Taken back: ${plain(d, 'what')}.`,
  'master.taken': (d) =>
    `Master ${plain(d, 'name')}, ${plain(d, 'pixels')} px, ${plain(d, 'space') || 'untagged'}.`,
  'master.space': (d) =>
    `Colour space of the untagged master: ${spaceOf(plain(d, 'space'))}.`,
  'master.derived': (d) => `Picture derived from the master: ${plain(d, 'pixels')} px.`,
  'master.inspected': (d) =>
    `Master read: detail ${plain(d, 'detail') ? Number(d.detail).toFixed(2) : 'not to be told'}, ${plain(d, 'specks')} specks.`,
  'speck.judged': (d) =>
    `Speck at ${plain(d, 'x')}, ${plain(d, 'y')} px: ${SPECK_WORDS[plain(d, 'verdict')] ?? 'to look at again'}.`,
  'signature.noted': (d) => `Signature: ${SIGNATURE_WORDS[plain(d, 'present')] ?? ''}.`,
  'board.taken': (d) => `Board shot ${plain(d, 'name')} taken in.`,
  'device.new': (d) => `Device ${plain(d, 'name')} added.`,
  'device.edited': (d) =>
    `Device ${plain(d, 'name')} changed: ${plain(d, 'fields') || 'nothing'}.`,
  'device.removed': (d) => `Device ${plain(d, 'name')} taken off the list.`,
  'size.offered': (d) => `Offered, border ${plain(d, 'borderMm')} mm.`,
  'crop.kept': (d) =>
    `Crop to ${plain(d, 'ratio')} kept: middle at ${plain(d, 'across')} % across, ${plain(d, 'down')} % down, ${plain(d, 'zoom')} % of the largest.`,
  'crop.dropped': (d) => `Crop to ${plain(d, 'ratio')} given up: the middle again.`,
  'area.kept': () => 'Part of the picture marked that no crop may lose.',
  'area.freed': () => 'Nothing is marked any more that no crop may lose.',
  'size.withdrawn': (d) => `Withdrawn: ${plain(d, 'reason')}.`,
  'screenCopy.written': (d) => `Screen copy ${plain(d, 'name')} written.`,
  'recipe.kept': (d) => `Recipe ${plain(d, 'name')} kept, version ${plain(d, 'version')}.`,
  'profile.used': (d) =>
    `Paper ${plain(d, 'paper')} is printed through profile ${plain(d, 'profile')}${plain(d, 'printer') && ` by ${plain(d, 'printer')}`}${plain(d, 'setting') && `, setting ${plain(d, 'setting')}`}.`,
  'profile.left': (d) =>
    `Paper ${plain(d, 'paper')} has no profile any more${plain(d, 'printer') && ` for ${plain(d, 'printer')}`}.`,
  'profile.taken': (d) => `Profile ${plain(d, 'name')} taken, ${plain(d, 'space')}.`,
  'sheet.resolution': (d) =>
    `Proof sheet ${plain(d, 'name')} written: ${plain(d, 'pieces')} pieces of ${plain(d, 'sizes')}.`,
  'sheet.gang': (d) =>
    `Sheet of prints ${plain(d, 'name')} written: ${plain(d, 'pieces')} pieces of ${plain(d, 'sizes')}.`,
  'sheet.settings': (d) =>
    `Settings sheet ${plain(d, 'name')} written: ${plain(d, 'pieces')} cells.`,
  'priceList.kept': (d) =>
    `Price list of ${plain(d, 'name')}, from ${plain(d, 'from')} on.`,
  'ladder.kept': (d) =>
    `Prices of all sizes kept, by ${LADDER_WORDS[plain(d, 'by')] ?? plain(d, 'by')}.`,
  'channel.kept': (d) => `What the channel ${plain(d, 'channel')} asks was kept.`,
  'expense.paid': (d, c) =>
    `Paid ${moneyOf(d, 'amount', c)} for ${paidFor(d)}, ${plain(d, 'onDay')}${plain(d, 'note') ? `: ${plain(d, 'note')}` : ''}.`,
  'expense.takenBack': (d, c) =>
    `Taken back: ${moneyOf(d, 'amount', c)} for ${paidFor(d)}, ${plain(d, 'onDay')}.`,
  'consignment.out': (d, c) =>
    `Out on consignment ${plain(d, 'number')} to ${plain(d, 'to')}, at ${moneyOf(d, 'price', c)}, until ${plain(d, 'fetchOn')}.`,
  'consignment.sold': (d) =>
    `Sold at ${plain(d, 'to')}, on consignment ${plain(d, 'number')}.`,
  'consignment.fetched': (d) =>
    `Fetched back from ${plain(d, 'to')}, ${plain(d, 'number')}.`,
  'errand.came': (d, c) =>
    `${plain(d, 'number')} came ${plain(d, 'onDay')}: ${moneyOf(d, 'cost', c)}, ${plain(d, 'faulty')} faulty.`,
  'route.kept': (d) => `What ${plain(d, 'name')} asks for was kept.`,
  'errand.handedOver': (d) =>
    `${plain(d, 'number')} handed over to ${plain(d, 'to')}: ${plain(d, 'files')} ${Number(d.files) === 1 ? 'file' : 'files'}.`,
  'errand.answered': (d) =>
    `${plain(d, 'number')}, the lab says ${plain(d, 'stage')}: ${plain(d, 'accepted')} accepted, ${plain(d, 'refused')} refused.`,
  'print.judged': (d) =>
    `Of ${plain(d, 'what')}: ${[plain(d, 'said'), plain(d, 'remarks')].filter(Boolean).join('; ') || 'a photograph'}.`,
  'printFile.written': (d) =>
    `Print file ${plain(d, 'name')}: ${plain(d, 'factor')} ×, ${kernelOf(plain(d, 'kernel'))}, sharpened ${plain(d, 'sharpen')}, ${spaceOf(plain(d, 'space'))}, ${plain(d, 'intent')}${Number(d.failedChecks) > 0 ? `; ${plain(d, 'failedChecks')} checks failed` : '; all checks passed'}.`,
  'paper.heard': (d) => `Heard of ${plain(d, 'paper')}, ${plain(d, 'day')}.`,
  'paper.asked': (d) => `A sample of ${plain(d, 'paper')} asked for, ${plain(d, 'day')}.`,
  'paper.tried': (d) =>
    `${plain(d, 'paper')} tried on ${plain(d, 'day')}${plain(d, 'triedFor') && ` for ${plain(d, 'triedFor')}`}.`,
  'paper.swatch': (d) => `A swatch of ${plain(d, 'paper')} photographed.`,
  'paper.new': (d) => `Paper ${plain(d, 'paper')} added.`,
  'format.priced': (d, c) =>
    `${plain(d, 'paper')} costs ${d.kind === 'roll' ? 'by the roll' : 'by the sheet'} of ${plain(d, 'width')} × ${plain(d, 'height')} mm ${formatMoney(minor(Number(d.price)), plain(d, 'currency'), c.locale)}, ${plain(d, 'day')}.`,
  'purchase.ordered': (d) =>
    `Ordered: ${plain(d, 'quantity')} × ${plain(d, 'name')}${plain(d, 'supplier') && `, of ${plain(d, 'supplier')}`}.`,
  'purchase.ended': (d) => `Does not come: ${plain(d, 'quantity')} × ${plain(d, 'name')}.`,
  'format.gone': (d) =>
    `${plain(d, 'paper')} is no longer sold as ${d.kind === 'roll' ? 'a roll' : 'sheets'} of ${plain(d, 'width')} × ${plain(d, 'height')} mm, ${plain(d, 'day')}.`,
  'lot.received': (d) =>
    `${d.kind === 'roll' ? 'A roll' : `${plain(d, 'pieces')} sheets`} of ${plain(d, 'paper')} came in: lot ${plain(d, 'lot')}.`,
  'lot.print': (d) => `${lotAmount(d)} taken for ${plain(d, 'reason')}.`,
  'lot.test': (d) => `${lotAmount(d)} taken for a test: ${plain(d, 'reason')}.`,
  'lot.spoiled': (d) => `${lotAmount(d)} spoiled: ${plain(d, 'reason')}.`,
  'lot.leftOver': (d) => `${lotAmount(d)} kept or taken back: ${plain(d, 'reason')}.`,
  'sheetPlan.begun': (d) => `A plan of sheets of ${plain(d, 'paper')} begun.`,
  'sheetPlan.printed': (d) =>
    `A sheet of plan ${plain(d, 'plan')} printed, ${plain(d, 'pieces')} pieces, lot ${plain(d, 'lot')}.`,
  'sheetPlan.undone': (d) =>
    `A sheet of plan ${plain(d, 'plan')} taken back: ${plain(d, 'reason')}.`,
  'print.spoiled': (d) =>
    `A print without a number spoiled: ${plain(d, 'reason')}; ${plain(d, 'paper')}, lot ${plain(d, 'lot')}.`,
  'lot.other': (d) => `${lotAmount(d)} taken: ${plain(d, 'reason')}.`,
  'lot.counted': (d) => {
    const off = Number(d.amount);
    const by = amountWords(plain(d, 'kind'), Math.abs(off));
    const said = off === 0 ? 'as it should be' : `${by} ${off > 0 ? 'fewer' : 'more'}`;
    return `${plain(d, 'paper')}, lot ${plain(d, 'lot')}, counted: ${said} (${plain(d, 'reason')}).`;
  },
  'lot.back': (d) =>
    `${lotAmount({ ...d, amount: -Number(d.amount) })} put back: ${plain(d, 'reason')}.`,
  'lot.notTaken': (d) =>
    `No lot of ${plain(d, 'paper')} ${d.why === 'tooLarge' ? 'is as large as' : 'has enough left for'} ${plain(d, 'print')}: nothing was taken.`,
  'stock.received': (d) => `${plain(d, 'pieces')} received: ${plain(d, 'reason')}.`,
  'stock.used': (d) => `${Math.abs(Number(d.pieces))} used: ${plain(d, 'reason')}.`,
  'proof.sent': (d, c) =>
    `Proof round ${plain(d, 'round')} sent, ${c.papers.get(Number(d.paperId)) ?? 'paper'}, ${plain(d, 'route')}.`,
  'proof.approved': (d) => `Proof round ${plain(d, 'round')} approved: ${plain(d, 'seen')}`,
  'proof.changeAndRepeat': (d) =>
    `Proof round ${plain(d, 'round')}, to change: ${plain(d, 'toChange')}`,
  'proof.read': (d) =>
    `Proof round ${plain(d, 'round')} measured: ${plain(d, 'patches')} patches, ${plain(d, 'source')}.`,
  'proof.photographed': (d) =>
    `A photograph of proof round ${plain(d, 'round')} on ${plain(d, 'paper')}: ${plain(d, 'name')}.`,
  'proof.placed': (d) =>
    `Proof round ${plain(d, 'round')} placed by hand in ${plain(d, 'name')}.`,
  'proof.agreed': (d) =>
    `The customer agreed with proof round ${plain(d, 'round')}${plain(d, 'said') && `: ${plain(d, 'said')}`}.`,
  'proof.notAgreed': (d) =>
    `The customer did not agree with proof round ${plain(d, 'round')}${plain(d, 'said') && `: ${plain(d, 'said')}`}.`,
  'light.kept': (d) =>
    `Screen and light for judging proofs: ${plain(d, 'lux')} lx${plain(d, 'luminance') && `, the screen ${plain(d, 'luminance')} cd/m²`}${plain(d, 'calibratedOn') && `, calibrated on ${plain(d, 'calibratedOn')}`}.`,
  'reference.overruled': (d) =>
    `${plain(d, 'did')} without a valid reference (${plain(d, 'why')}): ${plain(d, 'reason')}.`,
  'proof.abandoned': (d) =>
    `Proof round ${plain(d, 'round')} abandoned: ${plain(d, 'seen')}`,
  'edition.declared': (d) =>
    d.kind === 'open'
      ? 'Declared an open edition.'
      : `Declared an edition of ${plain(d, 'size')} and ${plain(d, 'artistsProofs')} artist’s proofs.`,
  'edition.attested': (d) =>
    `Attested: the edition is of “${plain(d, 'title')}” by ${plain(d, 'artist')}.`,
  'edition.assigned': (d) =>
    Number(d.printing) > 1
      ? `Numbered again, printing ${plain(d, 'printing')}.`
      : 'Numbered.',
  'edition.spoiled': (d) => `Spoiled and destroyed: ${plain(d, 'reason')}.`,
  'edition.ordered': (d) => `Reserved for order ${plain(d, 'order')}.`,
  'edition.shipped': (d) => `Sold with order ${plain(d, 'order')}.`,
  'price.set': (d, c) =>
    `Price ${moneyOf(d, 'price', c)}, net ${moneyOf(d, 'net', c)}, ${plain(d, 'channel')}.`,
  'finish.planned': () => 'Mat and frame planned.',
  'edition.released': (d) => `Free again: order ${plain(d, 'order')} gave it back.`,
  'edition.returned': (d) =>
    d.condition === 'damaged'
      ? `Came back damaged from order ${plain(d, 'order')}: here, not for sale.`
      : `Came back whole from order ${plain(d, 'order')}: here, and free.`,
  'edition.lost': (d) => `Lost on its way, order ${plain(d, 'order')}.`,
  'order.taken': (d, c) =>
    `Order ${plain(d, 'order')} from ${plain(d, 'customer')}, leaves by ${formatDay(plain(d, 'dueOn'), c.locale, c.timeZone)}.`,
  'order.line': (d, c) =>
    `Order ${plain(d, 'order')}: ${LINES[plain(d, 'kind')] ?? 'a line'}${plain(d, 'name') ? `, ${plain(d, 'name')}` : ''}, ${moneyOf(d, 'price', c)}.`,
  'order.removed': (d) => `Order ${plain(d, 'order')}: a line taken out.`,
  'order.repriced': (d, c) =>
    `Order ${plain(d, 'order')}: price ${moneyOf(d, 'price', c)}, before ${moneyOf(d, 'before', c)}.`,
  'order.addressed': (d) =>
    `Order ${plain(d, 'order')} goes to ${plain(d, 'name')}, ${plain(d, 'town')}.`,
  'order.noted': (d) => `Order ${plain(d, 'order')}: wish and note changed.`,
  'order.cancelled': (d) => `Order ${plain(d, 'order')} cancelled: ${plain(d, 'reason')}.`,
  'order.weighed': (d) =>
    `Order ${plain(d, 'order')} weighed${ofParcel(d)}: ${plain(d, 'grams')} g.`,
  'order.sealed': (d) =>
    d.way === 'inHand'
      ? `Order ${plain(d, 'order')} made ready${ofParcel(d)} to be given in hand.`
      : `Order ${plain(d, 'order')} sealed${ofParcel(d)}: ${plain(d, 'carrier')}, ${plain(d, 'service')}, ${plain(d, 'tracking')}.`,
  'order.opened': (d) => `Order ${plain(d, 'order')} opened again${ofParcel(d)}.`,
  'order.shipped': (d) =>
    d.way === 'inHand'
      ? `Order ${plain(d, 'order')} given in hand${ofParcel(d)}.`
      : `Order ${plain(d, 'order')} shipped${ofParcel(d)}, ${plain(d, 'tracking')}.`,
  'order.returned': (d, c) =>
    `Order ${plain(d, 'order')}: ${RETURNS[plain(d, 'how')] ?? 'came back'}, ${moneyOf(d, 'refund', c)} paid back.`,
  // As it was said before parcels were written down.
  'order.labelled': (d) =>
    `Order ${plain(d, 'order')} sealed: ${plain(d, 'carrier')}, ${plain(d, 'service')}, ${plain(d, 'tracking')}.`,
  'booking.voided': (d) =>
    `Booking with ${plain(d, 'carrier')} for order ${plain(d, 'order')} voided: ${VOIDED[plain(d, 'why')] ?? ''}.`,
  'customer.merged': (d) =>
    `Customer ${plain(d, 'name')}, ${plain(d, 'town')}, is ${plain(d, 'into')}, ${plain(d, 'intoTown')}.`,
  'customer.edited': (d) => `Customer ${plain(d, 'name')} changed.`,
  'material.new': (d) => `Packing material ${plain(d, 'name')} added.`,
  'material.edited': (d) =>
    `Packing material ${plain(d, 'name')} changed: ${plain(d, 'fields') || 'nothing'}.`,
  'material.removed': (d) =>
    `Packing material ${plain(d, 'name')} taken out of the drawer.`,
};

/** Words one line of the log book. */
export function sayLogLine(line: LogLine, context: LogContext): SaidLine {
  const declaration = line.editionId ? context.declarations.get(line.editionId) : undefined;
  return {
    id: line.id,
    at: line.at,
    workId: line.workId,
    work: (line.workId && context.works.get(line.workId)) || '',
    size: line.sizeKey ? (nominalSize(line.sizeKey)?.label ?? 'all sizes') : '',
    impression:
      declaration && line.series && line.impression
        ? impressionLabel(declaration, line.series, line.impression)
        : null,
    text: VERBS[line.what]?.(line.detail, context) ?? line.what,
  };
}
