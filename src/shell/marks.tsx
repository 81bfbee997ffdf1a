'use client';
import { AlertTriangle, Check, Circle } from 'lucide-react';
import styled from 'styled-components';
import type { Mark } from '@/core/work';

const Wrap = styled.span<{ $mark: Mark }>`
  display: inline-flex;
  align-items: center;
  color: ${({ $mark }) => ($mark === 'attention' ? 'var(--ochre)' : 'inherit')};
`;

const WORDS: Record<Mark, string> = {
  done: 'done',
  attention: 'needs attention',
  notYet: 'not yet',
};

/** Done, needs attention, not yet: by shape and by word, never by colour alone. */
export const StationMark = ({ mark, size = 15 }: { mark: Mark; size?: number }) => (
  <Wrap $mark={mark}>
    {mark === 'done' && <Check size={size} strokeWidth={1.6} aria-hidden />}
    {mark === 'attention' && (
      <AlertTriangle size={size - 1} strokeWidth={1.8} aria-hidden />
    )}
    {mark === 'notYet' && <Circle size={size - 8} strokeWidth={1.4} aria-hidden />}
    <span className="sr">{WORDS[mark]}</span>
  </Wrap>
);
