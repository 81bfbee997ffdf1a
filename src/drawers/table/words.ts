import { nominalSize } from '@/core/size';
import type { TodayLine } from '@/core/today';

/** A line of the table in words: what, the figure, and where it is dealt with. */
export interface Said {
  what: string;
  figure: string;
  href: string;
  verb: string;
}

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

function whenDue(days: number): string {
  if (days < 0) return `${count(-days, 'day', 'days')} late`;
  if (days === 0) return 'leaves today';
  return days === 1 ? 'leaves tomorrow' : `leaves in ${days} days`;
}

/** Parts of sheets are said to a tenth. */
const sheetsOf = (n: number) => count(Number(n.toFixed(1)), 'sheet', 'sheets');

function whenToOrder(days: number): string {
  if (days < 0) return `to be ordered ${count(-days, 'day', 'days')} ago`;
  return days === 0 ? 'order today' : `order within ${count(days, 'day', 'days')}`;
}

/** Words one line of the table. */
export function sayLine(line: TodayLine): Said {
  switch (line.what) {
    case 'order':
      return {
        what: `Order ${line.order}, ${line.ordered}${line.more > 0 ? ` and ${line.more} more` : ''}, to ${line.customer}`,
        figure: whenDue(line.days),
        href: `/orders/${line.order}`,
        verb: 'Pack it',
      };
    case 'proof':
      return {
        what: `Proof round ${line.round} of ${line.work} on ${line.paper}`,
        figure: `out for ${count(line.days, 'day', 'days')}`,
        href: `/works/${line.workId}/proof?sheet=rounds`,
        verb: 'Say what was seen',
      };
    case 'material':
      return {
        what: line.material,
        figure: `${count(line.pieces, 'piece', 'pieces')} left, ${
          line.orderIn === null
            ? `order at ${line.reorderPoint}`
            : whenToOrder(line.orderIn)
        }`,
        href: `/materials?material=${line.materialId}`,
        verb: 'Reorder',
      };
    case 'voided':
      return {
        what: `Order ${line.order}: a booking with ${line.carrier} had no parcel when Glassine was started`,
        figure: 'voided',
        href: `/orders/${line.order}`,
        verb: 'Seal it again',
      };
    case 'paper':
      return {
        what: line.paper,
        figure: line.discontinued
          ? `discontinued, ${sheetsOf(line.sheets)} left`
          : `${sheetsOf(line.sheets)} left, ${
              line.orderIn === null
                ? `reorder at ${line.reorderPoint}`
                : whenToOrder(line.orderIn)
            }`,
        href: `/papers?paper=${line.paperId}`,
        verb: line.discontinued ? 'Replace it' : 'Order paper',
      };
    case 'ink':
      return {
        what: `${line.ink} of ${line.printer}`,
        figure: line.orderIn === null ? 'the gauge warns' : whenToOrder(line.orderIn),
        href: `/printers?printer=${line.printerId}&ink=${line.inkId}`,
        verb: line.orderIn === null ? 'See the ink' : 'Buy ink',
      };
    case 'overdue':
      return {
        what: `${line.name}, ordered${line.supplier && ` of ${line.supplier}`}`,
        figure: `was to come ${count(line.days, 'day', 'days')} ago`,
        href: '/purchases',
        verb: 'Ask for it',
      };
    case 'fetch':
      return {
        what: `${count(line.prints, 'print', 'prints')} at ${line.name}, ${line.number}`,
        figure:
          line.days < 0
            ? `to be fetched back ${count(-line.days, 'day', 'days')} ago`
            : line.days === 0
              ? 'fetch back today'
              : `fetch back in ${count(line.days, 'day', 'days')}`,
        href: `/consignments?of=${line.number}`,
        verb: 'Fetch it back',
      };
    case 'stepped':
      return {
        what: `${line.work}, ${nominalSize(line.sizeKey)?.label ?? line.sizeKey}: ${line.sold} of ${line.of} sold`,
        figure: `its price steps up by ${Math.round(100 * line.by)} %`,
        href: `/works/${line.workId}/price?sheet=ladder&size=${encodeURIComponent(line.sizeKey)}`,
        verb: 'Keep the ladder',
      };
    case 'edition':
      return {
        what: `${line.work}, edition ${line.size}`,
        figure:
          line.left === 0
            ? `closed, all ${line.of} numbered`
            : `${line.left} of ${line.of} left`,
        href: `/works/${line.workId}/edition`,
        verb: 'See the edition',
      };
    case 'reference':
      return {
        what: `${line.work}, ${nominalSize(line.sizeKey)?.label ?? line.sizeKey}: ${line.why}`,
        figure: 'no valid proof',
        href: `/works/${line.workId}/proof?sheet=rounds&size=${encodeURIComponent(line.sizeKey)}`,
        verb: 'Look at its rounds',
      };
    case 'untagged':
      return {
        what: `${line.work}: the master carries no colour profile`,
        figure: 'colour unknown',
        href: `/works/${line.workId}/capture`,
        verb: 'Say which it is',
      };
    case 'noMaster':
      return {
        what: `${line.work} has no master yet`,
        figure: 'not captured',
        href: `/works/${line.workId}/capture`,
        verb: 'Bring the file',
      };
    case 'noSizes':
      return {
        what: `${line.work}: no size is on offer`,
        figure: 'not for sale',
        href: `/works/${line.workId}/size`,
        verb: 'Choose sizes',
      };
    case 'clock':
      return {
        what: 'The clock of this machine is behind the last thing written down',
        figure: `that was ${line.last.slice(0, 16).replace('T', ' ')} UTC`,
        href: '/log?sheet=lines',
        verb: 'See the log book',
      };
    case 'calibration':
      return {
        what: 'The screen is to be calibrated again: proofs are judged beside it',
        figure: `${line.days} days ago`,
        href: '/proofs/light',
        verb: 'Screen and light',
      };
    case 'backup':
      return {
        what:
          line.days === null
            ? 'There is no backup of this studio'
            : 'The last backup is old, and much has happened since',
        figure: line.days === null ? 'none yet' : `${count(line.days, 'day', 'days')} old`,
        href: '/safekeeping',
        verb: 'Make one',
      };
    case 'fallsShort':
      return {
        what: `${line.work}, ${line.size}: on offer, but falls short`,
        figure: `${Math.round(line.ppi)}\u202fppi`,
        href: `/works/${line.workId}/size`,
        verb: 'Withdraw it',
      };
  }
}
