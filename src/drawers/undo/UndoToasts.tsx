'use client';
import { ToastProvider } from '@/shell/said';
import { undo } from './actions';

/** Short words about what was done, with the way back where there is one; also on the key z. */
export const UndoToasts = ({ children }: { children: React.ReactNode }) => (
  <ToastProvider
    onUndo={async (id) => {
      const answer = await undo({ id: id === null ? '' : String(id) });
      return answer.ok ? `Taken back: ${answer.value}.` : answer.message;
    }}
  >
    {children}
  </ToastProvider>
);
