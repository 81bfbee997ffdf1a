'use client';
import { useMemo, useState } from 'react';
import { ASPECT_NAMES } from '@/core/log';
import { Button, DownloadLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { DataTable, FindField, useAddress } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Sentence } from '@/shell/words';
import { AnswerSlip } from './AnswerSlip';
import { AskBook } from './AskBook';
import { EntrySlip } from './EntrySlip';
import { LogSheets } from './LogSheets';
import type { PrintRow, PrintsView } from './prints';
import { ENTRY_KINDS, SOURCES, scaleWord } from './words';

type Row = PrintRow & { distance?: number };

const small = { fontSize: 12.5 };

/** The log book of what was printed: it remembers how, and what was thought of it, and answers. */
export function PrintLog(view: PrintsView) {
  const { page, asked, query, works, papers, answer } = view;
  const format = useFormat();
  const go = useAddress();
  const [picked, setPicked] = useState<number | null>(null);
  const rows: Row[] = answer ? answer.near : page.rows;
  const row = rows.find((r) => r.id === picked) ?? null;
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'at',
        head: 'Day',
        unsorted: true,
        value: (r) => r.at,
        cell: (r) => (
          <span style={{ whiteSpace: 'nowrap', ...small }}>{format.day(r.at)}</span>
        ),
        width: 88,
      },
      {
        key: 'what',
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
        head: answer ? 'Apart, thought' : 'Thought of it',
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
    [format, answer],
  );
  const filter = new URLSearchParams(
    Object.entries(query).flatMap(([k, v]) =>
      v && ['work', 'kind', 'paper', 'find'].includes(k) ? [[k, v]] : [],
    ),
  ).toString();
  const file = (form: string) => `/api/log?form=${form}${filter && `&${filter}`}`;
  const choice = { padding: 6, maxWidth: 140 };
  return (
    <>
      <DrawerHead
        title="Log book"
        sum={
          answer
            ? `the ${rows.length} nearest, nearest first`
            : `${page.total} ${page.total === 1 ? 'entry' : 'entries'}, newest first`
        }
      >
        <FindField value={asked.find} label="Find in the book" />
        <Choose
          aria-label="Kind"
          style={choice}
          value={query.kind ?? ''}
          onChange={(e) => go({ kind: e.target.value, page: null })}
        >
          <option value="">all kinds</option>
          {Object.entries(ENTRY_KINDS).map(([k, name]) => (
            <option key={k} value={k}>
              {name}
            </option>
          ))}
        </Choose>
        <Choose
          aria-label="Work"
          style={choice}
          value={query.work ?? ''}
          onChange={(e) => go({ work: e.target.value, page: null })}
        >
          <option value="">all works</option>
          {works.map((w) => (
            <option key={w.id} value={w.id}>
              {w.title}
            </option>
          ))}
        </Choose>
        <Choose
          aria-label="Paper"
          style={choice}
          value={query.paper ?? ''}
          onChange={(e) => go({ paper: e.target.value, page: null })}
        >
          <option value="">all papers</option>
          {papers.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Choose>
      </DrawerHead>
      <Bench>
        <Surface>
          <LogSheets current="prints" />
          <AskBook
            key={`${query.factor ?? ''} ${query.source ?? ''} ${query.on ?? ''}`}
            view={view}
          />
          {rows.length === 0 ? (
            <Empty
              title={
                page.total === 0 && !filter
                  ? 'Nothing was printed yet'
                  : 'Nothing of this is in the book'
              }
            >
              <p>
                {filter
                  ? 'Take a word or a filter away.'
                  : 'Print files, proofs and impressions write themselves in.'}
              </p>
              {filter && (
                <Button
                  $plain
                  onPress={() => go({ find: null, kind: null, work: null, paper: null })}
                >
                  Show all
                </Button>
              )}
            </Empty>
          ) : (
            <DataTable
              label="Log book of prints"
              rows={rows}
              {...(answer ? {} : { list: { asked, total: page.total } })}
              columns={columns}
              id={(r) => r.id}
              picked={picked}
              onPick={(r) => setPicked(r.id === picked ? null : r.id)}
              tight
            />
          )}
        </Surface>
        {row ? (
          <EntrySlip key={row.id} row={row} />
        ) : answer ? (
          <AnswerSlip view={view} answer={answer} />
        ) : (
          <Slip
            label="The book"
            actions={
              <>
                <DownloadLink $plain href={file('csv')}>
                  As CSV
                </DownloadLink>
                <DownloadLink $plain href={file('pdf')}>
                  To print, PDF
                </DownloadLink>
              </>
            }
          >
            <SlipTitle>What was printed</SlipTitle>
            <Sentence>
              Pick an entry to see how it was made, and say what you think of it. Ask the
              book before the next large print: it answers with the nearest ones and a
              recipe.
            </Sentence>
          </Slip>
        )}
      </Bench>
    </>
  );
}
