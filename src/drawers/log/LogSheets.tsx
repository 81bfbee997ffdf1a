'use client';
import { SheetTabs } from '@/shell/frame';

/** The two books in the drawer: what was printed, and everything that happened. */
export const LogSheets = ({ current }: { current: 'prints' | 'lines' | 'back' }) => (
  <SheetTabs
    label="Books in this drawer"
    current={current}
    sheets={[
      { id: 'prints', name: 'What was printed', href: '/log' },
      { id: 'lines', name: 'Everything that happened', href: '/log?sheet=lines' },
      { id: 'back', name: 'What can be taken back', href: '/log?sheet=back' },
    ]}
  />
);
