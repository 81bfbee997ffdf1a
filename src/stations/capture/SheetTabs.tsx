'use client';
import Link from 'next/link';
import styled from 'styled-components';
import { SHEETS, SHEET_NAMES } from './sheetNames';
import type { SheetId } from './sheetNames';

const Row = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  border-bottom: 1px solid #8a8a8a;
  a {
    font:
      400 15.5px/1.2 'Newsreader',
      serif;
    padding: 3px 1px 6px;
    color: inherit;
    text-decoration: none;
    border-bottom: 3px solid transparent;
  }
  a:hover {
    border-color: #8a8a8a;
  }
  a[aria-current='page'] {
    border-color: var(--ink);
    font-weight: 600;
  }
  small {
    font:
      500 11.5px 'Commissioner',
      sans-serif;
    margin-left: 4px;
    color: var(--ochre);
  }
`;

interface SheetTabsProps {
  workId: number;
  current: SheetId;
  /** Sheets that can be turned to, and how many cautions each holds. */
  cautions: Partial<Record<SheetId, number>>;
  hasMaster: boolean;
}

/** The sheets of the capture station, one of them on top. */
export const SheetTabs = ({ workId, current, cautions, hasMaster }: SheetTabsProps) => (
  <Row aria-label="Sheets of the capture">
    {SHEETS.filter((s) => hasMaster || s === 'plan' || s === 'master').map((sheet) => (
      <Link
        key={sheet}
        href={`/works/${workId}/capture?sheet=${sheet}`}
        aria-current={sheet === current ? 'page' : undefined}
      >
        {SHEET_NAMES[sheet]}
        {(cautions[sheet] ?? 0) > 0 && <small>▲ {cautions[sheet]}</small>}
      </Link>
    ))}
  </Row>
);
