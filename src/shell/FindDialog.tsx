'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import {
  Autocomplete,
  Input,
  Label,
  Menu,
  MenuItem,
  SearchField,
} from 'react-aria-components';
import styled from 'styled-components';
import { Dialog } from './Dialog';
import { Small } from './layout';

/** One thing found: what it is, its name, something to tell it by, and where it lies. */
export interface Found {
  kind: string;
  name: string;
  about: string;
  href: string;
}

const TYPING_MS = 150;

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

const Lines = styled(Menu)`
  display: grid;
  outline: none;
  min-height: 40px;
` as typeof Menu;

const Line = styled(MenuItem)`
  display: grid;
  grid-template-columns: 88px 1fr auto;
  gap: 10px;
  align-items: baseline;
  padding: 6px 8px;
  border-bottom: 1px solid var(--line);
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
  &[data-focused] {
    background: #dfe7ef;
    outline: 2px solid var(--blue);
    outline-offset: -2px;
  }
`;

/** Finds works, customers' orders, papers, and pencilled numbers, from anywhere. */
export function FindDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [text, setText] = useState('');
  const [found, setFound] = useState<Found[]>([]);
  const [problem, setProblem] = useState(false);
  const router = useRouter();
  useEffect(() => {
    if (text.trim() === '') return setFound([]);
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
  const go = (href: string) => {
    onClose();
    setText('');
    router.push(href);
  };
  return (
    <Dialog title="Find" open={open} onClose={onClose}>
      <Autocomplete inputValue={text} onInputChange={setText}>
        <Typed autoFocus>
          <Label>A title, a name, a town, an order, or a number such as 7/30</Label>
          <Input />
        </Typed>
        <Lines aria-label="Found" items={found.map((f) => ({ ...f, id: f.href + f.name }))}>
          {(item) => (
            <Line textValue={item.name} onAction={() => go(item.href)}>
              <span>{item.kind}</span>
              <b>{item.name}</b>
              <span>{item.about}</span>
            </Line>
          )}
        </Lines>
      </Autocomplete>
      <Small>
        {problem
          ? 'Glassine did not answer. Is it still running?'
          : text.trim() !== '' && found.length === 0
            ? 'Nothing is found like this.'
            : 'Arrow keys to choose, Enter to go there, Escape to close.'}
      </Small>
    </Dialog>
  );
}
