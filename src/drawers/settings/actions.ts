'use server';
import type { BenchSettings } from '@/data';
import { readSettings, saveSettings, storedSettings } from '@/data';
import { act, staleForm } from '@/studio';
import { choice, defineForm, optional } from '@/core/input';
import { benchAsked, benchForm, benchWritten } from './benchForm';

const switches = defineForm({
  units: optional(choice('Units', ['metric', 'inch'])),
  tone: optional(choice('Grey of the table', ['light', 'middle', 'dark'])),
  singleKeys: optional(choice('Single keys', ['on', 'off'])),
});

/** Units and grey of the table, switched from anywhere. */
export async function setSwitches(typed: unknown) {
  return act(switches, typed, {}, async ({ units, tone, singleKeys }, { write }) => {
    const chosen: Partial<BenchSettings> = {};
    if (units) chosen.units = units;
    if (tone) chosen.tone = tone;
    if (singleKeys) chosen.singleKeys = singleKeys === 'on';
    await write((tx) => saveSettings(tx, chosen));
    return null;
  });
}

/** The bench's settings and the rules of thumb in force. */
export async function saveBench(typed: unknown) {
  return act(benchForm, typed, {}, async (v, { write, undoable }) => {
    const { seen, ...asked } = v;
    return write(async (tx) => {
      const stored = await readSettings(tx);
      const after = benchAsked(asked, stored);
      const own = benchWritten({ ...stored, ...after });
      const stale = staleForm(seen, benchWritten(stored), own, benchForm.titles);
      if (stale) return stale;
      const before = await storedSettings(tx, Object.keys(after));
      await saveSettings(tx, after);
      await undoable(tx, 'the change of settings', { kind: 'settings', before, after });
      return null;
    });
  });
}
