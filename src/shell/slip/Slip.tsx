'use client';
import styled from 'styled-components';
import { SLIP_WIDTH, narrow, paperCss } from '../frame/theme';

const Paper = styled.aside`
  ${paperCss}
  color: var(--ink);
  width: ${SLIP_WIDTH}px;
  flex: none;
  align-self: stretch;
  background:
    repeating-linear-gradient(90deg, rgba(0, 0, 0, 0.018) 0 1px, transparent 1px 3px),
    rgba(248, 248, 248, 0.9);
  box-shadow: 0 1px 4px rgba(0, 0, 0, 0.32);
  display: flex;
  flex-direction: column;
  min-height: 0;
  ${narrow} {
    width: auto;
  }
`;

const Scroll = styled.div`
  flex: 1;
  overflow: auto;
  padding: 16px 18px 12px;
  display: flex;
  flex-direction: column;
  gap: 11px;
`;

const Actions = styled.div`
  padding: 10px 18px 14px;
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
`;

/** The slip of glassine: figures, one sentence, a table, the next action. */
export const Slip = ({
  label,
  children,
  actions,
}: {
  label: string;
  children: React.ReactNode;
  actions?: React.ReactNode;
}) => (
  <Paper aria-label={label}>
    <Scroll>{children}</Scroll>
    {actions && <Actions>{actions}</Actions>}
  </Paper>
);

export const SlipTitle = styled.h2`
  font-size: 19px;
  line-height: 1.2;
`;

export const SlipSub = styled.p`
  font-size: 12.5px;
  color: var(--soft);
  margin-top: -7px;
`;
