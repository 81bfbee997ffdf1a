'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { size } from '@/core/units';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { DataTable, LooksLike } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Pencil } from '@/shell/words';
import { LogSheets } from './LogSheets';
import type { LogView } from './view';

type Row = LogView['page']['rows'][number];

/** The log book: what happened, written by itself with every step. */
export function LogDrawer({ page, asked, of, works, workId }: LogView) {
  const format = useFormat();
  const story = of !== null && workId === null;
  const router = useRouter();
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'at',
        head: 'Day',
        unsorted: true,
        value: (r) => r.at,
        cell: (r) => format.day(r.at),
        width: 104,
      },
      {
        key: 'work',
        names: true,
        head: 'Work',
        unsorted: true,
        value: (r) => r.work,
        cell: (r) => (
          <span style={{ font: "400 15px/1.3 'Newsreader', serif" }}>{r.work}</span>
        ),
        width: 200,
      },
      { key: 'size', head: 'Size', value: (r) => r.size, width: 96, unsorted: true },
      {
        key: 'impression',
        head: 'Number',
        unsorted: true,
        value: (r) => r.impression ?? '',
        cell: (r) => (r.impression ? <Pencil>{r.impression}</Pencil> : ''),
        width: 74,
      },
      {
        key: 'text',
        names: true,
        head: 'What happened',
        value: (r) => r.text,
        unsorted: true,
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead
        title={of ? `Log book: ${of}` : 'Log book'}
        sum={`${page.total} ${page.total === 1 ? 'line' : 'lines'}, ${story ? 'oldest' : 'newest'} first`}
      >
        {of && (
          <ButtonLink $plain href="/log?sheet=lines">
            The whole book
          </ButtonLink>
        )}
        <Choose
          label="Work"
          value={workId === null ? '' : String(workId)}
          onChange={(id) => router.push(`/log?sheet=lines${id ? `&work=${id}` : ''}`)}
          style={{ width: 190 }}
          options={[
            ['', 'all works'],
            ...works.map((w) => [String(w.id), w.title] as const),
          ]}
        />
      </DrawerHead>
      <Bench>
        <Surface>
          {!story && <LogSheets current="lines" />}
          {page.total === 0 ? (
            <Empty title="The log book is empty">
              <p>Every step writes its own line here.</p>
              <LooksLike
                heads={['Day', 'Work', 'Size', 'Number', 'What happened']}
                rows={[
                  [
                    format.day('2026-03-12'),
                    'Heron, Standing',
                    format.size(size(500, 700)),
                    '7/30',
                    'Number 7/30 given',
                  ],
                  [format.day('2026-03-09'), 'Low Bridge', '', '', 'Master taken in'],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              label="Log book"
              rows={page.rows}
              list={{ asked, total: page.total }}
              columns={columns}
              id={(r) => r.id}
            />
          )}
        </Surface>
      </Bench>
    </>
  );
}
