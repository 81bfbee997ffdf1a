'use client';
import type { ReactNode } from 'react';
import { SectionLabel } from '@/shell/words';

export const Unfold = ({ title, children }: { title: string; children: ReactNode }) => (
  <details>
    <summary>
      <SectionLabel as="span">{title}</SectionLabel>
    </summary>
    {children}
  </details>
);
