'use client';
import styled from 'styled-components';

export const ROW = {
  display: 'flex',
  gap: 7,
  alignItems: 'center',
  borderBottom: '1px solid var(--line)',
  padding: '3px 0',
  fontSize: 13,
} as const;

/** One thing and what can be done with it. */
export const Row = ({ children }: { children: React.ReactNode }) => (
  <div style={ROW}>{children}</div>
);

/** What it is; under it in small what it is for. */
export const RowWords = styled.span`
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
  small {
    display: block;
    font-size: 11.5px;
    color: var(--soft);
  }
`;
