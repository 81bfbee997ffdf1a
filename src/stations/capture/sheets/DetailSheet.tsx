'use client';
import { pixelsOf } from '@/core/units';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Figures, Slip, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Sentence, Small, TableHead } from '@/shell/words';
import { PowerCurve } from '../PowerCurve';
import { detailWords } from '../words';
import type { SheetProps } from './sheetProps';

const LENGTHS_MM = [300, 400, 600, 800];

/** How much of the pixel grid is real detail, and the curve that tells it. */
export function DetailSheet({ view, master, found, head }: SheetProps) {
  const format = useFormat();
  const { detail } = found.reading!;
  const { fraction } = detail;
  const longest = Math.max(master.facts.width, master.facts.height);
  const worth = fraction ?? 1;
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>What its finest texture is made of</TableHead>
        <PowerCurve curve={detail.curve} fraction={fraction} />
        <Small style={{ color: 'var(--soft)' }}>
          Power of the rows and columns of the sixteen best-textured tiles, from broad forms
          at the left to the finest the pixels could hold at the right. A sharp capture
          falls in one even slope; one that was enlarged, or is soft, breaks off early.
        </Small>
      </Surface>
      <Slip
        label="Detail"
        actions={
          <ButtonLink href={`/works/${view.work.id}/size`}>See it on the sizes</ButtonLink>
        }
      >
        <SlipTitle>Detail</SlipTitle>
        <Figures
          figures={[
            {
              value: fraction === null ? '—' : format.number(fraction, 2),
              unit: '',
              label: 'of the pixels is detail',
              tone: fraction !== null && fraction < 0.9 ? 'ochre' : undefined,
            },
            {
              value: fraction === null ? '—' : format.number(detail.confidence * 100),
              unit: fraction === null ? '' : '%',
              label: 'sure',
            },
          ]}
        />
        <Sentence $tone={fraction !== null && fraction < 0.9 ? 'caution' : 'plain'}>
          {detailWords(detail, format)}
        </Sentence>
        <SectionLabel>What it is worth on paper</SectionLabel>
        <SlipTable aria-label="What it is worth on paper">
          <thead>
            <tr>
              <th>longest side</th>
              <th>ppi on paper</th>
              <th>worth about</th>
            </tr>
          </thead>
          <tbody>
            {LENGTHS_MM.map((mm) => {
              const ppi = longest / pixelsOf(mm, 1);
              return (
                <tr key={mm}>
                  <td>{format.length(mm)}</td>
                  <td>{format.number(ppi)}</td>
                  <td>{fraction === null ? 'unknown' : format.number(ppi * worth)}</td>
                </tr>
              );
            })}
          </tbody>
        </SlipTable>
        <Small>
          A measurement, not a promise: the resolution proof has the last word. Where it
          cannot be told, sizes are judged by the pixels.
        </Small>
      </Slip>
    </Bench>
  );
}
