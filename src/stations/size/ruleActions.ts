'use server';
import { nominalSize, ownSizeFault, ownSizeKey } from '@/core/size';
import { formatLength } from '@/core/units';
import type { Millimetres } from '@/core/units';
import { saveSettings, storedSettings } from '@/data';
import type { BenchSettings } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import type { ActionTools } from '@/studio';
import { defineForm, parseSize, text } from '@/core/input';
import { standingForm } from './standingForm';
import { OWN_SIZE_WORDS } from './words';
import { ownSizeForm } from './sizeForms';

/** Keeps settings of the studio, as a step that can be taken back. */
async function keepSettings(
  { write, undoable }: ActionTools,
  after: Partial<BenchSettings>,
  label: string,
): Promise<void> {
  await write(async (tx) => {
    const before = await storedSettings(tx, Object.keys(after));
    await saveSettings(tx, after);
    await undoable(tx, label, { kind: 'settings', before, after });
  });
}

/** Adds a size of the studio's own to every ladder. Answers its key. */
export async function addOwnSize(typed: unknown): Promise<Answer<string>> {
  return act(ownSizeForm, typed, {}, async ({ size }, tools) => {
    const at = (message: string) => refuse(message, { size: message });
    const { units, locale, ownSizes } = tools.settings;
    const read = parseSize(size, units);
    if (!read)
      return at(
        `Own size: “${size}” cannot be read. Give two edges, such as 40 x 50 cm or 16 x 20 in.`,
      );
    const fault = ownSizeFault(read.width, read.height);
    if (fault)
      return at(
        OWN_SIZE_WORDS[fault](size, (n) => formatLength(n as Millimetres, units, locale)),
      );
    const key = ownSizeKey(read.width, read.height, read.unit);
    const label = nominalSize(key)?.label ?? size;
    if (ownSizes.includes(key)) return at(`Own size: ${label} is on the ladder already.`);
    await keepSettings(tools, { ownSizes: [...ownSizes, key] }, `adding ${label}`);
    return key;
  });
}

const remove = defineForm({ key: text('Own size', { max: 60 }) });

/** Takes an own size off the ladders; where it is on offer, it stays so. */
export async function removeOwnSize(typed: unknown): Promise<Answer<null>> {
  return act(remove, typed, {}, async ({ key }, tools) => {
    const { ownSizes } = tools.settings;
    if (!ownSizes.includes(key)) return refuse('This size is not on the ladder any more.');
    const left = ownSizes.filter((k) => k !== key);
    const label = nominalSize(key)?.label ?? key;
    await keepSettings(tools, { ownSizes: left }, `taking ${label} off the ladder`);
    return null;
  });
}

/** Keeps where people stand as the studio's rule, for every work. */
export async function keepStanding(typed: unknown): Promise<Answer<null>> {
  return act(standingForm, typed, {}, async (rule, tools) => {
    const size = { ...tools.settings.size, ...rule };
    await keepSettings(tools, { size }, 'the rule of where people stand');
    return null;
  });
}
