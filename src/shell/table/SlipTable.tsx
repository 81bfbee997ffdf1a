'use client';
import styled from 'styled-components';

/** A compact table on the slip; figures align right. */
export const SlipTable = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
  th {
    font-weight: 400;
    font-size: 11.5px;
    color: var(--soft);
  }
  th,
  td {
    text-align: right;
    padding: 4.5px 0 4.5px 8px;
    border-bottom: 1px solid var(--line);
    white-space: nowrap;
  }
  th:first-child,
  td:first-child {
    text-align: left;
    padding-left: 0;
  }
  tr[data-opens] {
    cursor: pointer;
  }
  tr[data-opens]:hover {
    background: rgba(0, 0, 0, 0.05);
  }
  tr[aria-selected='true'] td {
    font-weight: 600;
    background: rgba(28, 74, 120, 0.1);
  }
  tr[data-tone='caution'] td {
    color: var(--ochre);
  }
  tr[data-tone='stop'] td {
    color: var(--brick);
  }
  td.wrap {
    white-space: normal;
  }
`;
