'use client';
import { createContext, useCallback, useContext, useRef, useState } from 'react';
import styled from 'styled-components';

const ToastContext = createContext<(text: string) => void>(() => undefined);

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
  background: #161616;
  color: #fff;
  padding: 9px 16px;
  box-shadow: 0 2px 6px rgba(0, 0, 0, 0.4);
`;

const SECONDS = 4;

/** Short words about what has just been done; read out, and gone after a few seconds. */
export function ToastProvider({ children }: { children: React.ReactNode }) {
  const [notes, setNotes] = useState<{ id: number; text: string }[]>([]);
  const next = useRef(0);
  const say = useCallback((text: string) => {
    const id = next.current++;
    setNotes((all) => [...all, { id, text }]);
    setTimeout(() => setNotes((all) => all.filter((n) => n.id !== id)), SECONDS * 1000);
  }, []);
  return (
    <ToastContext.Provider value={say}>
      {children}
      <Tray role="status" aria-live="polite">
        {notes.map((n) => (
          <Note key={n.id}>{n.text}</Note>
        ))}
      </Tray>
    </ToastContext.Provider>
  );
}

export const useToast = () => useContext(ToastContext);
