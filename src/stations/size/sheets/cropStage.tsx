'use client';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';

export const Stage = styled.div`
  flex: 1;
  min-height: 260px;
  display: grid;
  place-items: center;
  svg {
    touch-action: none;
    display: block;
    max-width: 100%;
  }
  svg:focus-visible {
    outline: 3px solid var(--blue);
    outline-offset: -3px;
  }
`;

/** The room there is for the picture, followed as the window changes. */
export function useRoom() {
  const stage = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 740, height: 500 });
  useEffect(() => {
    const element = stage.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => {
      const box = entry?.contentRect;
      if (box && box.width > 0)
        setRoom({ width: box.width, height: Math.max(260, box.height) });
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { stage, room };
}
