/**
 * What is answered to what was typed and sent: done, or a sentence and sentences by field. An
 * answer that can be taken back names the step (`undo`).
 */
export type Answer<T = unknown> =
  | { ok: true; value: T; undo?: number }
  | {
      ok: false;
      message: string;
      fields: Record<string, string>;
      /** What the form should send along from now on, when it had gone stale. */
      fresh?: Record<string, string>;
    };
