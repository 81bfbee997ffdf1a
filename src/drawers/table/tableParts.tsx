'use client';
import { AlertTriangle, Clock, Hourglass, PackageOpen } from 'lucide-react';
import { Link } from '@/shell/link';
import styled from 'styled-components';
import type { Urgency } from '@/core/today';

export const HEADS: Record<Urgency, string> = {
  late: 'Late',
  due: 'Due',
  low: 'Low',
  waiting: 'Waiting',
};
export const ICONS = {
  late: AlertTriangle,
  due: Clock,
  low: PackageOpen,
  waiting: Hourglass,
};
export const INKS: Record<Urgency, string> = {
  late: 'var(--brick)',
  due: 'var(--ochre)',
  low: 'var(--ochre)',
  waiting: 'var(--soft)',
};

export const Line = styled(Link)`
  display: grid;
  grid-template-columns: 22px 1fr auto 132px;
  gap: 8px;
  align-items: center;
  padding: 6px 8px 6px 2px;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
  &:hover {
    background: rgba(0, 0, 0, 0.06);
  }
  &:focus-visible {
    outline-offset: -2px;
  }
  b {
    font-weight: 400;
    font-family: 'Newsreader', serif;
    font-size: 16px;
    line-height: 1.2;
  }
  em {
    font-style: normal;
    color: var(--blue);
    text-align: right;
    font-weight: 500;
  }
`;

export const Jobs = styled.div`
  display: grid;
  gap: 10px;
  padding: 6px 8px 10px 2px;
  max-width: 620px;
`;

export const Rest = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 10px 2px;
  color: var(--soft);
  font-size: 13px;
`;
