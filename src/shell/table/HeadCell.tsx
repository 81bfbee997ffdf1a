'use client';
import { ArrowDown, ArrowUp } from 'lucide-react';

/** What stands in a column's head, and what a press on it does. */
interface Head {
  column: {
    key: string;
    head: string;
    said?: string;
    figure?: boolean;
    width?: number | string;
    unsorted?: boolean;
  };
  sorted: 'asc' | 'desc' | false;
  press: ((event: unknown) => void) | undefined;
}

export const HeadCell = ({ column, sorted, press }: Head) => (
  <th
    className={column.figure ? 'figure' : undefined}
    style={{ width: column.width }}
    aria-sort={
      sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined
    }
  >
    {column.unsorted || column.head === '' ? (
      column.head || <span className="sr">{column.said ?? 'Picture'}</span>
    ) : (
      <button type="button" onClick={press}>
        {column.head}
        {sorted === 'asc' && <ArrowUp size={12} aria-hidden />}
        {sorted === 'desc' && <ArrowDown size={12} aria-hidden />}
      </button>
    )}
  </th>
);
