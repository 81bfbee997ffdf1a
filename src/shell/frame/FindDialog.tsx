'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Autocomplete, Header, Input, Label, Menu, MenuItem } from 'react-aria-components';
import { MenuSection, SearchField } from 'react-aria-components';
import styled from 'styled-components';
import { Dialog } from '../said/Dialog';
import { Small } from '../words/words';
import type { Place } from './places';

/** One thing found: what it is, its name, something to tell it by, and where it lies. */
export interface Found {
  kind: string;
  name: string;
  about: string;
  href: string;
}

/** Something that can be done from anywhere. */
export interface Command {
  name: string;
  key: string;
  run: () => void;
}

const TYPING_MS = 150;
const MOST_PLACES = 6;

const Typed = styled(SearchField)`
  display: grid;
  gap: 4px;
  input {
    padding: 8px 10px;
    border: 1px solid #6f6f6f;
    background: #fff;
    font-size: 15px;
  }
`;

const List = styled(Menu)`
  display: block;
  max-height: min(420px, 52vh);
  overflow: auto;
  header {
    font-size: 11.5px;
    color: var(--soft);
    padding: 8px 8px 2px;
  }
`;

const Item = styled(MenuItem)`
  display: grid;
  grid-template-columns: 88px 1fr auto;
  gap: 10px;
  align-items: baseline;
  padding: 5px 8px;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
  cursor: pointer;
  span:first-child,
  span:last-child {
    font-size: 12.5px;
    color: var(--soft);
  }
  b {
    font:
      400 16px/1.25 'Newsreader',
      serif;
  }
  &[data-hovered],
  &[data-focused] {
    background: #dfe7ef;
    outline: 2px solid var(--blue);
    outline-offset: -2px;
  }
`;

const holds = (words: string, sought: string) =>
  sought.split(/\s/).every((part) => words.toLowerCase().includes(part));

/** What is found in the studio under some words; null while it is sought. */
function useFound(text: string): { found: Found[] | null; problem: boolean } {
  const [found, setFound] = useState<Found[] | null>([]);
  const [problem, setProblem] = useState(false);
  useEffect(() => {
    if (text.trim() === '') return setFound([]);
    setFound(null);
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetch(`/api/find?find=${encodeURIComponent(text)}`, { signal: stop.signal })
        .then((r) => (r.ok ? (r.json() as Promise<Found[]>) : Promise.reject(new Error())))
        .then((list) => {
          setFound(list);
          setProblem(false);
        })
        .catch(() => !stop.signal.aborted && setProblem(true));
    }, TYPING_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text]);
  return { found, problem };
}

interface FindDialogProps {
  open: boolean;
  onClose: () => void;
  places: readonly Place[];
  commands: readonly Command[];
}

/** Finds works, customers, orders, papers, pencilled numbers, places and commands, from anywhere. */
export function FindDialog({ open, onClose, places, commands }: FindDialogProps) {
  const [text, setText] = useState('');
  const router = useRouter();
  const { found, problem } = useFound(text);
  const sought = text.trim().toLowerCase();
  const close = () => {
    onClose();
    setText('');
  };
  const near = places
    .filter((p) => sought === '' || holds(`${p.name} ${p.about}`, sought))
    .slice(0, MOST_PLACES);
  const doable = commands.filter((c) => sought !== '' && holds(c.name, sought));
  const count = (found?.length ?? 0) + near.length + doable.length;
  const go = (href: string) => () => {
    close();
    router.push(href);
  };
  return (
    <Dialog title="Find" open={open} onClose={close}>
      <div
        role="presentation"
        // One Escape closes: it does not first empty the field.
        onKeyDownCapture={(e) => {
          if (e.key !== 'Escape') return;
          e.stopPropagation();
          close();
        }}
      >
        <Autocomplete inputValue={text} onInputChange={setText}>
          <Typed autoFocus>
            <Label>A title, a name, a town, an order, a number such as 7/30, a place</Label>
            <Input />
          </Typed>
          <List aria-label="Found">
            {(found ?? []).length > 0 && (
              <MenuSection>
                <Header>In the studio</Header>
                {found!.map((f) => (
                  <Item
                    key={f.href + f.name}
                    id={f.href + f.name}
                    textValue={f.name}
                    href={f.href}
                    onAction={close}
                  >
                    <span>{f.kind}</span>
                    <b>{f.name}</b>
                    <span>{f.about}</span>
                  </Item>
                ))}
              </MenuSection>
            )}
            {near.length > 0 && (
              <MenuSection>
                <Header>Places</Header>
                {near.map((p) => (
                  <Item
                    key={p.href}
                    id={`place ${p.href}`}
                    textValue={p.name}
                    onAction={go(p.href)}
                  >
                    <span>{p.about}</span>
                    <b>{p.name}</b>
                    <span>{p.key ?? ''}</span>
                  </Item>
                ))}
              </MenuSection>
            )}
            {doable.length > 0 && (
              <MenuSection>
                <Header>Commands</Header>
                {doable.map((c) => (
                  <Item
                    key={c.name}
                    id={`command ${c.name}`}
                    textValue={c.name}
                    onAction={() => {
                      close();
                      c.run();
                    }}
                  >
                    <span>do</span>
                    <b>{c.name}</b>
                    <span>{c.key}</span>
                  </Item>
                ))}
              </MenuSection>
            )}
          </List>
        </Autocomplete>
      </div>
      <Small role="status">
        {problem
          ? 'Glassine did not answer. Is it still running?'
          : sought === ''
            ? 'Enter goes to the first; arrow keys choose another; Escape closes.'
            : found === null
              ? 'Looking …'
              : count === 0
                ? 'Nothing is found like this.'
                : `${count} found. Enter goes to the first; arrow keys choose another.`}
      </Small>
    </Dialog>
  );
}
