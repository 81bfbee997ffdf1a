import type { GaugeVerdict, GaugeWarning, InkLasts, InkRole } from '@/core/ink';
import { daysUntil } from '@/core/days';

export const PRINTER_GONE =
  'This printer was taken out of the drawer meanwhile. What you typed is still here.';
export const INK_GONE =
  'Ink: it is not in this printer any more. Choose one that is, or name it anew.';

export const ROLE_WORDS: Record<InkRole, string> = {
  cyan: 'Cyan',
  lightCyan: 'Light cyan',
  magenta: 'Magenta',
  lightMagenta: 'Light magenta',
  yellow: 'Yellow',
  black: 'Black',
  grey: 'Grey',
  lightGrey: 'Light grey',
  red: 'Red',
  orange: 'Orange',
  green: 'Green',
  blue: 'Blue',
  violet: 'Violet',
  clear: 'Clear coat',
  wasteBox: 'Waste box',
};

export const SET_WORDS: Record<string, string> = {
  none: 'none yet',
  four: 'four inks',
  eight: 'eight inks',
  ten: 'ten inks',
};

export const TAKES_WORDS: Record<string, string> = {
  sheets: 'sheets',
  rolls: 'rolls',
  both: 'sheets and rolls',
};

export const PAPERS_WORDS: Record<string, string> = {
  all: 'all papers',
  matte: 'matte papers',
  glossy: 'glossy papers',
};

interface Format {
  number: (n: number, digits?: number) => string;
  percent: (share: number) => string;
  day: (iso: string) => string;
}

const MONTH = 365.25 / 12;
/** As far as a forecast goes. */
const FAR_DAYS = 3600;

/** Days as weeks or months; of very many, that they are. */
export function spanWords(days: number, { number }: Pick<Format, 'number'>): string {
  if (days >= FAR_DAYS) return 'over 9 years';
  const weeks = days / 7;
  if (weeks < 1.5) return `${Math.max(0, Math.round(days))} days`;
  if (weeks < 9) return `${number(weeks, weeks < 4 ? 1 : 0)} weeks`;
  const months = days / MONTH;
  return `${number(months, months < 10 ? 1 : 0)} months`;
}

/** How long an ink lasts, with its band. */
export function lastsWords(lasts: InkLasts, today: string, format: Format): string {
  const [early, likely, late] = [lasts.early, lasts.likely, lasts.late].map((d) =>
    spanWords(daysUntil(d, today), format),
  );
  return `${likely} (${early} to ${late})`;
}

/** What the gauge says beside what is reckoned, which of them to trust, and why. */
export function verdictWords(
  verdict: GaugeVerdict,
  format: Format,
  cartridges: number,
): string {
  const { said, reckoned, band, gaugeOff, reckoningOff } = verdict;
  const p = format.percent;
  const both = `The gauge said ${p(said)} on ${format.day(verdict.at)}; ${p(reckoned)} ± ${p(band)} are reckoned.`;
  if (verdict.verdict === 'agree') return `${both} They agree.`;
  if (gaugeOff === null)
    return `${both} Which is right cannot be told yet: ${
      cartridges === 0
        ? 'no cartridge was used up so far'
        : 'the gauge was not read while one was used up'
    }.`;
  if (verdict.verdict === 'cannotTell') return `${both} Which is right cannot be told yet.`;
  const trusted = verdict.verdict === 'trustGauge' ? 'gauge' : 'reckoning';
  return `${both} Trust the ${trusted}: over cartridges that were used up the gauge was ${p(gaugeOff)} off, and what is reckoned is sure to ${p(reckoningOff)}.`;
}

/** What happened after the gauge warned. */
export function warningWords(w: GaugeWarning, format: Format): string {
  const span =
    w.weeks < 1
      ? `${Math.round(w.weeks * 7)} more days`
      : `${format.number(w.weeks)} more ${Math.round(w.weeks) === 1 ? 'week' : 'weeks'}`;
  const said = `It said ${format.percent(w.share)} on ${format.day(w.at)}; the cartridge`;
  return w.wasLeft > 0
    ? `${said} was taken out ${span.replace('more ', '')} later with ${format.percent(w.wasLeft)} in it.`
    : `${said} lasted ${span}.`;
}

/** By when to buy, in a word or two. */
export function buyWords(
  ink: { orderBy: string | null; lasts: InkLasts | null; coming?: unknown },
  deliveryDays: number | null,
  today: string,
  format: Format,
): string {
  if (ink.coming) return 'on its way';
  if (ink.lasts === null) return 'not known yet';
  if (deliveryDays === null || ink.orderBy === null) return 'say how long a delivery takes';
  if (ink.orderBy <= today) return 'now';
  return daysUntil(ink.orderBy, today) > 730 ? 'not for years' : format.day(ink.orderBy);
}

/** Which rolls go on its holder, by their cores; empty where nobody said. */
export function coresWords(
  { coreFrom, coreTo }: { coreFrom: number | null; coreTo: number | null },
  length: (mm: number) => string,
): string {
  const [least, most] = [coreFrom ?? coreTo, coreTo ?? coreFrom];
  if (least === null || most === null) return '';
  return least === most
    ? `, cores of ${length(least)}`
    : `, cores of ${length(least)} to ${length(most)}`;
}
