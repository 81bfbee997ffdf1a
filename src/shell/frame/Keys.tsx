'use client';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { STATIONS } from '@/core/work';
import { Dialog } from '../said/Dialog';
import { FindDialog } from './FindDialog';
import { isTyping } from '../actions/singleKeys';
import { useToast } from '../said/Toasts';

const List = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 16px;
  dt {
    font-family: monospace;
    background: #fff;
    border: 1px solid #888;
    padding: 0 7px;
    justify-self: start;
  }
`;

const DRAWER_KEYS: Record<string, string> = {
  t: '/',
  w: '/works',
  p: '/papers',
  r: '/proofs',
  e: '/editions',
  o: '/orders',
  a: '/accounts',
  l: '/log',
  d: '/safekeeping',
  s: '/settings',
};

/** Single keys: digits to stations, letters to drawers, `?` for this list. */
export function Keys({
  onUnits,
  onTone,
  finding,
  onFinding,
}: {
  onUnits: () => void;
  onTone: () => void;
  /** Whether the find dialog is open. */
  finding: boolean;
  onFinding: (open: boolean) => void;
}) {
  const [open, setOpen] = useState(false);
  const router = useRouter();
  const { takeBack } = useToast();
  const path = usePathname();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      const work = /^\/works\/(\d+)/.exec(path)?.[1];
      const station = STATIONS[Number(event.key) - 1];
      const drawer = DRAWER_KEYS[event.key];
      if (event.key === '?') setOpen(true);
      else if (event.key === 'f') onFinding(true);
      else if (event.key === 'z') takeBack(null);
      else if (station && work) router.push(`/works/${work}/${station}`);
      else if (drawer) router.push(drawer);
      else if (event.key === 'u') onUnits();
      else if (event.key === 'g') onTone();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    // From now on the page listens.
    document.documentElement.dataset.keys = 'on';
    return () => window.removeEventListener('keydown', press);
  }, [path, router, onUnits, onTone, onFinding, takeBack]);
  const lines: [string, string][] = [
    ['1 … 8', 'stations of the open work, from Capture to Pack'],
    [
      't w p r e o a l',
      'Table, Works, Papers, Proofs, Editions, Orders, Accounts, Log book',
    ],
    ['d s', 'your data and its backups; bench settings'],
    ['f', 'find a title, a name, an order, a number'],
    ['z', 'take the last step back, where it can be'],
    ['u', 'millimetres or inches'],
    ['g', 'grey of the table: light, middle, dark'],
    ['↑ ↓', 'walk through a list; Enter opens the line'],
    ['+ −', 'step closer, step back, on the wall; scale a crop'],
    ['b v', 'at Prepare: held, the patch untouched; the patch closer'],
    ['Esc', 'close what lies on top'],
    ['?', 'this list'],
  ];
  return (
    <>
      <Dialog title="Keys" open={open} onClose={() => setOpen(false)}>
        <List>
          {lines.map(([key, text]) => (
            <div key={key} style={{ display: 'contents' }}>
              <dt>{key}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </List>
      </Dialog>
      <FindDialog open={finding} onClose={() => onFinding(false)} />
    </>
  );
}
