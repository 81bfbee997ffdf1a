'use client';
import { Link } from '../link';
import styled from 'styled-components';

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

interface SheetTab {
  id: string;
  name: string;
  href: string;
  /** How many cautions it holds. */
  cautions?: number | undefined;
}

interface SheetTabsProps {
  label: string;
  sheets: SheetTab[];
  current: string;
  /** Turns the sheet over without asking for the page again. */
  onTurn?: (id: string) => void;
}

/** The sheets that lie on a station, one of them on top. */
export const SheetTabs = ({ label, sheets, current, onTurn }: SheetTabsProps) => (
  <Row aria-label={label}>
    {sheets.map(({ id, name, href, cautions = 0 }) => (
      <Link
        key={id}
        href={href}
        prefetch={onTurn ? false : undefined}
        aria-current={id === current ? 'page' : undefined}
        onClick={(event) => {
          if (!onTurn || event.ctrlKey || event.metaKey || event.shiftKey) return;
          event.preventDefault();
          onTurn(id);
        }}
      >
        {name}
        {cautions > 0 && <small>▲ {cautions}</small>}
      </Link>
    ))}
  </Row>
);
