'use client';
import styled from 'styled-components';

/** Two columns of small facts: name left, figure right. */
export const Facts = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  > div {
    display: contents;
  }
  dt,
  dd {
    padding: 4.5px 0;
    border-bottom: 1px solid var(--line);
    font-size: 13px;
  }
  dt {
    color: var(--soft);
    padding-right: 10px;
  }
  dd {
    text-align: right;
  }
`;

export const FactList = ({ facts }: { facts: [string, React.ReactNode][] }) => (
  <Facts>
    {facts.map(([name, value]) => (
      <div key={name}>
        <dt>{name}</dt>
        <dd>{value}</dd>
      </div>
    ))}
  </Facts>
);
