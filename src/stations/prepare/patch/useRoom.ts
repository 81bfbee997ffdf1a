'use client';
import { useEffect, useRef, useState } from 'react';

/** Whole pixels of the screen, and how many of them make a CSS pixel. */
interface Room {
  width: number;
  height: number;
  dense: number;
}

const MOST = { width: 1000, height: 800 };

/** Room on the table, in whole pixels of the screen. */
export function useRoom() {
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<Room | null>(null);
  useEffect(() => {
    if (!frame.current) return;
    const look = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      const dense = window.devicePixelRatio;
      setRoom({
        width: Math.min(MOST.width, Math.floor(width * dense)),
        height: Math.min(MOST.height, Math.floor(height * dense)),
        dense,
      });
    });
    look.observe(frame.current);
    return () => look.disconnect();
  }, []);
  return { frame, room };
}
