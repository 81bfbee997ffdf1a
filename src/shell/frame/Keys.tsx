'use client';
import { usePathname, useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { linkToView } from '../actions/deskLink';
import { isMeant, useKeysHere } from '../actions/singleKeys';
import type { KeyLine } from '../actions/singleKeys';
import { Tick } from '../fields/Tick';
import { useBench } from '../figures/BenchContext';
import { Dialog } from '../said/Dialog';
import { useToast } from '../said/Toasts';
import { FindDialog } from './FindDialog';
import type { Command } from './FindDialog';
import { helpAt } from './helpChapters';
import { PLACES, stationsAt } from './places';

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

/** What lies open over the page. */
export type LaidOpen = 'find' | 'keys' | null;

interface KeysProps {
  /** What the keys u and g do, and what else can be done from anywhere. */
  commands: readonly Command[];
  laid: LaidOpen;
  onLaid: (laid: LaidOpen) => void;
  onSingleKeys: (on: boolean) => void;
}

const Lines = ({ lines }: { lines: readonly KeyLine[] }) => (
  <List>
    {lines.map(({ key, does }) => (
      <div key={key} style={{ display: 'contents' }}>
        <dt>{key}</dt>
        <dd>{does}</dd>
      </div>
    ))}
  </List>
);

const EVERYWHERE: readonly KeyLine[] = [
  { key: '1 … 8', does: 'stations of the open work, from Capture to Pack' },
  {
    key: 't w p r e o a l',
    does: 'Table, Works, Papers, Proofs, Editions, Orders, Accounts, Log book',
  },
  { key: 'd s', does: 'your data and its backups; bench settings' },
  { key: 'f, Ctrl k', does: 'find a title, a name, an order, a place, a command' },
  { key: 'z', does: 'take the last step back, where it can be' },
  { key: 'y', does: 'what can be taken back, step by step' },
  { key: 'c', does: 'copy a link to this view, with what lies on its desk' },
  { key: 'u', does: 'millimetres or inches' },
  { key: 'g', does: 'grey of the table: light, middle, dark' },
  { key: '↑ ↓', does: 'walk through a list; Enter opens the line' },
  { key: 'Esc', does: 'close what lies on top' },
  { key: 'h', does: 'help on this view' },
  { key: '?', does: 'this list' },
];

/** Single keys: digits to stations, letters to drawers, `?` for this list; find and commands. */
export function Keys({ commands, laid, onLaid, onSingleKeys }: KeysProps) {
  const router = useRouter();
  const { takeBack, say } = useToast();
  const [link, setLink] = useState<string | null>(null);
  const copyLink = useCallback(() => {
    const address = linkToView();
    // Where the browser lets nothing be copied, it is shown to be copied by hand.
    void Promise.resolve()
      .then(() => navigator.clipboard.writeText(address))
      .then(
        () => say('A link to this view is copied.'),
        () => setLink(address),
      );
  }, [say]);
  const { singleKeys } = useBench();
  const path = usePathname();
  const here = useKeysHere();
  const places = useMemo(() => [...stationsAt(path), ...PLACES], [path]);
  const all = useMemo<Command[]>(
    () => [
      { name: 'Take the last step back', key: 'z', run: () => takeBack(null) },
      { name: 'Show all keys', key: '?', run: () => onLaid('keys') },
      { name: 'Copy a link to this view', key: 'c', run: copyLink },
      { name: 'Help on this view', key: 'h', run: () => router.push(helpAt(path)) },
      ...commands,
    ],
    [takeBack, onLaid, commands, router, path, copyLink],
  );
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'k' && (event.ctrlKey || event.metaKey)) onLaid('find');
      else if (!singleKeys || !isMeant(event)) return;
      else if (event.key === 'f') onLaid('find');
      else {
        const command = all.find((c) => c.key === event.key);
        const place = places.find((p) => p.key === event.key);
        if (command) command.run();
        else if (place) router.push(place.href);
        else return;
      }
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    // From now on the page listens.
    document.documentElement.dataset.keys = 'on';
    return () => window.removeEventListener('keydown', press);
  }, [places, all, singleKeys, router, onLaid]);
  return (
    <>
      <Dialog title="Keys" open={laid === 'keys'} onClose={() => onLaid(null)}>
        {here.length > 0 && (
          <>
            <h3 style={{ fontSize: 15 }}>In this view</h3>
            <Lines lines={here} />
            <h3 style={{ fontSize: 15 }}>Everywhere</h3>
          </>
        )}
        <Lines lines={EVERYWHERE} />
        <Tick checked={singleKeys} onChange={onSingleKeys}>
          Single keys do something
        </Tick>
      </Dialog>
      <Dialog
        title="A link to this view"
        open={link !== null}
        onClose={() => setLink(null)}
      >
        <p style={{ overflowWrap: 'anywhere', userSelect: 'all' }}>{link}</p>
      </Dialog>
      <FindDialog
        open={laid === 'find'}
        onClose={() => onLaid(null)}
        places={places}
        commands={all}
      />
    </>
  );
}
