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
import { useMemo } from 'react';
import type { KeyboardEvent } from 'react';
import type { Column } from './columns';
import { useLinesInSight } from './linesInSight';
import { Wrap, Grid } from './grid';
import { HeadCell } from './HeadCell';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});

interface WalkedTableProps<T> {
  label: string;
  rows: T[];
  columns: Column<T>[];
  id: (row: T) => string | number;
  /** What a line does as soon as it is walked to, or pressed. */
  onPick: (row: T) => void;
  picked: string | number | null;
  /** Height of a line, px: only the lines in sight are drawn. */
  lineHeight: number;
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
 * A list whose lines are picked as they are walked, by arrow keys, while what they show follows:
 * one stop for the whole list, sorted here by its heads, only the lines in sight drawn.
 */
export function WalkedTable<T extends object>(props: WalkedTableProps<T>) {
  const { label, rows, columns, id, onPick, picked, lineHeight } = props;
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
  const table = useTable({ features, columns: defs, data: rows });
  const byKey = new Map(columns.map((c) => [c.key, c]));
  const lines = table.getRowModel().rows;
  const place = lines.findIndex((l) => id(l.original) === picked);
  const { wrap, from, to, above, below } = useLinesInSight(lines.length, lineHeight, place);
  return (
    <Wrap ref={wrap}>
      <Grid aria-label={label} data-tight aria-rowcount={lines.length + 1}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => (
                <HeadCell
                  key={header.id}
                  column={byKey.get(header.column.id)!}
                  sorted={header.column.getIsSorted()}
                  press={header.column.getToggleSortingHandler()}
                />
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {above > 0 && <tr aria-hidden style={{ height: above }} />}
          {lines.slice(from, to).map(({ id: rowId, original }, i) => (
            <tr
              key={rowId}
              aria-rowindex={from + i + 2}
              style={{ height: lineHeight }}
              tabIndex={picked === id(original) ? 0 : -1}
              data-opens
              aria-selected={picked === id(original)}
              onClick={() => onPick(original)}
              onFocus={(e) => e.target === e.currentTarget && onPick(original)}
              onKeyDown={(e) => walk(e, () => onPick(original))}
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
    </Wrap>
  );
}
