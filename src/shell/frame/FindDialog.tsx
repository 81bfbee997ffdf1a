'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { KeyboardEvent } from 'react';
import { Input, Label, SearchField } from 'react-aria-components';
import styled from 'styled-components';
import { Dialog } from '../said/Dialog';
import { Small } from '../words/words';

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

const Lines = styled.ul`
  display: grid;
  min-height: 40px;
`;

const Line = styled(Link)`
  display: grid;
  grid-template-columns: 88px 1fr auto;
  gap: 10px;
  align-items: baseline;
  padding: 6px 8px;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
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
  &:hover,
  &:focus {
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
  const close = () => {
    onClose();
    setText('');
  };
  /** Arrow keys walk from the field through what was found, and back. */
  const walk = (event: KeyboardEvent<HTMLElement>) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    const stops = [...event.currentTarget.querySelectorAll<HTMLElement>('input, a')];
    const here = stops.indexOf(document.activeElement as HTMLElement);
    stops[Math.min(stops.length - 1, Math.max(0, here + step))]?.focus();
    event.preventDefault();
  };
  const enter = (event: KeyboardEvent<HTMLElement>) => {
    const [first] = found;
    if (event.key !== 'Enter' || !first) return;
    close();
    router.push(first.href);
  };
  return (
    <Dialog title="Find" open={open} onClose={close}>
      <div role="presentation" onKeyDown={walk}>
        <Typed value={text} onChange={setText} onKeyDown={enter} autoFocus>
          <Label>A title, a name, a town, an order, or a number such as 7/30</Label>
          <Input />
        </Typed>
        <Lines aria-label="Found">
          {found.map((f) => (
            <li key={f.href + f.name}>
              <Line href={f.href} onClick={close}>
                <span>{f.kind}</span>
                <b>{f.name}</b>
                <span>{f.about}</span>
              </Line>
            </li>
          ))}
        </Lines>
      </div>
      <Small>
        {problem
          ? 'Glassine did not answer. Is it still running?'
          : text.trim() !== '' && found.length === 0
            ? 'Nothing is found like this.'
            : 'Enter goes to the first; arrow keys choose another; Escape closes.'}
      </Small>
    </Dialog>
  );
}
