'use client';
import styled from 'styled-components';
import { Cells } from './Cells';
import { gridCss } from './grid';

const Faint = styled.table`
  ${gridCss}
  font-size: 13px;
  text-align: left;
  th {
    position: static;
    background: none;
  }
  td {
    font-style: italic;
    color: var(--soft);
    border-bottom-style: dashed;
    white-space: nowrap;
  }
`;

const Held = styled.div`
  width: 100%;
  min-width: 0;
  overflow-x: auto;
  margin-top: 18px;
  border: 1px dashed var(--line);
  padding: 8px 14px 12px;
`;

const Said = styled.caption`
  caption-side: top;
  text-align: left;
  font-size: 12px;
  color: var(--soft);
  padding-bottom: 4px;
`;

/** What an empty drawer will look like: lines that are made up, and say so. */
export const LooksLike = ({
  heads,
  rows,
}: {
  heads: readonly string[];
  rows: readonly (readonly string[])[];
}) => (
  <Held role="group" aria-label="What it will look like" tabIndex={0}>
    <Faint>
      <Said>So it will look, with lines such as these (made up):</Said>
      <Cells heads={heads} rows={rows} />
    </Faint>
  </Held>
);
