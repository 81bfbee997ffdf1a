'use client';
import { AlertTriangle } from 'lucide-react';
import { ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { SERIF } from '../frame/theme';

const Quiet = styled.div`
  margin: auto;
  width: min(760px, 100%);
  text-align: center;
  display: grid;
  gap: 10px;
  justify-items: center;
  h2 {
    font: 400 22px/1.25 ${SERIF};
  }
  p {
    color: var(--soft);
    max-width: 440px;
  }
`;

/** Nothing yet: what to do first. Busy while what belongs here is still being fetched. */
export const Empty = ({
  title,
  busy = false,
  children,
}: {
  title: string;
  busy?: boolean;
  children?: React.ReactNode;
}) => (
  <Quiet aria-busy={busy || undefined}>
    <h2>{title}</h2>
    {children}
  </Quiet>
);

const Line = styled.p`
  display: flex;
  gap: 7px;
  color: var(--brick);
  font-size: 13px;
  line-height: 1.35;
  svg {
    flex: none;
    margin-top: 2px;
  }
`;

/** What went wrong, in a sentence; read out at once. */
export const Problem = ({ children }: { children: React.ReactNode }) =>
  children ? (
    <Line role="alert">
      <AlertTriangle size={15} aria-hidden />
      <span>{children}</span>
    </Line>
  ) : null;

const Track = styled.div`
  height: 12px;
  border: 1px solid #444;
  background: #fff;
  > div {
    height: 100%;
    background: #1c4a78;
    transition: width 0.2s;
  }
`;

const Words = styled.div`
  display: flex;
  justify-content: space-between;
  font-size: 12.5px;
  margin-bottom: 3px;
`;

/** How far long work has come, and what is being done. */
export const Progress = ({ label, share }: { label: string; share: number }) => (
  <ProgressBar value={share * 100} aria-label={label}>
    <Words>
      <span>{label}</span>
      <span>{Math.round(share * 100)}&#8239;%</span>
    </Words>
    <Track>
      <div style={{ width: `${share * 100}%` }} />
    </Track>
  </ProgressBar>
);
