'use client';
import { useEffect, useRef } from 'react';
import { noteBrowser } from './actions';

/** Tells a studio that does not know yet where it is; once. */
export function HearBrowser({ known }: { known: boolean }) {
  const told = useRef(known);
  useEffect(() => {
    if (told.current) return;
    told.current = true;
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    // Nothing is lost where it is not heard: the next view tells it again.
    noteBrowser({ locale: navigator.language, timeZone }).catch(() => undefined);
  }, []);
  return null;
}
