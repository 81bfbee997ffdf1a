'use client';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Link } from '../link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SyntheticEvent } from 'react';
import { Cell, Column as HeadOf, Row, TableBody } from 'react-aria-components';
import { TableHeader } from 'react-aria-components';
import type { Selection, SortDescriptor } from 'react-aria-components';
import { Tick } from '../fields/Tick';
import { ChosenLines } from './ChosenLines';
import type { ManyAction } from './ChosenLines';
import { sortedBy } from './columns';
import type { Column } from './columns';
import { GridOf, Wrap } from './grid';
import { useAddress } from './listAddress';
import { PageTurner } from './PageTurner';
import type { ListShown } from './PageTurner';

interface DataTableProps<T> {
  label: string;
  rows: T[];
  /** For long lists: sorted, found and paged by the server. */
  list?: ListShown;
  columns: Column<T>[];
  id: (row: T) => string | number;
  /** Where a line leads; null for one that leads nowhere. */
  href?: (row: T) => string | null;
  picked?: string | number | null;
  /** Narrow cells, for many columns. */
  tight?: boolean;
  /** What can be done with several lines at once. */
  many?: readonly ManyAction[];
}

/** A press on the link of a line is the link’s own: it opens in a new tab like any other. */
const own = (event: SyntheticEvent) => event.stopPropagation();
const OWN = { onPointerDown: own, onMouseDown: own, onClick: own, onKeyDown: own };

/**
 * A list of facts: walked by arrow keys, opened by Enter or as a link, sorted by its heads, several
 * lines chosen by their ticks. Short lists are sorted here; long ones by the server, a page at a time.
 */
export function DataTable<T extends object>(props: DataTableProps<T>) {
  const { label, rows, columns, id, href, picked, list, tight = false, many } = props;
  const router = useRouter();
  const address = useAddress();
  const [sorting, setSorting] = useState<SortDescriptor | null>(null);
  const [chosen, setChosen] = useState<Selection>(new Set());
  const asked: SortDescriptor | null = list
    ? list.asked.sort === null
      ? null
      : {
          column: list.asked.sort,
          direction: list.asked.down ? 'descending' : 'ascending',
        }
    : sorting;
  /** Up, down, and back to the list's own order. */
  const sortBy = ({ column }: SortDescriptor) => {
    const same = asked?.column === column;
    const back = same && asked.direction === 'descending';
    if (list)
      address({
        sort: back ? null : String(column),
        down: same && !back ? '1' : null,
        page: null,
      });
    else setSorting(back ? null : { column, direction: same ? 'descending' : 'ascending' });
  };
  const lines = list
    ? rows
    : sortedBy(
        rows,
        columns.find((c) => c.key === sorting?.column),
        sorting?.direction === 'descending',
      );
  const named = columns.filter((c) => c.names);
  const [naming] = named.length > 0 ? named : columns.filter((c) => c.head !== '');
  const content = (row: T, c: Column<T>) => (c.cell ? c.cell(row) : c.value(row));
  const numbers =
    chosen === 'all' ? lines.map((r) => String(id(r))) : [...chosen].map(String);
  return (
    <Wrap>
      {many && numbers.length > 0 && (
        <ChosenLines chosen={numbers} actions={many} onDone={() => setChosen(new Set())} />
      )}
      <GridOf
        aria-label={label}
        data-tight={tight || undefined}
        {...(asked ? { sortDescriptor: asked } : {})}
        onSortChange={sortBy}
        selectionMode={many ? 'multiple' : 'none'}
        selectionBehavior="toggle"
        selectedKeys={chosen}
        onSelectionChange={setChosen}
      >
        <TableHeader>
          {many && (
            <HeadOf width={26} id=" chosen">
              <Tick slot="selection" label="Choose all lines" />
            </HeadOf>
          )}
          {columns.map((c) => (
            <HeadOf
              key={c.key}
              id={c.key}
              isRowHeader={c.names === true || c === naming}
              allowsSorting={!c.unsorted && c.head !== ''}
              textValue={c.head || (c.said ?? 'Picture')}
              {...(c.figure ? { className: 'figure' } : {})}
              style={{ width: c.width }}
            >
              {c.head === '' ? (
                <span className="sr">{c.said ?? 'Picture'}</span>
              ) : (
                <>
                  {c.head}
                  {asked?.column === c.key &&
                    (asked.direction === 'descending' ? (
                      <ArrowDown size={12} aria-hidden />
                    ) : (
                      <ArrowUp size={12} aria-hidden />
                    ))}
                </>
              )}
            </HeadOf>
          ))}
        </TableHeader>
        <TableBody>
          {lines.map((row) => {
            const to = href?.(row) ?? null;
            const here = picked !== undefined && picked === id(row);
            return (
              <Row
                key={id(row)}
                id={String(id(row))}
                data-picked={here || undefined}
                data-opens={to !== null || undefined}
                {...(to === null ? {} : { onAction: () => router.push(to) })}
              >
                {many && (
                  <Cell>
                    <Tick slot="selection" label="Choose this line" />
                  </Cell>
                )}
                {columns.map((c) => (
                  <Cell
                    key={c.key}
                    {...(c.figure || c.short
                      ? { className: c.figure ? 'figure' : 'short' }
                      : {})}
                  >
                    {to !== null && c === naming ? (
                      <Link
                        href={to}
                        prefetch={false}
                        scroll={false}
                        className="line"
                        tabIndex={-1}
                        aria-current={here ? 'true' : undefined}
                        {...OWN}
                      >
                        {content(row, c)}
                      </Link>
                    ) : (
                      content(row, c)
                    )}
                  </Cell>
                ))}
              </Row>
            );
          })}
        </TableBody>
      </GridOf>
      {list && rows.length === 0 && (
        <p style={{ padding: 12 }}>Nothing is found like this.</p>
      )}
      {list && <PageTurner {...list} />}
    </Wrap>
  );
}
