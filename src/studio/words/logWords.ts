import { impressionLabel } from '@/core/edition';
import type { Declaration } from '@/core/edition';
import { RGB_SPACES } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import { KERNELS } from '@/core/image';
import type { KernelId } from '@/core/image';
import { nominalSize } from '@/core/size';
import { formatAmount, formatDay } from '@/core/units';
import type { Minor } from '@/core/units';
import type { LogLine } from '@/data';

/** What a line of the log book needs to be said. */
export interface LogContext {
  works: ReadonlyMap<number, string>;
  papers: ReadonlyMap<number, string>;
  declarations: ReadonlyMap<number, Pick<Declaration, 'kind' | 'size' | 'artistsProofs'>>;
  currency: string;
  locale: string;
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

type Detail = LogLine['detail'];
const spaceOf = (id: string) =>
  id.startsWith('icc:') ? 'a printer’s profile' : (RGB_SPACES[id as SpaceId]?.name ?? id);
const kernelOf = (id: string) => KERNELS[id as KernelId]?.name ?? id;
const plain = (d: Detail, key: string) =>
  d[key] === null || d[key] === undefined ? '' : String(d[key]);

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

const VERBS: Record<string, (d: Detail, c: LogContext) => string> = {
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
  'profile.taken': (d) => `Profile ${plain(d, 'name')} taken, ${plain(d, 'space')}.`,
  'sheet.resolution': (d) =>
    `Proof sheet ${plain(d, 'name')} written: ${plain(d, 'pieces')} pieces of ${plain(d, 'sizes')}.`,
  'sheet.settings': (d) =>
    `Settings sheet ${plain(d, 'name')} written: ${plain(d, 'pieces')} cells.`,
  'route.kept': (d) => `What ${plain(d, 'name')} asks for was kept.`,
  'errand.handedOver': (d) =>
    `${plain(d, 'number')} handed over to ${plain(d, 'to')}: ${plain(d, 'files')} ${Number(d.files) === 1 ? 'file' : 'files'}.`,
  'errand.answered': (d) =>
    `${plain(d, 'number')}, the lab says ${plain(d, 'stage')}: ${plain(d, 'accepted')} accepted, ${plain(d, 'refused')} refused.`,
  'print.judged': (d) =>
    `Of ${plain(d, 'what')}: ${[plain(d, 'said'), plain(d, 'remarks')].filter(Boolean).join('; ') || 'a photograph'}.`,
  'printFile.written': (d) =>
    `Print file ${plain(d, 'name')}: ${plain(d, 'factor')} ×, ${kernelOf(plain(d, 'kernel'))}, sharpened ${plain(d, 'sharpen')}, ${spaceOf(plain(d, 'space'))}, ${plain(d, 'intent')}${Number(d.failedChecks) > 0 ? `; ${plain(d, 'failedChecks')} checks failed` : '; all checks passed'}.`,
  'paper.new': (d) => `Paper ${plain(d, 'paper')} added.`,
  'stock.received': (d) => `${plain(d, 'pieces')} received: ${plain(d, 'reason')}.`,
  'stock.used': (d) => `${Math.abs(Number(d.pieces))} used: ${plain(d, 'reason')}.`,
  'proof.sent': (d, c) =>
    `Proof round ${plain(d, 'round')} sent, ${c.papers.get(Number(d.paperId)) ?? 'paper'}, ${plain(d, 'route')}.`,
  'proof.approved': (d) => `Proof round ${plain(d, 'round')} approved: ${plain(d, 'seen')}`,
  'proof.changeAndRepeat': (d) =>
    `Proof round ${plain(d, 'round')}, to change: ${plain(d, 'toChange')}`,
  'proof.abandoned': (d) =>
    `Proof round ${plain(d, 'round')} abandoned: ${plain(d, 'seen')}`,
  'edition.declared': (d) =>
    d.kind === 'open'
      ? 'Declared an open edition.'
      : `Declared an edition of ${plain(d, 'size')} and ${plain(d, 'artistsProofs')} artist’s proofs.`,
  'edition.assigned': (d) =>
    Number(d.printing) > 1
      ? `Numbered again, printing ${plain(d, 'printing')}.`
      : 'Numbered.',
  'edition.spoiled': (d) => `Spoiled and destroyed: ${plain(d, 'reason')}.`,
  'edition.ordered': (d) => `Reserved for order ${plain(d, 'order')}.`,
  'edition.shipped': (d) => `Sold with order ${plain(d, 'order')}.`,
  'price.set': (d, c) =>
    `Price ${formatAmount(Number(d.price) as Minor, c.currency, c.locale)} ${c.currency}, net ${formatAmount(Number(d.net) as Minor, c.currency, c.locale)}, ${plain(d, 'channel')}.`,
  'finish.planned': () => 'Mat and frame planned.',
  'order.taken': (d, c) =>
    `Order ${plain(d, 'order')} from ${plain(d, 'customer')}, leaves by ${formatDay(plain(d, 'dueOn'), c.locale)}.`,
  'order.weighed': (d) => `Order ${plain(d, 'order')} weighed: ${plain(d, 'grams')} g.`,
  'order.labelled': (d) =>
    `Order ${plain(d, 'order')} sealed: ${plain(d, 'carrier')}, ${plain(d, 'service')}, ${plain(d, 'tracking')}.`,
  'order.shipped': (d) =>
    `Order ${plain(d, 'order')} handed over, ${plain(d, 'tracking')}.`,
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
