'use client';
import {
  createColumnHelper,
  createPaginatedRowModel,
  createSortedRowModel,
  rowPaginationFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import styled from 'styled-components';
import { Button } from './Button';

export interface Column<T> {
  key: string;
  head: string;
  /** What the column is sorted by, and shown when `cell` is absent. */
  value: (row: T) => string | number;
  cell?: (row: T) => ReactNode;
  figure?: boolean;
  width?: number | string;
}

const features = tableFeatures({
  rowSortingFeature,
  rowPaginationFeature,
  sortedRowModel: createSortedRowModel(),
  paginatedRowModel: createPaginatedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

const PAGE = 50;

const Wrap = styled.div`
  min-height: 0;
  overflow: auto;
`;

const Grid = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 5px 10px 5px 2px;
    text-align: left;
    vertical-align: middle;
    border-bottom: 1px solid var(--line);
  }
  th {
    position: sticky;
    top: 0;
    background: var(--table);
    font-weight: 500;
    font-size: 12px;
    color: var(--soft);
    white-space: nowrap;
    z-index: 1;
  }
  th button {
    appearance: none;
    border: 0;
    background: none;
    padding: 3px 0;
    font: inherit;
    cursor: pointer;
    display: inline-flex;
    align-items: center;
    gap: 3px;
  }
  .figure {
    text-align: right;
    white-space: nowrap;
  }
  tbody tr {
    cursor: default;
  }
  tbody tr[data-opens] {
    cursor: pointer;
  }
  tbody tr[data-opens]:hover {
    background: rgba(0, 0, 0, 0.05);
  }
  tbody tr[aria-selected='true'] {
    background: rgba(255, 255, 255, 0.42);
    box-shadow: inset 3px 0 0 var(--blue);
    td:first-child {
      padding-left: 8px;
    }
  }
  tbody tr:focus-visible {
    outline-offset: -2px;
  }
`;

const Pages = styled.div`
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 0;
`;

interface DataTableProps<T> {
  label: string;
  rows: T[];
  columns: Column<T>[];
  id: (row: T) => string | number;
  /** Where a line leads; or what it does. */
  href?: (row: T) => string;
  onPick?: (row: T) => void;
  picked?: string | number | null;
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

/** A list of facts: sortable by its heads, paged, walked by arrow keys, opened by Enter. */
export function DataTable<T extends object>(props: DataTableProps<T>) {
  const { label, rows, columns, id, href, onPick, picked } = props;
  const router = useRouter();
  const defs = useMemo(() => {
    const helper = createColumnHelper<typeof features, T>();
    return columns.map((c) =>
      helper.accessor((row): unknown => c.value(row), {
        id: c.key,
        header: c.head,
        sortFn: c.figure ? 'basic' : 'alphanumeric',
      }),
    );
  }, [columns]);
  const table = useTable({
    features,
    columns: defs,
    data: rows,
    initialState: { pagination: { pageIndex: 0, pageSize: PAGE } },
  });
  const byKey = new Map(columns.map((c) => [c.key, c]));
  const opens = Boolean(href ?? onPick);
  const open = (row: T) => {
    if (href) router.push(href(row));
    else onPick?.(row);
  };
  const { pageIndex } = table.state.pagination;
  return (
    <Wrap>
      <Grid aria-label={label}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const column = byKey.get(header.column.id)!;
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    className={column.figure ? 'figure' : undefined}
                    style={{ width: column.width }}
                    aria-sort={
                      sorted === 'asc'
                        ? 'ascending'
                        : sorted === 'desc'
                          ? 'descending'
                          : undefined
                    }
                  >
                    <button type="button" onClick={header.column.getToggleSortingHandler()}>
                      {column.head}
                      {sorted === 'asc' && <ArrowUp size={12} aria-hidden />}
                      {sorted === 'desc' && <ArrowDown size={12} aria-hidden />}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map(({ id: rowId, original }) => (
            <tr
              key={rowId}
              tabIndex={opens ? 0 : undefined}
              data-opens={opens || undefined}
              aria-selected={picked !== undefined ? picked === id(original) : undefined}
              onClick={() => opens && open(original)}
              onKeyDown={(e) => opens && walk(e, () => open(original))}
            >
              {columns.map((c) => (
                <td key={c.key} className={c.figure ? 'figure' : undefined}>
                  {c.cell ? c.cell(original) : c.value(original)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Grid>
      {rows.length > PAGE && (
        <Pages>
          <Button
            $plain
            $small
            isDisabled={!table.getCanPreviousPage()}
            onPress={() => table.previousPage()}
          >
            Earlier lines
          </Button>
          <span>
            {pageIndex * PAGE + 1} to {Math.min(rows.length, (pageIndex + 1) * PAGE)} of{' '}
            {rows.length}
          </span>
          <Button
            $plain
            $small
            isDisabled={!table.getCanNextPage()}
            onPress={() => table.nextPage()}
          >
            Further lines
          </Button>
        </Pages>
      )}
    </Wrap>
  );
}
