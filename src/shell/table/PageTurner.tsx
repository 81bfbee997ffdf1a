'use client';
import styled from 'styled-components';
import { Button } from '../actions/Button';
import { useAddress } from './listAddress';
import type { ListAsked } from './listAddress';

const Pages = styled.div`
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 0;
`;

/** What was asked of a long list, and how many lines there are over all pages. */
export interface ListShown {
  asked: ListAsked;
  total: number;
  /** More were found than these, which are the newest. */
  newestOnly?: boolean;
}

/** Steps through the pages of a list, with what is shown and of how many. */
export function PageTurner({ asked, total, newestOnly = false }: ListShown) {
  const address = useAddress();
  const turn = (page: number) => address({ page: page === 1 ? null : String(page) });
  const last = Math.max(1, Math.ceil(total / asked.lines));
  if (last === 1 && asked.page === 1) return null;
  const from = (asked.page - 1) * asked.lines + 1;
  return (
    <Pages>
      <Button
        $plain
        $small
        isDisabled={asked.page <= 1}
        onPress={() => turn(Math.min(last, asked.page - 1))}
      >
        Earlier lines
      </Button>
      <span>
        {from > total
          ? `${total} lines, none on page ${asked.page}`
          : `${from} to ${Math.min(total, from + asked.lines - 1)} of ${newestOnly ? 'the newest ' : ''}${total}${newestOnly ? ' found' : ''}`}
      </span>
      <Button
        $plain
        $small
        isDisabled={asked.page >= last}
        onPress={() => turn(asked.page + 1)}
      >
        Further lines
      </Button>
    </Pages>
  );
}
