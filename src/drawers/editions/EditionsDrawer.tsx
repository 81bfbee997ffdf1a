'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import styled from 'styled-components';
import { size } from '@/core/units';
import { Button } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { EnterForm, Field } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { DataTable, ListOut, takesOut, FindField, LooksLike } from '@/shell/table';
import type { TypedValues } from '@/shell/fields';
import type { Column } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { verify } from './actions';
import type { EditionsView } from './view';
import { codeForm } from './codeForm';

const MANY = [takesOut('editions')];

type Row = EditionsView['page']['rows'][number];

const Bar = styled.span`
  display: flex;
  width: 150px;
  height: 12px;
  border: 1px solid #555;
  background: transparent;
  i {
    display: block;
    height: 100%;
    border-right: 1px solid #555;
  }
`;

/** Editions: how many were declared, where the impressions are, how many are left; the ledger's check. */
export function EditionsDrawer({ page, asked, counts, code, check }: EditionsView) {
  const format = useFormat();
  const router = useRouter();
  const [held, setHeld] = useState<{ sound: boolean; words: string } | null>(null);
  const form = useForm<TypedValues>({ defaultValues: { code } });
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'work',
        names: true,
        head: 'Work',
        value: (r) => r.work,
        cell: (r) => (
          <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>{r.work}</span>
        ),
      },
      { key: 'size', names: true, head: 'Size', value: (r) => r.size },
      {
        key: 'of',
        head: 'Of',
        value: (r) => r.of ?? 0,
        cell: (r) => r.of ?? 'open',
        figure: true,
      },
      { key: 'aps', head: 'AP', value: (r) => r.aps, figure: true },
      { key: 'here', head: 'Here', value: (r) => r.here, figure: true },
      { key: 'ordered', head: 'Ordered', value: (r) => r.ordered, figure: true },
      { key: 'sold', head: 'Sold', value: (r) => r.sold, figure: true },
      {
        key: 'left',
        head: 'To give',
        value: (r) => r.left ?? 0,
        cell: (r) => r.left ?? '∞',
        figure: true,
      },
      {
        key: 'bar',
        head: 'Sold, ordered, here',
        value: () => 0,
        unsorted: true,
        cell: (r) => {
          const of = r.of ?? Math.max(1, r.sold + r.ordered + r.here);
          return (
            <Bar aria-hidden>
              <i style={{ width: `${(100 * r.sold) / of}%`, background: '#2d2d2d' }} />
              <i style={{ width: `${(100 * r.ordered) / of}%`, background: '#8b8b8b' }} />
              <i style={{ width: `${(100 * r.here) / of}%`, background: '#f4f4f4' }} />
            </Bar>
          );
        },
      },
    ],
    [],
  );
  return (
    <>
      <DrawerHead
        title="Editions"
        sum={`${counts.declared} declared, ${counts.closed} closed, ${counts.sold} impressions sold`}
      >
        <FindField label="Find a title or 7/30" value={asked.find} />
        <ListOut drawer="editions" />
      </DrawerHead>
      <Bench>
        <Surface>
          {counts.declared === 0 ? (
            <Empty title="No edition is declared yet">
              <p>
                Editions are declared at the edition station of a work, before the first is
                sold.
              </p>
              <LooksLike
                heads={['Work', 'Size', 'Of', 'AP', 'Here', 'Ordered', 'Sold']}
                rows={[
                  [
                    'Heron, Standing',
                    format.size(size(500, 700)),
                    '30',
                    '3',
                    '6',
                    '2',
                    '11',
                  ],
                  ['Low Bridge', format.size(size(300, 400)), 'open', '0', '4', '0', '19'],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              many={MANY}
              label="Editions"
              rows={page.rows}
              list={{ asked, total: page.total }}
              columns={columns}
              id={(r) => r.id}
              href={(r) =>
                `/works/${r.workId}/edition${r.sizeKey === 'all' ? '' : `?size=${r.sizeKey}`}`
              }
            />
          )}
        </Surface>
        <Slip label="The ledger">
          <SlipTitle>The ledger</SlipTitle>
          <Sentence $tone={held && !held.sound ? 'stop' : 'plain'}>
            {held
              ? held.words
              : 'Every number given, spoiled, ordered and sold is an entry that cannot be changed; each carries the hash of the one before.'}
          </Sentence>
          <Button
            $small
            onPress={() => void verify().then((a) => a.ok && setHeld(a.value))}
            style={{ alignSelf: 'flex-start' }}
          >
            Check every entry
          </Button>
          <SectionLabel>Hold a certificate against it</SectionLabel>
          <EnterForm
            onEnter={() =>
              router.push(
                `/editions?code=${encodeURIComponent(form.getValues('code') ?? '')}`,
              )
            }
            style={{ display: 'grid', gap: 8 }}
          >
            <Field form={form} of={codeForm} name="code" words />
            <Button type="submit" $small $plain style={{ justifySelf: 'start' }}>
              Check this certificate
            </Button>
          </EnterForm>
          {check && (
            <Sentence $tone={check.found ? 'plain' : 'stop'}>{check.words}</Sentence>
          )}
          <Small>
            Disclosure of limited editions is law in some places; local law decides.
          </Small>
        </Slip>
      </Bench>
    </>
  );
}
