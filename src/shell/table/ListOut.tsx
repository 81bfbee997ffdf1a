'use client';
import { Printer } from 'lucide-react';
import { useSearchParams } from 'next/navigation';
import { useEffect } from 'react';
import { Button, DownloadLink } from '../actions/Button';
import type { ManyAction } from './ChosenLines';
import { useAddress } from './listAddress';

/** What takes the chosen lines of a drawer out, as CSV. */
export const takesOut = (drawer: string): ManyAction => ({
  name: 'Take these out as CSV',
  href: (chosen) =>
    `/api/lists/${drawer}?lines=${chosen.map(encodeURIComponent).join(',')}`,
});

/** A drawer is taken out as it is sorted and found: as a table, or on paper. */
export function ListOut({ drawer }: { drawer: string }) {
  const now = useSearchParams();
  const query = now.toString();
  const address = useAddress();
  const printing = now.get('print') === '1';
  useEffect(() => {
    if (!printing) return;
    const back = () => address({ print: null }, 'replace');
    window.addEventListener('afterprint', back);
    // Once the whole list is drawn.
    const timer = setTimeout(() => window.print(), 300);
    return () => {
      window.removeEventListener('afterprint', back);
      clearTimeout(timer);
    };
  }, [printing, address]);
  return (
    <>
      <DownloadLink $plain $small href={`/api/lists/${drawer}${query && `?${query}`}`}>
        CSV
      </DownloadLink>
      <Button
        $plain
        $small
        aria-label="Print this list"
        onPress={() => address({ print: '1', page: null })}
      >
        <Printer size={14} aria-hidden />
      </Button>
    </>
  );
}
