'use client';
import { Link } from '@/shell/link';
import { useMemo } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { DataTable, ListOut, takesOut, useAddressOf, LooksLike } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Sentence, Small } from '@/shell/words';
import { Delivery, EditMaterial, LayIn, NewMaterial } from './MaterialForms';
import type { MaterialsView } from './view';
import { comingWords } from '@/studio/words/boughtWords';
import { lastsSentence } from '@/studio/words/lastingWords';
import { KIND_WORDS, leftSentence } from './words';

const MANY = [takesOut('materials')];

type Row = MaterialsView['materials'][number];

const isLow = (m: Row) => m.stock <= Math.max(0, m.reorderPoint);

/** The piece to one scale with all others: a sheet of it, or the tube lying. */
const ToScale = ({ row, scale }: { row: Row; scale: number }) => (
  <svg width={76} height={48} aria-hidden>
    <rect
      x={1}
      y={1}
      width={Math.max(2, (row.kind === 'tube' ? row.height : row.width) * scale)}
      height={Math.max(2, (row.kind === 'tube' ? row.width : row.height) * scale)}
      fill={
        { sleeve: '#f4f4f4', board: '#dcd7c9', mailer: '#b59b70', tube: '#b59b70' }[
          row.kind
        ]
      }
      stroke="#6b6558"
    />
  </svg>
);

/** What is picked: how much of it is left, what it is, and what moved. */
function MaterialSlip({
  material,
  view: { movements, coming, today },
}: {
  material: Row;
  view: MaterialsView;
}) {
  const format = useFormat();
  const { width, height, thickness, mass, cost, currency, kind } = material;
  return (
    <Slip label={material.name}>
      <SlipTitle>{material.name}</SlipTitle>
      <SlipSub>
        {KIND_WORDS[kind]} ·{' '}
        <Link href={`/materials?material=${material.id}&edit=1`}>change</Link>
      </SlipSub>
      <Figures
        figures={[
          {
            value: String(material.stock),
            unit: '',
            label: 'pieces left',
            tone: isLow(material) ? 'ochre' : undefined,
          },
          { ...splitUnit(format.mass(mass)), label: 'one weighs' },
        ]}
      />
      <Sentence $tone={isLow(material) ? 'caution' : 'plain'}>
        {leftSentence(material)}
      </Sentence>
      {material.lasting && (
        <Small>{lastsSentence(material.lasting, material.deliveryDays, format.day)}</Small>
      )}
      {coming && <Small>{comingWords(coming, today, format.day)}</Small>}
      <FactList
        facts={[
          [
            kind === 'tube' ? 'Diameter, length' : kind === 'board' ? 'Size' : 'Inside',
            kind === 'tube'
              ? `${format.length(width)}, ${format.length(height)}`
              : format.size({ width, height }),
          ],
          [kind === 'tube' ? 'Wall' : 'Thickness', format.length(thickness)],
          ['Cost of one', format.money(cost, currency)],
          ['Supplier', material.supplier || 'none noted'],
        ]}
      />
      <Delivery key={material.id} material={material} />
      <FactList
        facts={movements.map((m) => [
          `${format.day(m.at)}, ${m.reason}`,
          m.pieces > 0 ? `+${m.pieces}` : `−${-m.pieces}`,
        ])}
      />
    </Slip>
  );
}

/** Packing material: what is on the shelf, what it weighs and costs, and what is low. */
export function MaterialsDrawer(view: MaterialsView) {
  const { materials, picked, adding, editing } = view;
  const format = useFormat();
  const addressOf = useAddressOf();
  const scale = 46 / Math.max(76, ...materials.map((m) => Math.max(m.width, m.height)));
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'drawn',
        head: 'To scale',
        value: (r) => r.width * r.height,
        unsorted: true,
        cell: (r) => <ToScale row={r} scale={scale} />,
      },
      {
        key: 'name',
        names: true,
        head: 'Material',
        value: (r) => r.name,
        cell: (r) => (
          <span style={{ font: "400 16px/1.2 'Newsreader', serif" }}>{r.name}</span>
        ),
      },
      { key: 'kind', head: 'Kind', value: (r) => KIND_WORDS[r.kind] },
      {
        key: 'mass',
        head: 'One weighs',
        value: (r) => r.mass,
        cell: (r) => format.mass(r.mass),
        figure: true,
      },
      {
        key: 'cost',
        head: 'Cost',
        value: (r) => r.cost,
        cell: (r) => format.money(r.cost, r.currency),
        figure: true,
      },
      { key: 'stock', head: 'Left', value: (r) => r.stock, figure: true },
      {
        key: 'level',
        head: 'Stock',
        value: (r) => r.stock - r.reorderPoint,
        cell: (r) => (
          <span style={{ color: isLow(r) ? 'var(--ochre)' : undefined }}>
            {r.stock <= 0 ? '▲ out' : isLow(r) ? '▲ low' : 'enough'}
          </span>
        ),
      },
    ],
    [format, scale],
  );
  const low = materials.filter(isLow).length;
  return (
    <>
      <DrawerHead
        title="Packing material"
        sum={`${materials.length} kinds, ${low} out or low`}
      >
        {materials.length > 0 && <LayIn plain />}
        <ListOut drawer="materials" />
        <ButtonLink $plain href="/papers">
          Papers
        </ButtonLink>
        <ButtonLink href="/materials?new=1">New material</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {materials.length === 0 ? (
            <Empty title="Nothing to pack in yet">
              <p>Describe what you pack in, or lay in what is usual, at the right.</p>
              <LooksLike
                heads={['Material', 'Kind', 'One weighs', 'Cost', 'Left']}
                rows={[
                  [
                    'Flat mailer, large',
                    'mailer',
                    format.mass(420),
                    format.money(310),
                    '14',
                  ],
                  ['Tube, 9 cm', 'tube', format.mass(380), format.money(260), '22'],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              many={MANY}
              label="Packing material"
              rows={materials}
              columns={columns}
              id={(r) => r.id}
              picked={adding ? null : (picked?.id ?? null)}
              href={(r) => addressOf({ material: String(r.id), edit: null, new: null })}
            />
          )}
        </Surface>
        {adding || !picked ? (
          <NewMaterial first={materials.length === 0} />
        ) : editing ? (
          <EditMaterial key={picked.id} material={picked} stored={editing} />
        ) : (
          <MaterialSlip material={picked} view={view} />
        )}
      </Bench>
    </>
  );
}
