import type { StudioServer } from '../support/studioServer';

/** Waits until nothing is at work any more. */
export async function idle(server: StudioServer): Promise<void> {
  for (;;) {
    const left = await server.rows(
      "SELECT id FROM job WHERE state IN ('queued', 'running')",
    );
    if (left.length === 0) return;
    await new Promise((r) => setTimeout(r, 200));
  }
}
