'use client';
import { Link } from '../link';
import styled from 'styled-components';
import { useFormat } from '../figures/BenchContext';
import { stageWords } from './job';
import { useRunning } from './RunningProvider';

const Row = styled(Link)`
  display: grid;
  gap: 3px;
  color: var(--ink);
  font-size: 11.5px;
  line-height: 1.25;
  text-decoration: none;
  background: #f0f0f0;
  border: 1px solid #7d7d7d;
  padding: 5px 6px;
  b {
    font-weight: 500;
    display: -webkit-box;
    -webkit-line-clamp: 2;
    -webkit-box-orient: vertical;
    overflow: hidden;
  }
  div {
    height: 4px;
    background: #bdbdbd;
  }
  div div {
    background: #1c4a78;
  }
`;

/** What runs and what waits, at the foot of the chest. Nothing while nothing does. */
export function RunningFoot() {
  const [first, ...waiting] = useRunning();
  const format = useFormat();
  if (!first) return null;
  const share = Math.round(first.share * 100);
  return (
    <Row href={first.href ?? '/'} title={`${first.what ?? ''}: ${stageWords(first)}`}>
      <b>{first.what}</b>
      <div
        role="progressbar"
        aria-label={first.what}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={share}
      >
        <div style={{ width: `${share}%`, height: 4 }} />
      </div>
      <span>
        {first.state === 'queued' ? 'waits' : format.percent(first.share)}
        {waiting.length > 0 && `, ${waiting.length} more`}
      </span>
    </Row>
  );
}
