'use client';
import { isFigure, isFlag, shape } from '@/core/facts';
import { MM_PER_INCH } from '@/core/units';
import { useCallback, useEffect, useState } from 'react';
import { isScreenPpi, screenPpi } from '@/core/size';

/** How large a CSS pixel of this screen is, and from where it is looked at. Kept by the browser: it is the screen's, not the studio's. */
export interface ScreenFacts {
  pixelsPerMm: number;
  eyeMm: number;
  /** Held against a card or a ruler; otherwise taken as 96 CSS pixels an inch. */
  calibrated: boolean;
  /** How much the browser enlarged when it was; another enlargement undoes it. */
  ratio: number;
}

const KEY = 'glassine.screen';
const ASSUMED: ScreenFacts = {
  pixelsPerMm: 96 / MM_PER_INCH,
  eyeMm: 600,
  calibrated: false,
  ratio: 1,
};

const isScreenFacts = shape({
  pixelsPerMm: isFigure,
  eyeMm: isFigure,
  calibrated: isFlag,
  ratio: isFigure,
});

function stored(): ScreenFacts {
  try {
    const facts: unknown = {
      ...ASSUMED,
      ...(JSON.parse(window.localStorage.getItem(KEY) ?? '{}') as object),
    };
    if (!isScreenFacts(facts)) return ASSUMED;
    return isScreenPpi(screenPpi(facts.pixelsPerMm)) && facts.eyeMm > 0 ? facts : ASSUMED;
  } catch {
    return ASSUMED;
  }
}

/** This screen's facts, and how to keep others. */
export function useScreen() {
  const [facts, setFacts] = useState(ASSUMED);
  const [ratio, setRatio] = useState(1);
  useEffect(() => {
    setFacts(stored());
    const follow = () => setRatio(window.devicePixelRatio);
    follow();
    window.addEventListener('resize', follow);
    return () => window.removeEventListener('resize', follow);
  }, []);
  const keep = useCallback((change: Partial<ScreenFacts>) => {
    setFacts((now) => {
      const next = { ...now, ...change, ratio: window.devicePixelRatio };
      try {
        window.localStorage.setItem(KEY, JSON.stringify(next));
      } catch {
        /* A browser that keeps nothing: it holds until the page is left. */
      }
      return next;
    });
  }, []);
  return {
    screen: facts,
    keep,
    /** Device pixels for each CSS pixel. */
    ratio,
    /** The browser enlarges otherwise than when the screen was calibrated. */
    zoomed: facts.calibrated && Math.abs(facts.ratio - ratio) > 0.01,
  };
}

export type ScreenDesk = ReturnType<typeof useScreen>;
