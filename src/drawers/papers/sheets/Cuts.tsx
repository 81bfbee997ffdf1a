'use client';
import styled from 'styled-components';
import type { CutSheetPlan } from '@/core/cut';
import { size } from '@/core/units';
import { useFormat } from '@/shell/figures';
import { cutLines } from '@/studio/words/cutListWords';

const List = styled.ol`
  list-style: none;
  font-size: 12.5px;
  li {
    display: flex;
    gap: 6px;
    padding: 3px 0;
    border-bottom: 1px solid var(--line);
  }
  b {
    min-width: 15px;
  }
  span:last-child {
    margin-left: auto;
    white-space: nowrap;
  }
`;

/** The cuts of a sheet in the order in which they are made: which part is in hand, where the stop is set. */
export function Cuts({ sheet, roll }: { sheet: CutSheetPlan; roll: boolean }) {
  const format = useFormat();
  const lines = cutLines(sheet, roll, format.length, (of) =>
    format.size(size(of.width, of.height)),
  );
  return (
    <List>
      {lines.map(({ what, at }, i) => (
        <li key={i}>
          <b>{i + 1}</b>
          <span>{what}</span>
          <span>{at}</span>
        </li>
      ))}
    </List>
  );
}
