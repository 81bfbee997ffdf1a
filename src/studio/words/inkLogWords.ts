import { plain } from './logDetail';
import type { Detail } from './logDetail';

const percent = (d: Detail) => `${Math.round(Number(d.share) * 100)} %`;

/** What the log book tells of printers and their inks. */
export const INK_VERBS: Record<string, (d: Detail) => string> = {
  'printer.new': (d) => `Printer ${plain(d, 'name')} added.`,
  'printer.edited': (d) =>
    `Printer ${plain(d, 'name')} changed: ${plain(d, 'fields') || 'nothing'}.`,
  'printer.removed': (d) => `Printer ${plain(d, 'name')} taken out of the drawer.`,
  'printerInk.new': (d) => `${plain(d, 'name')} added to ${plain(d, 'printer')}.`,
  'printerInk.edited': (d) =>
    `Ink ${plain(d, 'name')} changed: ${plain(d, 'fields') || 'nothing'}.`,
  'printerInk.removed': (d) => `Ink ${plain(d, 'name')} taken out of its printer.`,
  'ink.changed': (d) =>
    `${plain(d, 'ink')} put into ${plain(d, 'printer')} on ${plain(d, 'day')}, ${plain(d, 'ml')} ml${d.share ? `; ${percent(d)} was left in the old one` : ''}.`,
  'ink.gauge': (d) =>
    `The gauge of ${plain(d, 'ink')}, ${plain(d, 'printer')}, said ${percent(d)} on ${plain(d, 'day')}.`,
  'ink.cleaned': (d) =>
    `Heads of ${plain(d, 'printer')} cleaned on ${plain(d, 'day')}, counts as ${plain(d, 'times')}.`,
  'ink.bought': (d) =>
    `${plain(d, 'times')} of ${plain(d, 'ink')} for ${plain(d, 'printer')} bought on ${plain(d, 'day')}.`,
  'ink.undone': (d) =>
    `Taken back, ${plain(d, 'printer')}: what was noted of ${plain(d, 'ink') || 'a cleaning'} on ${plain(d, 'day')}.`,
};
