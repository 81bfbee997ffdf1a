'use client';
import { PencilLine } from 'lucide-react';
import { Link } from '../link';
import { usePathname } from 'next/navigation';
import styled from 'styled-components';
import { STATIONS } from '@/core/work';
import type { Mark, Station } from '@/core/work';
import { StationMark } from '../drawing/marks';
import { RULE_HEIGHT, SERIF, narrow, paperCss } from './theme';
import { stationName } from './places';

const STEEL = 'linear-gradient(#f4f4f4, #dedede)';

export const Steel = styled.header`
  ${paperCss}
  color: var(--ink);
  height: ${RULE_HEIGHT}px;
  background: ${STEEL};
  border-bottom: 1px solid #8c8c8c;
  box-shadow: 0 1px 2px rgba(0, 0, 0, 0.22);
  position: relative;
  z-index: 1;
  flex: none;
  ${narrow} {
    height: auto;
  }
`;

const Stations = styled.ol`
  display: grid;
  grid-template-columns: repeat(8, 1fr) auto;
  height: 100%;
  padding: 0 0 0 20px;
  ${narrow} {
    grid-template-columns: repeat(4, 1fr);
    grid-auto-rows: 58px;
    padding: 0 8px;
  }
`;

/** Ticks of the rule: ten to a station, the fifth longer, the first longest. */
const Ticks = styled.span`
  position: absolute;
  inset: auto 0 0 0;
  height: 26px;
  background:
    linear-gradient(90deg, #444 1.6px, transparent 1.6px) 0 100% / 100% 26px no-repeat,
    linear-gradient(90deg, #555 1px, transparent 1px) 0 100% / 50% 16px repeat-x,
    linear-gradient(90deg, #777 1px, transparent 1px) 0 100% / 10% 8px repeat-x;
`;

const Stop = styled(Link)<{ $here: boolean }>`
  position: relative;
  display: block;
  height: 100%;
  padding: 7px 0 0 9px;
  color: ${({ $here }) => ($here ? 'var(--blue)' : 'var(--ink)')};
  text-decoration: none;
  font: ${({ $here }) => ($here ? 500 : 400)} 17px/1.1 ${SERIF};
  &:hover {
    color: var(--blue);
  }
  &:focus-visible {
    outline-offset: -3px;
  }
  &::after {
    content: '';
    display: ${({ $here }) => ($here ? 'block' : 'none')};
    position: absolute;
    inset: auto 0 0 0;
    height: 28px;
    border: solid var(--blue);
    border-width: 0 3px 3px;
  }
`;

const Digit = styled.span`
  display: block;
  font-size: 10.5px;
  color: var(--soft);
`;

const Line = styled.span`
  display: flex;
  align-items: center;
  gap: 5px;
  white-space: nowrap;
`;

const Edit = styled(Link)`
  display: grid;
  place-items: center;
  height: 100%;
  padding: 0 14px;
  color: var(--ink);
  &:focus-visible {
    outline-offset: -3px;
  }
`;

/** The steel rule: the stations of one work, in the order of the job, with their marks. */
export function Rule({
  workId,
  marks,
  why,
}: {
  workId: number;
  marks: Record<Station, Mark>;
  why: Partial<Record<Station, string>>;
}) {
  const path = usePathname();
  return (
    <Steel>
      <nav aria-label="Stations" style={{ height: '100%' }}>
        <Stations>
          {STATIONS.map((station, i) => {
            const here = path.endsWith(`/${station}`);
            return (
              <li key={station}>
                <Stop
                  href={`/works/${workId}/${station}`}
                  $here={here}
                  aria-current={here ? 'step' : undefined}
                >
                  <Ticks aria-hidden />
                  <Digit aria-hidden>{i + 1}</Digit>
                  <Line>
                    {stationName(station)}
                    <StationMark mark={marks[station]} why={why[station]} />
                  </Line>
                </Stop>
              </li>
            );
          })}
          <li>
            <Edit href={`/works/${workId}/edit`} aria-label="Edit this work">
              <PencilLine size={16} aria-hidden />
            </Edit>
          </li>
        </Stations>
      </nav>
    </Steel>
  );
}

const DrawerTop = styled(Steel)`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 20px;
  padding: 0 24px;
  ${narrow} {
    flex-direction: column;
    align-items: stretch;
    gap: 8px;
    padding: 10px 12px;
  }
  h1 {
    font-size: 24px;
  }
  p {
    color: var(--soft);
  }
`;

const HeadTools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
`;

/** The top of a drawer: what it is, what it amounts to, and what can be done with all of it. */
export const DrawerHead = ({
  title,
  sum,
  children,
}: {
  title: string;
  sum: string;
  children?: React.ReactNode;
}) => (
  <DrawerTop>
    <div>
      <h1>{title}</h1>
      <p>{sum}</p>
    </div>
    <HeadTools data-screen-only>{children}</HeadTools>
  </DrawerTop>
);
