import { readSettings, saveSettings, storedSettings } from '@/data';
import type { BenchSettings } from '@/data';
import type { Answer } from '@/core/input';
import type { ActionTools } from './action';

/**
 * Changes settings of the studio, from what they are inside the write, as a step that can be
 * taken back. Null, or why not.
 */
export const changeSettings = (
  { write, undoable }: Pick<ActionTools, 'write' | 'undoable'>,
  label: string,
  change: (now: BenchSettings) => Partial<BenchSettings> | Answer<never>,
): Promise<null | Answer<never>> =>
  write(async (tx) => {
    const after = change(await readSettings(tx));
    if ('ok' in after) return after;
    const before = await storedSettings(tx, Object.keys(after));
    await saveSettings(tx, after);
    await undoable(tx, label, { kind: 'settings', before, after });
    return null;
  });
