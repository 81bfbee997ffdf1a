'use client';
import styled from 'styled-components';
import { sheetShares } from '@/core/cut';
import type { CutPlan } from '@/core/cut';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { purposeOf } from '@/studio/words/sheetWords';
import type { SheetsDesk } from './useSheetsDesk';

const Wide = styled(SlipTable)`
  font-size: 13px;
  td:nth-child(-n + 3),
  th:nth-child(-n + 3) {
    text-align: left;
  }
`;

/** What each kind of piece has of the paper, and on which sheets it lies. */
function borneBy(plan: CutPlan, piece: string) {
  let cost = 0;
  const on = new Set<number>();
  plan.sheets.forEach((sheet, i) => {
    const { places } = sheetShares(sheet);
    sheet.places.forEach((p, k) => {
      if (p.piece !== piece) return;
      on.add(i + 1);
      cost += (sheet.cost ?? 0) * places[k]!;
    });
  });
  return { cost: Math.round(cost), on: [...on] };
}

/** The pieces of the plan, what is due first at the front: what each is for, where it lies, what its paper costs. */
export function PiecesTable({
  desk,
  plan,
  currency,
}: {
  desk: SheetsDesk;
  plan: CutPlan;
  currency: string;
}) {
  const format = useFormat();
  const priced = plan.sheets.every((s) => s.cost !== null);
  const rows = [...desk.state.pieces].sort((a, b) =>
    (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9'),
  );
  return (
    <Wide aria-label="Pieces of the plan">
      <thead>
        <tr>
          <th>piece</th>
          <th>for</th>
          <th>due</th>
          <th>sheet</th>
          <th>paper for one</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((p) => {
          const { cost, on } = borneBy(plan, p.id);
          return (
            <tr key={p.id}>
              <td>
                {p.count > 1 && `${p.count} × `}
                {p.title}, {p.size}
              </td>
              <td>{purposeOf(p)}</td>
              <td>{p.dueOn ? format.day(p.dueOn) : ''}</td>
              <td>{on.length > 0 ? on.join(', ') : 'none'}</td>
              <td>
                {priced && on.length > 0
                  ? format.money(Math.round(cost / p.count), currency)
                  : ''}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Wide>
  );
}
