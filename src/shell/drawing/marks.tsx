'use client';
import { AlertTriangle, Check, Circle } from 'lucide-react';
import type { Mark } from '@/core/work';

const WRAP = { display: 'inline-flex', alignItems: 'center' } as const;
const ATTENTION = { ...WRAP, color: 'var(--ochre)' } as const;

const WORDS: Record<Mark, string> = {
  done: 'done',
  attention: 'needs attention',
  notYet: 'not yet',
};

/** Pixels by which a symbol is smaller than its place. */
const LESS: Record<Mark, number> = { done: 0, attention: 1, notYet: 8 };

/** The symbols, once a page: a list shows hundreds of them. */
export const MarkSymbols = () => (
  <svg width={0} height={0} style={{ position: 'absolute' }} aria-hidden>
    <symbol id="mark-done" viewBox="0 0 24 24">
      <Check strokeWidth={1.6} />
    </symbol>
    <symbol id="mark-attention" viewBox="0 0 24 24">
      <AlertTriangle strokeWidth={1.8} />
    </symbol>
    <symbol id="mark-notYet" viewBox="0 0 24 24">
      <Circle strokeWidth={1.4} />
    </symbol>
  </svg>
);

/** Done, needs attention, not yet: by shape and by word, never by colour alone. */
export const StationMark = ({
  mark,
  why,
  size = 15,
}: {
  mark: Mark;
  /** Why it needs attention. */
  why?: string | undefined;
  size?: number;
}) => (
  <span title={why} style={{ ...(mark === 'attention' ? ATTENTION : WRAP), height: size }}>
    <svg width={size - LESS[mark]} height={size - LESS[mark]} aria-hidden>
      <use href={`#mark-${mark}`} />
    </svg>
    <span className="sr">{why === undefined ? WORDS[mark] : `${WORDS[mark]}: ${why}`}</span>
  </span>
);
