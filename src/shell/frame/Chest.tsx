'use client';
import { Link } from '../link';
import { usePathname } from 'next/navigation';
import styled from 'styled-components';
import { CHEST_WIDTH, SERIF, narrow, paperCss } from './theme';

const DRAWERS = [
  ['/', 'Table'],
  ['/works', 'Works'],
  ['/papers', 'Papers'],
  ['/printers', 'Printers'],
  ['/materials', 'Packing'],
  ['/proofs', 'Proofs'],
  ['/editions', 'Editions'],
  ['/orders', 'Orders'],
  ['/accounts', 'Accounts'],
  ['/log', 'Log book'],
] as const;

const Nav = styled.nav`
  ${paperCss}
  color: var(--ink);
  width: ${CHEST_WIDTH}px;
  background: #b6b6b6;
  border-right: 1px solid #8c8c8c;
  display: flex;
  flex-direction: column;
  position: relative;
  z-index: 2;
  ${narrow} {
    width: auto;
    flex-flow: row wrap;
    border-right: 0;
  }
`;

const Name = styled(Link)`
  font: italic 400 23px/1 ${SERIF};
  color: var(--ink);
  text-decoration: none;
  padding: 13px 16px 11px;
  border-bottom: 1px solid #9a9a9a;
`;

const Drawer = styled(Link)<{ $open: boolean }>`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  height: 56px;
  padding: 0 10px 0 12px;
  text-decoration: none;
  color: var(--ink);
  border-bottom: 1px solid #9a9a9a;
  border-top: 1px solid #cacaca;
  background: ${({ $open }) => ($open ? '#c9c9c9' : 'transparent')};
  margin-right: ${({ $open }) => ($open ? '-7px' : '0')};
  box-shadow: ${({ $open }) => ($open ? '2px 1px 3px rgba(0,0,0,.28)' : 'none')};
  &:hover {
    background: #c2c2c2;
  }
  &:focus-visible {
    outline-offset: -3px;
  }
  ${narrow} {
    height: 42px;
    margin: 0;
    box-shadow: none;
  }
`;

const Card = styled.span`
  background: #f7f7f7;
  border: 1px solid #7d7d7d;
  box-shadow: inset 0 0 0 2px #dcdcdc;
  padding: 2px 9px 3px;
  font: 400 15px/1.15 ${SERIF};
`;

const Count = styled.span`
  font-size: 12px;
  color: #333;
`;

const Foot = styled.div`
  margin-top: auto;
  padding: 8px 12px 10px;
  display: grid;
  gap: 6px;
  ${narrow} {
    margin: 0;
    grid-auto-flow: column;
  }
`;

/** The plan chest: the studio-wide places. */
export function Chest({
  counts,
  foot,
}: {
  counts: Partial<Record<string, number>>;
  foot: React.ReactNode;
}) {
  const path = usePathname();
  return (
    <Nav aria-label="Drawers">
      <Name href="/">Glassine</Name>
      {DRAWERS.map(([href, label]) => {
        const open =
          href === '/'
            ? path === '/'
            : path.startsWith(href) || (href === '/papers' && path.startsWith('/sheets'));
        const count = counts[href];
        return (
          <Drawer
            key={href}
            href={href}
            $open={open}
            aria-current={open ? 'page' : undefined}
          >
            <Card>{label}</Card>
            {count !== undefined && <Count>{count}</Count>}
          </Drawer>
        );
      })}
      <Foot>{foot}</Foot>
    </Nav>
  );
}
