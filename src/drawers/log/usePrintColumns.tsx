'use client';
import { useMemo } from 'react';
import { ASPECT_NAMES } from '@/core/log';
import { useFormat } from '@/shell/figures';
import type { Column } from '@/shell/table';
import type { PrintRow } from './prints';
import { ENTRY_KINDS, SOURCES, scaleWord } from './words';

/** An entry of the book; asked for, with how far it is from the case. */
export type LogRow = PrintRow & { distance?: number };

const small = { fontSize: 12.5 };

/** The columns of the book of prints; where it was asked, with how far apart each is. */
export function usePrintColumns(answered: boolean): Column<LogRow>[] {
  const format = useFormat();
  return useMemo<Column<LogRow>[]>(
    () => [
      {
        key: 'at',
        head: 'Day',
        unsorted: true,
        value: (r) => r.at,
        cell: (r) => <span style={small}>{format.day(r.at)}</span>,
        width: 88,
      },
      {
        key: 'what',
        names: true,
        head: 'Print',
        unsorted: true,
        value: (r) => r.what,
        cell: (r) => (
          <>
            <span style={{ font: "400 15px/1.2 'Newsreader', serif" }}>{r.title}</span>
            <br />
            <small style={{ overflowWrap: 'anywhere' }}>
              {ENTRY_KINDS[r.kind]}
              {r.size && `, ${r.size}`}
            </small>
          </>
        ),
      },
      {
        key: 'factor',
        head: '×',
        unsorted: true,
        value: (r) => r.factor ?? 0,
        cell: (r) => (r.factor === null ? '' : format.number(r.factor, 2)),
        width: 48,
      },
      {
        key: 'source',
        head: 'From',
        unsorted: true,
        value: (r) => r.source ?? '',
        cell: (r) => (
          <span style={small}>
            {r.source ? (SOURCES[r.source] ?? r.source) : ''}
            {r.detail !== null && <> · {format.number(r.detail, 2)}</>}
          </span>
        ),
        width: 110,
      },
      {
        key: 'paper',
        head: 'On, by',
        unsorted: true,
        value: (r) => r.paper,
        cell: (r) => (
          <span style={small}>
            {r.paper}
            {r.route && (
              <>
                <br />
                {r.route}
              </>
            )}
          </span>
        ),
        width: 128,
      },
      {
        key: 'thought',
        head: answered ? 'Apart, thought' : 'Thought of it',
        unsorted: true,
        value: (r) => r.distance ?? 0,
        cell: (r) => (
          <span style={small}>
            {r.distance !== undefined && (
              <>
                {format.number(r.distance, 2)}
                <br />
              </>
            )}
            {ASPECT_NAMES.flatMap((a) => {
              const word = scaleWord(a, r.thought?.opinion[a] ?? null);
              return word && word !== 'right' && word !== 'none' ? [`${a} ${word}`] : [];
            }).join(', ') || (r.thought ? 'right ✓' : '')}
          </span>
        ),
        width: 150,
      },
    ],
    [format, answered],
  );
}
