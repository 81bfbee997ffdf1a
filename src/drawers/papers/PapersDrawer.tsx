'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import {
  Bench,
  Button,
  ButtonLink,
  DataTable,
  DrawerHead,
  FactList,
  Field,
  Figures,
  Problem,
  SectionLabel,
  Sentence,
  Slip,
  SlipSub,
  SlipTitle,
  Surface,
  useActionForm,
  useFormat,
} from '@/shell';
import type { Column } from '@/shell';
import { movePaper } from './actions';
import { BringPapers } from './BringPapers';
import { EditPaper, NewPaper } from './PaperForms';
import type { PapersView } from './view';

type Row = PapersView['papers'][number];

const LEVELS = { enough: 'enough', low: '▲ low', out: '▲ out' } as const;

const Stock = ({ paper }: { paper: Row }) => {
  const { form, submit, sending, problem } = useActionForm(
    movePaper,
    { pieces: '', reason: 'delivery' },
    { fixed: { paperId: String(paper.id) }, done: 'Stock noted.' },
  );
  return (
    <>
      <SectionLabel>Sheets received, or used with a minus</SectionLabel>
      <Field form={form} name="pieces" label="Sheets" />
      <Field form={form} name="reason" label="Why" words />
      <Problem>{problem}</Problem>
      <Button
        $small
        onPress={submit}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Note it
      </Button>
    </>
  );
};

/** Papers: every stock, what is left of it, what it is, and how it behaves. */
export function PapersDrawer(view: PapersView) {
  const { papers, picked, movements, adding, editing, bringing, currency } = view;
  const format = useFormat();
  const router = useRouter();
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'name',
        head: 'Paper',
        value: (r) => r.name,
        cell: (r) => (
          <>
            <span style={{ font: "400 16px/1.2 'Newsreader', serif", display: 'block' }}>
              {r.name}
            </span>
            <span style={{ fontSize: 12, color: 'var(--soft)' }}>{r.maker}</span>
          </>
        ),
      },
      { key: 'base', head: 'Base', value: (r) => r.base },
      { key: 'surface', head: 'Surface', value: (r) => r.surface },
      { key: 'weight', head: 'g/m²', value: (r) => r.weight, figure: true },
      {
        key: 'sheet',
        head: 'Sheet',
        value: (r) => r.sheetWidth * r.sheetHeight,
        cell: (r) => format.size({ width: r.sheetWidth, height: r.sheetHeight }),
        figure: true,
      },
      {
        key: 'price',
        head: `Price, ${currency}`,
        value: (r) => r.price,
        cell: (r) => format.amount(r.price),
        figure: true,
      },
      { key: 'sheets', head: 'Left', value: (r) => r.sheets, figure: true },
      {
        key: 'level',
        head: 'Stock',
        value: (r) => r.level,
        cell: (r) => (
          <span style={{ color: r.level === 'enough' ? undefined : 'var(--ochre)' }}>
            {LEVELS[r.level]}
          </span>
        ),
      },
    ],
    [format, currency],
  );
  const low = papers.filter((p) => p.level !== 'enough').length;
  return (
    <>
      <DrawerHead
        title="Papers"
        sum={`${papers.length} papers, ${low} at or under the reorder point`}
      >
        <ButtonLink $plain href="/papers?bring=1">
          From a list
        </ButtonLink>
        <ButtonLink href="/papers?new=1">New paper</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {papers.length === 0 ? (
            <p>
              No paper yet. Describe the first one at the right: sample packs are tried
              before a stock is chosen.
            </p>
          ) : (
            <DataTable
              label="Papers"
              rows={papers}
              columns={columns}
              id={(r) => r.id}
              picked={adding ? null : (picked?.id ?? null)}
              onPick={(r) => router.push(`/papers?paper=${r.id}`, { scroll: false })}
            />
          )}
        </Surface>
        {bringing ? (
          <BringPapers />
        ) : adding || !picked ? (
          <NewPaper currency={currency} first={papers.length === 0} />
        ) : editing ? (
          <EditPaper
            key={picked.id}
            paperId={picked.id}
            stored={editing}
            currency={currency}
          />
        ) : (
          <Slip label={picked.name}>
            <SlipTitle>{picked.name}</SlipTitle>
            <SlipSub>
              {picked.maker} ·{' '}
              <Link href={`/papers?paper=${picked.id}&edit=1`}>change</Link>
            </SlipSub>
            <Figures
              figures={[
                {
                  value: String(picked.sheets),
                  unit: '',
                  label: 'sheets left',
                  tone: picked.level === 'enough' ? undefined : 'ochre',
                },
                { value: String(picked.weight), unit: 'g/m²', label: 'weight' },
                { value: format.number(picked.thickness, 2), unit: 'mm', label: 'thick' },
              ]}
            />
            <Sentence $tone={picked.level === 'enough' ? 'plain' : 'caution'}>
              {picked.level === 'enough'
                ? `Enough: ${picked.sheets - picked.reorderPoint} sheets above the reorder point.`
                : picked.level === 'out'
                  ? 'None left. Order before the next print is promised.'
                  : `At or under the reorder point of ${picked.reorderPoint}: order now.`}
            </Sentence>
            <FactList
              facts={[
                ['Base, surface', `${picked.base}, ${picked.surface}`],
                [
                  'Sheet',
                  format.size({ width: picked.sheetWidth, height: picked.sheetHeight }),
                ],
                ['Printer setting', picked.printerSetting || 'none noted'],
              ]}
            />
            {picked.permanence && (
              <p style={{ fontSize: 12.5 }}>Permanence: {picked.permanence}</p>
            )}
            {picked.note && <p style={{ fontSize: 12.5 }}>{picked.note}</p>}
            <Stock key={picked.id} paper={picked} />
            <FactList
              facts={movements
                .slice(-6)
                .reverse()
                .map((m) => [
                  `${format.day(m.at)}, ${m.reason}`,
                  m.pieces > 0 ? `+${m.pieces}` : String(m.pieces),
                ])}
            />
          </Slip>
        )}
      </Bench>
    </>
  );
}
