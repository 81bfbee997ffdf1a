'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import { STATIONS } from '@/core/work';
import { size } from '@/core/units';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { StationMark } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { DataTable, ListOut, takesOut, FindField, LooksLike } from '@/shell/table';
import type { Column } from '@/shell/table';
import type { WorksView } from './view';

const MANY = [takesOut('works')];

type Row = WorksView['page']['rows'][number];

const Thumb = styled.span`
  display: grid;
  place-items: center;
  width: 62px;
  height: 50px;
  img {
    max-width: 62px;
    max-height: 50px;
    box-shadow: 0 1px 2px rgba(0, 0, 0, 0.4);
  }
  span {
    font-size: 11px;
    color: var(--soft);
    text-align: center;
    line-height: 1.1;
  }
`;

const Title = styled.span`
  font:
    400 16.5px/1.2 'Newsreader',
    serif;
  display: block;
`;

const Marks = styled.span`
  display: grid;
  grid-template-columns: repeat(8, 46px);
  > span {
    display: grid;
    justify-items: center;
    gap: 2px;
    font-size: 10.5px;
    color: var(--soft);
  }
  > span > span {
    color: var(--ink);
  }
`;

/** All works, each with its marks along the rule and its next step. */
export function WorksDrawer({ works, page, asked }: WorksView) {
  const format = useFormat();
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'picture',
        head: '',
        value: (r) => r.work.id,
        width: 74,
        cell: (r) => (
          <Thumb>
            {r.preview ? <img src={r.preview} alt="" /> : <span>no master yet</span>}
          </Thumb>
        ),
      },
      {
        key: 'title',
        head: 'Title',
        value: (r) => r.work.title,
        cell: (r) => (
          <>
            <Title>{r.work.title}</Title>
            <span style={{ fontSize: 12, color: 'var(--soft)' }}>
              {r.work.medium}, {r.work.year}
            </span>
          </>
        ),
      },
      {
        key: 'size',
        head: 'Original',
        value: (r) => r.work.width * r.work.height,
        cell: (r) => format.size(r.work),
        figure: true,
      },
      {
        key: 'mp',
        head: 'Master',
        value: (r) => r.megapixels ?? 0,
        cell: (r) =>
          r.megapixels === null ? '–' : `${format.number(r.megapixels, 1)}\u202fMP`,
        figure: true,
      },
      { key: 'sizes', head: 'Sizes', value: (r) => r.sizes, figure: true },
      { key: 'sold', head: 'Sold', value: (r) => r.sold, figure: true },
      {
        key: 'rule',
        head: 'Along the rule',
        value: () => 0,
        unsorted: true,
        width: 378,
        cell: (r) => (
          <Marks>
            {STATIONS.map((s) => (
              <span key={s}>
                <StationMark mark={r.marks[s]} why={r.why[s]} />
                {s}
              </span>
            ))}
          </Marks>
        ),
      },
    ],
    [format],
  );
  if (works === 0)
    return (
      <>
        <DrawerHead title="Works" sum="Nothing here yet" />
        <Empty title="Take in your first work">
          <p>
            Give its title and size, then drop the scan or photograph of it on the capture
            station.
          </p>
          <ButtonLink href="/works/new">New work</ButtonLink>
          <LooksLike
            heads={['Title', 'Original', 'Master', 'Sizes', 'Sold', 'Along the rule']}
            rows={[
              [
                'Heron, Standing',
                format.size(size(300, 400)),
                `${format.number(42, 1)} MP`,
                '3',
                '11',
                'next: Price',
              ],
              [
                'Low Bridge',
                format.size(size(210, 297)),
                'none yet',
                '0',
                '0',
                'next: Capture',
              ],
            ]}
          />
        </Empty>
      </>
    );
  return (
    <>
      <DrawerHead
        title="Works"
        sum={page.total === works ? `${works} works` : `${page.total} of ${works} works`}
      >
        <FindField label="Find a title or medium" value={asked.find} />
        <ListOut drawer="works" />
        <ButtonLink href="/works/new">New work</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          <DataTable
            many={MANY}
            label="Works"
            rows={page.rows}
            list={{ asked, total: page.total }}
            columns={columns}
            id={(r) => r.work.id}
            href={(r) => `/works/${r.work.id}/${r.next}`}
          />
        </Surface>
      </Bench>
    </>
  );
}
