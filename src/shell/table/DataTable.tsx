'use client';
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { useAddress } from './listAddress';
import type { ListAsked } from './listAddress';
import { PageTurner } from './PageTurner';
import type { ListShown } from './PageTurner';
import { useLinesInSight } from './linesInSight';
import { Wrap, Grid } from './grid';
import { HeadCell } from './HeadCell';

export interface Column<T> {
  key: string;
  head: string;
  /** What a column without a head holds, for who hears the table. */
  said?: string;
  /** What the column is sorted by, and shown when `cell` is absent. */
  value: (row: T) => string | number;
  cell?: (row: T) => ReactNode;
  figure?: boolean;
  /** Sorted by a figure, though words are shown. */
  byFigure?: boolean;
  /** Words that stay on one line: sizes, days. */
  short?: boolean;
  width?: number | string;
  /** The list cannot be sorted by it. */
  unsorted?: boolean;
}

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

interface DataTableProps<T> {
  label: string;
  rows: T[];
  /** For long lists. */
  list?: ListShown;
  columns: Column<T>[];
  id: (row: T) => string | number;
  /** Where a line leads; or what it does. */
  href?: (row: T) => string;
  onPick?: (row: T) => void;
  picked?: string | number | null;
  /** A line is picked as soon as it is walked to. */
  picksOnFocus?: boolean;
  /** Narrow cells, for many columns. */
  tight?: boolean;
  /** Height of a line, px, where only the lines in sight are drawn. */
  lineHeight?: number;
}

/** Steps through the lines with the arrow keys. */
function walk(event: KeyboardEvent<HTMLTableRowElement>, open: () => void) {
  const row = event.currentTarget;
  const to =
    event.key === 'ArrowDown'
      ? row.nextElementSibling
      : event.key === 'ArrowUp'
        ? row.previousElementSibling
        : null;
  if (to instanceof HTMLElement) to.focus();
  else if (event.key === 'Enter' && event.target === row) open();
  else return;
  event.preventDefault();
}

/**
 * A list of facts: sortable by its heads, walked by arrow keys, opened by Enter. Short lists
 * are sorted here; long ones by the server, a page at a time.
 */
export function DataTable<T extends object>(props: DataTableProps<T>) {
  const { label, rows, columns, id, href, onPick, picked, list } = props;
  const { picksOnFocus = false, tight = false, lineHeight } = props;
  const router = useRouter();
  const address = useAddress();
  const defs = useMemo(() => {
    const helper = createColumnHelper<typeof features, T>();
    return columns.map((c) =>
      helper.accessor((row): unknown => c.value(row), {
        id: c.key,
        header: c.head,
        sortFn: c.figure || c.byFigure ? 'basic' : 'alphanumeric',
      }),
    );
  }, [columns]);
  const table = useTable({
    features,
    columns: defs,
    data: rows,
    manualSorting: list !== undefined,
  });
  const byKey = new Map(columns.map((c) => [c.key, c]));
  const opens = Boolean(href ?? onPick);
  const open = (row: T) => {
    if (href) router.push(href(row));
    else onPick?.(row);
  };
  /** Up, down, and back to the list's own order. */
  const sortBy = (key: string, { sort, down }: ListAsked) =>
    address(
      sort !== key
        ? { sort: key, down: null, page: null }
        : down
          ? { sort: null, down: null, page: null }
          : { down: '1', page: null },
    );
  const lines = table.getRowModel().rows;
  const place = lineHeight ? lines.findIndex((l) => id(l.original) === picked) : -1;
  const { wrap, from, to, above, below } = useLinesInSight(lines.length, lineHeight, place);
  return (
    <Wrap
      ref={wrap}
      // What can only be scrolled must be reached by keyboard; lines that open are anyway.
      tabIndex={opens ? undefined : 0}
      role={opens ? undefined : 'region'}
      aria-label={opens ? undefined : label}
    >
      <Grid
        aria-label={label}
        data-tight={tight || undefined}
        aria-rowcount={lineHeight ? lines.length + 1 : undefined}
      >
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const column = byKey.get(header.column.id)!;
                const { asked } = list ?? {};
                const here = asked?.sort === column.key && (asked.down ? 'desc' : 'asc');
                return (
                  <HeadCell
                    key={header.id}
                    column={column}
                    sorted={asked ? here : header.column.getIsSorted()}
                    press={
                      asked
                        ? () => sortBy(column.key, asked)
                        : header.column.getToggleSortingHandler()
                    }
                  />
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {above > 0 && <tr aria-hidden style={{ height: above }} />}
          {lines.slice(from, to).map(({ id: rowId, original }, i) => (
            <tr
              key={rowId}
              aria-rowindex={lineHeight ? from + i + 2 : undefined}
              style={lineHeight ? { height: lineHeight } : undefined}
              // Picked by walking: one stop for the whole list, arrow keys walk in it.
              tabIndex={
                !opens ? undefined : picksOnFocus && picked !== id(original) ? -1 : 0
              }
              data-opens={opens || undefined}
              aria-selected={picked !== undefined ? picked === id(original) : undefined}
              onClick={() => opens && open(original)}
              onFocus={(e) =>
                picksOnFocus && e.target === e.currentTarget && open(original)
              }
              onKeyDown={(e) => opens && walk(e, () => open(original))}
            >
              {columns.map((c) => (
                <td
                  key={c.key}
                  className={c.figure ? 'figure' : c.short ? 'short' : undefined}
                >
                  {c.cell ? c.cell(original) : c.value(original)}
                </td>
              ))}
            </tr>
          ))}
          {below > 0 && <tr aria-hidden style={{ height: below }} />}
        </tbody>
      </Grid>
      {list && rows.length === 0 && (
        <p style={{ padding: 12 }}>Nothing is found like this.</p>
      )}
      {list && <PageTurner {...list} />}
    </Wrap>
  );
}
