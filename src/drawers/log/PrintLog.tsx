'use client';
import { useSearchParams } from 'next/navigation';
import { size } from '@/core/units';
import { Button, DownloadLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { DataTable, FindField, useAddress, useAddressOf, LooksLike } from '@/shell/table';
import { Sentence } from '@/shell/words';
import { AnswerSlip } from './AnswerSlip';
import { AskBook } from './AskBook';
import { EntrySlip } from './EntrySlip';
import { LogSheets } from './LogSheets';
import type { PrintsView } from './prints';
import { ENTRY_KINDS } from './words';
import { Filter, named } from './Filter';
import { usePrintColumns } from './usePrintColumns';
import type { LogRow } from './usePrintColumns';

/** The log book of what was printed: it remembers how, and what was thought of it, and answers. */
export function PrintLog(view: PrintsView) {
  const { page, asked, query, works, papers, answer } = view;
  const go = useAddress();
  const addressOf = useAddressOf();
  const format = useFormat();
  const asking = useSearchParams().get('entry');
  const picked = asking === null ? null : Number(asking);
  const rows: LogRow[] = answer ? answer.near : page.rows;
  const row = rows.find((r) => r.id === picked) ?? null;
  const columns = usePrintColumns(answer !== null);
  const filter = new URLSearchParams(
    Object.entries(query).flatMap(([k, v]) =>
      v && ['work', 'kind', 'paper', 'find'].includes(k) ? [[k, v]] : [],
    ),
  ).toString();
  const file = (form: string) => `/api/log?form=${form}${filter && `&${filter}`}`;
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
        <Filter name="kind" label="Kind" all="all kinds" of={Object.entries(ENTRY_KINDS)} />
        <Filter name="work" label="Work" all="all works" of={named(works, 'title')} />
        <Filter name="paper" label="Paper" all="all papers" of={named(papers, 'name')} />
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
              {!filter && (
                <LooksLike
                  heads={['Day', 'Print', '×', 'From', 'On, by']}
                  rows={[
                    [
                      format.day('2026-03-12'),
                      `Heron, Standing, ${format.size(size(500, 700))}`,
                      '1.6',
                      'scan',
                      'a cotton paper, own printer',
                    ],
                  ]}
                />
              )}
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
              href={(r) => addressOf({ entry: r.id === picked ? null : String(r.id) })}
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
