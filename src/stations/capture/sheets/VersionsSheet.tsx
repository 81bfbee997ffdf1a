'use client';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Figures, Slip, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small, TableHead } from '@/shell/words';
import styled from 'styled-components';
import { BringMaster } from '../BringMaster';
import type { Version } from '../versions';
import { ReadingJobs } from './ReadingJobs';
import type { SheetProps } from './sheetProps';

const Table = styled.table`
  border-collapse: collapse;
  font-size: 13.5px;
  th,
  td {
    text-align: right;
    padding: 7px 0 7px 18px;
    border-bottom: 1px solid var(--line);
    white-space: nowrap;
  }
  th:first-child,
  td:first-child {
    text-align: left;
    padding-left: 0;
  }
  thead th {
    font-weight: 600;
  }
  tbody th {
    font-weight: 400;
    color: var(--soft);
  }
`;

/** Every file that is or was the master of a work, side by side. */
export function VersionsSheet({ view, head }: SheetProps) {
  const format = useFormat();
  const { versions } = view;
  const percent = (v: number | null, digits = 0) =>
    v === null ? '—' : format.percent(v, digits);
  const rows: [string, (v: Version) => string][] = [
    ['taken in', (v) => format.day(v.at)],
    [
      'pixels',
      (v) => `${v.pixels.width} × ${v.pixels.height}${v.cropped ? ', cropped' : ''}`,
    ],
    ['bits', (v) => String(v.bits)],
    ['profile', (v) => v.profile ?? 'none'],
    [
      'detail',
      (v) =>
        v.read
          ? v.detail === null
            ? 'cannot tell'
            : format.number(v.detail, 2)
          : 'not read',
    ],
    ['specks found', (v) => (v.read ? format.number(v.specks) : 'not read')],
    [
      'mended since the one before',
      (v) => (v.mended === null ? '—' : format.number(v.mended)),
    ],
    ['darkest tone', (v) => percent(v.black, 1)],
    ['lightest tone', (v) => percent(v.white, 1)],
    ['clipped at the top', (v) => percent(v.clipped, 2)],
    ['noise of 255', (v) => (v.noise === null ? '—' : format.number(v.noise, 2))],
  ];
  const [newest, before] = versions;
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>
          {versions.length === 1
            ? 'One version so far'
            : `${versions.length} versions, newest first`}
        </TableHead>
        <div style={{ overflowX: 'auto' }}>
          <Table>
            <thead>
              <tr>
                <th />
                {versions.map((v, i) => (
                  <th key={v.sha256} scope="col">
                    {v.name}
                    {i === 0 ? ' (now)' : ''}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([name, of]) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  {versions.map((v) => (
                    <td key={v.sha256}>{of(v)}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
        </div>
      </Surface>
      <Slip label="Versions">
        <SlipTitle>Versions</SlipTitle>
        {newest && before ? (
          <>
            <Figures
              figures={[
                {
                  value: format.number(
                    (newest.pixels.width * newest.pixels.height) /
                      (before.pixels.width * before.pixels.height),
                    2,
                  ),
                  unit: '×',
                  label: 'pixels of the one before',
                },
                {
                  value: newest.mended === null ? '—' : format.number(newest.mended),
                  unit: '',
                  label: 'specks gone since',
                },
              ]}
            />
            <Sentence>
              {!newest.read
                ? 'The newest is held against the one before once its pixels are read.'
                : newest.mended === null
                  ? 'Another size or proportion than the one before: specks cannot be matched by place.'
                  : `${format.number(newest.mended)} of ${format.number(before.specks)} specks of the one before are gone; ${format.number(newest.specks)} are found now.`}
            </Sentence>
          </>
        ) : (
          <Sentence>
            Bring a newer file when specks were mended or the work was captured again: it is
            held against this one, and this one is kept.
          </Sentence>
        )}
        <ReadingJobs jobs={view.jobs} />
        <SectionLabel>Bring a newer master</SectionLabel>
        <BringMaster workId={view.work.id} primary={false} naming={view.naming} />
        <Small>
          Verdicts on specks are carried over by their place. A crop is not: the new file
          may lie otherwise.
        </Small>
      </Slip>
    </Bench>
  );
}
