'use client';
import { Search } from 'lucide-react';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { Input, SearchField } from 'react-aria-components';
import styled from 'styled-components';

/** What part of a list the address asks for; the server sorts, finds and pages. */
export interface ListAsked {
  sort: string | null;
  down: boolean;
  page: number;
  find: string;
  /** Lines a page. */
  lines: number;
}

type Change = Record<string, string | null>;

/** The address with some of its parts changed; null takes one out. */
export function useAddressOf(): (change: Change) => string {
  const path = usePathname();
  const now = useSearchParams().toString();
  return useCallback(
    (change) => {
      const next = new URLSearchParams(now);
      for (const [key, value] of Object.entries(change))
        if (value === null || value === '') next.delete(key);
        else next.set(key, value);
      const query = next.toString();
      return query === '' ? path : `${path}?${query}`;
    },
    [path, now],
  );
}

/**
 * Changes parts of the address: a step that Back takes back, unless it is one of many small ones
 * (`replace`), such as letters that are typed.
 */
export function useAddress(): (change: Change, how?: 'step' | 'replace') => void {
  const router = useRouter();
  const addressOf = useAddressOf();
  return useCallback(
    (change, how = 'step') => {
      const to = addressOf(change);
      if (how === 'replace') router.replace(to, { scroll: false });
      else router.push(to, { scroll: false });
    },
    [router, addressOf],
  );
}

const TYPING_MS = 250;

const Box = styled(SearchField)`
  display: flex;
  align-items: center;
  gap: 6px;
  background: #fff;
  border: 1px solid #6f6f6f;
  padding: 0 8px;
  color: #161616;
  width: 210px;
  input {
    flex: 1;
    min-width: 0;
    border: 0;
    background: transparent;
    padding: 6px 0;
    &:focus-visible {
      outline: none;
    }
    &::-webkit-search-cancel-button {
      display: none;
    }
  }
  &:focus-within {
    outline: 2px solid var(--blue);
    outline-offset: 1px;
  }
`;

/** Finds in a list while one types; the words stand in the address as `name`. */
export function FindField({
  label,
  value,
  name = 'find',
}: {
  label: string;
  value: string;
  name?: string;
}) {
  const [text, setText] = useState(value);
  const address = useAddress();
  useEffect(() => {
    if (text.trim() === value) return;
    const timer = setTimeout(
      () => address({ [name]: text.trim(), page: null }, 'replace'),
      TYPING_MS,
    );
    return () => clearTimeout(timer);
  }, [text, value, name, address]);
  return (
    <Box aria-label={label} value={text} onChange={setText}>
      <Search size={14} aria-hidden />
      <Input placeholder={label} />
    </Box>
  );
}
