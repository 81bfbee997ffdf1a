'use server';
import type { BenchSettings } from '@/data';
import { saveSettings } from '@/data';
import { act, changeSettings, refuse, staleForm } from '@/studio';
import { choice, defineForm, optional } from '@/core/input';
import { benchAsked, benchFault, benchForm, benchWritten } from './benchForm';

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
  return act(benchForm, typed, {}, async ({ seen, ...asked }, tools) => {
    const fault = benchFault(asked);
    if (fault) return refuse(fault.message, { [fault.field]: fault.message });
    return changeSettings(tools, 'the change of settings', (stored) => {
      const after = benchAsked(asked, stored);
      const own = benchWritten({ ...stored, ...after });
      return staleForm(seen, benchWritten(stored), own, benchForm.titles) ?? after;
    });
  });
}
