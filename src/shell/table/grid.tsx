'use client';
import { Table } from 'react-aria-components';
import styled, { css } from 'styled-components';

export const Wrap = styled.div`
  position: relative;
  min-height: 0;
  overflow: auto;
`;

/** The look of a list, whatever draws it. */
export const gridCss = css`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 5px 10px 5px 2px;
    text-align: left;
    vertical-align: middle;
    border-bottom: 1px solid var(--line);
  }
  th {
    position: sticky;
    top: 0;
    background: var(--table);
    font-weight: 500;
    font-size: 12px;
    color: var(--soft);
    white-space: nowrap;
    z-index: 1;
  }
  th[data-allows-sorting] {
    cursor: pointer;
    svg {
      vertical-align: -1px;
      margin-left: 3px;
    }
  }
  tbody tr {
    position: relative;
  }
  /* The link of a line lies over all of it; what else can be pressed lies above. */
  a.line {
    color: inherit;
    text-decoration: none;
    &::after {
      content: '';
      position: absolute;
      inset: 0;
    }
  }
  td a:not(.line),
  td button,
  td label {
    position: relative;
    z-index: 1;
  }
  th button {
    appearance: none;
    border: 0;
    background: none;
    padding: 3px 0;
    font: inherit;
    cursor: pointer;
    display: inline-flex;
    align-items: center;
    gap: 3px;
  }
  .figure {
    text-align: right;
  }
  .figure,
  .short {
    white-space: nowrap;
  }
  &[data-tight] {
    font-size: 12.5px;
    /* Widths come from the heads: rows are not measured against one another. */
    table-layout: fixed;
    th,
    td {
      padding: 2.5px 7px 2.5px 2px;
    }
    th {
      font-size: 11.5px;
    }
  }
  tbody tr {
    cursor: default;
  }
  tbody tr:has([data-tone='caution']) td {
    color: var(--ochre);
  }
  tbody tr:has([data-tone='stop']) td {
    color: var(--brick);
  }
  tbody tr[data-opens] {
    cursor: pointer;
  }
  tbody tr[data-opens]:hover {
    background: rgba(0, 0, 0, 0.05);
  }
  tbody tr[aria-selected='true'],
  tbody tr[data-picked] {
    background: rgba(255, 255, 255, 0.42);
    box-shadow: inset 3px 0 0 var(--blue);
    td:first-child {
      padding-left: 8px;
    }
  }
  [data-tone='dark'] & tbody tr[aria-selected='true'],
  [data-tone='dark'] & tbody tr[data-picked] {
    background: rgba(255, 255, 255, 0.12);
  }
  tbody tr:focus-visible {
    outline-offset: -2px;
  }
`;

export const Grid = styled.table`
  ${gridCss}
`;

export const GridOf = styled(Table)`
  ${gridCss}
`;
