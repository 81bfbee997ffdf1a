'use client';
import { useId } from 'react';

/** A name within a drawing that no other drawing of the page has, fit for `url(#…)`. */
export const useDrawnId = (what: string): string =>
  `${what}-${useId().replace(/[^\w-]/g, '')}`;
