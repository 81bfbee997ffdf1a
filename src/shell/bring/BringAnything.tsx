'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { isTyping } from '../actions/singleKeys';
import { BringQueue } from './BringQueue';
import { sendFile } from './sendFile';
import type { BroughtFile } from './sendFile';

const Veil = styled.div`
  position: fixed;
  inset: 0;
  z-index: 15;
  display: grid;
  place-items: center;
  background: rgba(22, 22, 22, 0.55);
  color: #fff;
  font:
    400 24px/1.35 'Newsreader',
    serif;
  text-align: center;
  pointer-events: none;
  outline: 3px dashed #fff;
  outline-offset: -14px;
`;

const bringsFiles = (event: DragEvent) =>
  event.dataTransfer?.types.includes('Files') ?? false;

/**
 * Files may be dropped anywhere: they are taken in one by one, each with what became of it. A drop
 * that misses a place of its own never leaves the page.
 */
export function BringAnything() {
  const [over, setOver] = useState(false);
  const [files, setFiles] = useState<BroughtFile[]>([]);
  const next = useRef(0);
  const router = useRouter();
  const change = useCallback(
    (id: number, over: Partial<BroughtFile>) =>
      setFiles((all) => all.map((f) => (f.id === id ? { ...f, ...over } : f))),
    [],
  );
  const bring = useCallback((list: readonly File[]) => {
    setFiles((all) => [
      ...all,
      ...list.map((file): BroughtFile => ({
        id: next.current++,
        file,
        state: 'waits',
        share: 0,
        words: '',
      })),
    ]);
  }, []);
  useEffect(() => {
    let leaving: ReturnType<typeof setTimeout> | undefined;
    const drag = (event: DragEvent) => {
      if (!bringsFiles(event)) return;
      event.preventDefault();
      clearTimeout(leaving);
      setOver(true);
      // No word is said when the hand leaves the window in between.
      leaving = setTimeout(() => setOver(false), 400);
    };
    const drop = (event: DragEvent) => {
      if (!bringsFiles(event)) return;
      setOver(false);
      // A place of its own has taken it.
      if (event.defaultPrevented) return;
      event.preventDefault();
      bring([...(event.dataTransfer?.files ?? [])]);
    };
    const paste = (event: ClipboardEvent) => {
      const pasted = [...(event.clipboardData?.files ?? [])];
      if (pasted.length > 0 && !isTyping(event.target)) bring(pasted);
    };
    window.addEventListener('dragover', drag);
    window.addEventListener('drop', drop);
    window.addEventListener('paste', paste);
    return () => {
      clearTimeout(leaving);
      window.removeEventListener('dragover', drag);
      window.removeEventListener('drop', drop);
      window.removeEventListener('paste', paste);
    };
  }, [bring]);
  // One after the other: the next begins when none is on its way.
  const going = files.some((f) => f.state === 'comes');
  const waiting = files.find((f) => f.state === 'waits');
  useEffect(() => {
    if (going || !waiting) return;
    const { id, file, width } = waiting;
    const sending = sendFile(file, width, (share) => change(id, { share }));
    change(id, { state: 'comes', stop: sending.stop });
    void sending.ended.then((ended) => {
      change(id, ended);
      if (ended.state === 'there') router.refresh();
    });
  }, [going, waiting, change, router]);
  return (
    <>
      {over && (
        <Veil>
          Drop it here: pictures become works,
          <br />
          lists of papers and ICC profiles go where they belong
        </Veil>
      )}
      <BringQueue
        files={files}
        onWidth={(id, width) => change(id, { state: 'waits', width, words: '' })}
        onAway={() => setFiles((all) => all.filter((f) => f.state === 'comes'))}
      />
    </>
  );
}
