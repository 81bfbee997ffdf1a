import { STATIONS } from '@/core/work';
import type { Station } from '@/core/work';

/** A place of the house, or something that can be done from anywhere. */
export interface Place {
  name: string;
  about: string;
  href: string;
  /** The single key that leads there. */
  key?: string;
}

/** The drawers and what lies beside them, in the order of the chest. */
export const PLACES: readonly Place[] = [
  { name: 'Table', about: 'what is due today', href: '/', key: 't' },
  { name: 'Works', about: 'drawer', href: '/works', key: 'w' },
  { name: 'Papers', about: 'drawer', href: '/papers', key: 'p' },
  { name: 'Printers', about: 'drawer, their inks in it', href: '/printers' },
  { name: 'Packing', about: 'drawer', href: '/materials' },
  { name: 'Proofs', about: 'drawer', href: '/proofs', key: 'r' },
  { name: 'Editions', about: 'drawer', href: '/editions', key: 'e' },
  { name: 'Orders', about: 'drawer', href: '/orders', key: 'o' },
  { name: 'Customers', about: 'in the orders drawer', href: '/orders/customers' },
  { name: 'Accounts', about: 'drawer', href: '/accounts', key: 'a' },
  { name: 'Log book', about: 'drawer', href: '/log', key: 'l' },
  { name: 'Your data and its backups', about: 'place', href: '/safekeeping', key: 'd' },
  { name: 'Bench settings', about: 'place', href: '/settings', key: 's' },
  {
    name: 'What can be taken back',
    about: 'in the log book',
    href: '/log?sheet=back',
    key: 'y',
  },
  { name: 'Help', about: 'every chapter', href: '/help/first-day' },
  { name: 'Glossary', about: 'in the help', href: '/help/glossary' },
  { name: 'New work', about: 'form', href: '/works/new' },
  { name: 'New order', about: 'form', href: '/orders?new=1' },
  { name: 'To be ordered', about: 'paper, ink, packing, by supplier', href: '/purchases' },
  { name: 'Price lists', about: 'what those who print ask', href: '/prices' },
  { name: 'Consignments', about: 'what hangs where, to be sold', href: '/consignments' },
  { name: 'Profiles', about: 'drawer', href: '/papers/profiles' },
  { name: 'Papers side by side', about: 'compared', href: '/papers/compare' },
  { name: 'Screen and light', about: 'where proofs are judged', href: '/proofs/light' },
  { name: 'New paper', about: 'form', href: '/papers?new=1' },
];

/** What a station is called. */
export const stationName = (station: Station): string =>
  station[0]!.toUpperCase() + station.slice(1);

/** The stations of the work that a path is of, by their digits; none elsewhere. */
export function stationsAt(path: string): Place[] {
  const work = /^\/works\/(\d+)/.exec(path)?.[1];
  if (!work) return [];
  return STATIONS.map((station, i) => ({
    name: stationName(station),
    about: 'station of this work',
    href: `/works/${work}/${station}`,
    key: String(i + 1),
  }));
}
