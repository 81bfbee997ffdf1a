'use client';
import { createContext, useCallback, useContext, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';

interface Toasts {
  /** Says what was done; with the number of its undo step, offers to take it back. */
  say: (text: string, undo?: number) => void;
  /** Takes a step back, or the last one, and says so. */
  takeBack: (id: number | null) => void;
}

const ToastContext = createContext<Toasts>({
  say: () => undefined,
  takeBack: () => undefined,
});

const Tray = styled.div`
  position: fixed;
  bottom: 18px;
  left: 50%;
  transform: translateX(-50%);
  display: grid;
  gap: 6px;
  z-index: 20;
  pointer-events: none;
`;

const Note = styled.p`
  display: flex;
  gap: 16px;
  align-items: baseline;
  background: #161616;
  color: #fff;
  padding: 9px 16px;
  box-shadow: 0 2px 6px rgba(0, 0, 0, 0.4);
  button {
    appearance: none;
    pointer-events: auto;
    border: 0;
    background: none;
    color: #fff;
    text-decoration: underline;
    cursor: pointer;
    padding: 0;
  }
  button:focus-visible {
    outline-color: #fff;
  }
`;

const SECONDS = 4;
/** A way back stays long enough to be reached by keyboard. */
const SECONDS_WITH_UNDO = 12;

interface Shown {
  id: number;
  text: string;
  undo: number | undefined;
}

/** Short words about what has just been done; read out, and gone after a few seconds. */
export function ToastProvider({
  children,
  onUndo,
}: {
  children: React.ReactNode;
  /** Takes a step back; answers in words. */
  onUndo: (id: number | null) => Promise<string>;
}) {
  const [notes, setNotes] = useState<Shown[]>([]);
  const next = useRef(0);
  const drop = useCallback(
    (id: number) => setNotes((all) => all.filter((n) => n.id !== id)),
    [],
  );
  const say = useCallback(
    (text: string, undo?: number) => {
      const id = next.current++;
      setNotes((all) => [...all, { id, text, undo }]);
      const seconds = undo === undefined ? SECONDS : SECONDS_WITH_UNDO;
      setTimeout(() => drop(id), seconds * 1000);
    },
    [drop],
  );
  const takeBack = useCallback(
    (id: number | null) => {
      onUndo(id).then(say, () => say('Glassine did not answer. Try again.'));
    },
    [onUndo, say],
  );
  const toasts = useMemo(() => ({ say, takeBack }), [say, takeBack]);
  return (
    <ToastContext.Provider value={toasts}>
      {children}
      <Tray role="status" aria-live="polite">
        {notes.map((n) => (
          <Note key={n.id}>
            {n.text}
            {n.undo !== undefined && (
              <button
                type="button"
                onClick={() => {
                  drop(n.id);
                  takeBack(n.undo ?? null);
                }}
              >
                Take it back (z)
              </button>
            )}
          </Note>
        ))}
      </Tray>
    </ToastContext.Provider>
  );
}

export const useToast = () => useContext(ToastContext);
