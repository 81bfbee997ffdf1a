/** A chapter of the help: its name in addresses, its title, its file below `docs`. */
export interface Chapter {
  id: string;
  name: string;
  file: string;
}

/** What stands in the help, in the order in which it is read. */
export const CHAPTERS: readonly { part: string; chapters: readonly Chapter[] }[] = [
  {
    part: 'At the bench',
    chapters: [
      { id: 'first-day', name: 'A first day', file: 'help/first-day.md' },
      { id: 'table', name: 'Table', file: 'help/table.md' },
      { id: 'works', name: 'Works', file: 'help/works.md' },
      { id: 'capture', name: '1 Capture', file: 'help/capture.md' },
      { id: 'size', name: '2 Size', file: 'help/size.md' },
      { id: 'prepare', name: '3 Prepare', file: 'help/prepare.md' },
      { id: 'proof', name: '4 Proof', file: 'help/proof.md' },
      { id: 'edition', name: '5 Edition', file: 'help/edition.md' },
      { id: 'price', name: '6 Price', file: 'help/price.md' },
      { id: 'finish', name: '7 Finish', file: 'help/finish.md' },
      { id: 'pack', name: '8 Pack and orders', file: 'help/pack.md' },
      { id: 'papers', name: 'Papers and packing', file: 'help/papers.md' },
      { id: 'printers', name: 'Printers and ink', file: 'help/printers.md' },
      { id: 'log', name: 'Log book and accounts', file: 'help/log.md' },
      { id: 'safekeeping', name: 'Data and backups', file: 'help/safekeeping.md' },
      { id: 'settings', name: 'Bench settings', file: 'help/settings.md' },
    ],
  },
  {
    part: 'More closely',
    chapters: [
      { id: 'everyday', name: 'Figures, days, files', file: 'everyday.md' },
      { id: 'reading-a-master', name: 'Reading a master', file: 'reading-a-master.md' },
      { id: 'sizes', name: 'Sizes', file: 'sizes.md' },
      { id: 'preparing', name: 'Preparing', file: 'preparing.md' },
      { id: 'colour', name: 'Colour', file: 'colour.md' },
      { id: 'ledger', name: 'The ledger', file: 'ledger.md' },
      { id: 'running', name: 'Running it', file: 'running.md' },
      { id: 'glossary', name: 'Glossary', file: 'glossary.md' },
    ],
  },
];

const ALL = CHAPTERS.flatMap(({ chapters }) => chapters);

/** The chapter of a name; undefined where there is none. */
export const chapterOf = (id: string): Chapter | undefined => ALL.find((c) => c.id === id);

/** Where a link of one chapter leads within the help; null where it leads out of it. */
export function linkOf(href: string): string | null {
  const [path = '', part] = href.split('#');
  const name = path.split('/').at(-1) ?? '';
  const chapter = ALL.find((c) => c.file.endsWith(`/${name}`) || c.file === name);
  return chapter && name !== '' ? `/help/${chapter.id}${part ? `#${part}` : ''}` : null;
}
