'use server';
import { nominalSize, ownSizeFault, ownSizeKey } from '@/core/size';
import { formatLength } from '@/core/units';
import type { Millimetres } from '@/core/units';
import { act, changeSettings, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import { defineForm, Undecided, readSize, text } from '@/core/input';
import { standingForm } from './standingForm';
import { OWN_SIZE_WORDS } from './words';
import { ownSizeForm } from './sizeForms';

/** Adds a size of the studio's own to every ladder. Answers its key. */
export async function addOwnSize(typed: unknown): Promise<Answer<string>> {
  return act(ownSizeForm, typed, {}, async ({ size }, tools) => {
    const at = (message: string) => refuse(message, { size: message });
    const { units, locale } = tools.settings;
    const read = readSize(size, units, locale);
    if (read instanceof Undecided)
      return at(
        `Own size: “${size}” is not how figures are written here (Bench settings). If it is ${read.readings
          .map((r) => `${ownSizeKey(r.width, r.height, r.unit)}`)
          .join(' or ')}, write that.`,
      );
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
    const refused = await changeSettings(tools, `adding ${label}`, ({ ownSizes }) =>
      ownSizes.includes(key)
        ? at(`Own size: ${label} is on the ladder already.`)
        : { ownSizes: [...ownSizes, key] },
    );
    return refused ?? key;
  });
}

const remove = defineForm({ key: text('Own size', { max: 60 }) });

/** Takes an own size off the ladders; where it is on offer, it stays so. */
export async function removeOwnSize(typed: unknown): Promise<Answer<null>> {
  return act(remove, typed, {}, async ({ key }, tools) => {
    const label = nominalSize(key)?.label ?? key;
    return changeSettings(tools, `taking ${label} off the ladder`, ({ ownSizes }) =>
      ownSizes.includes(key)
        ? { ownSizes: ownSizes.filter((k) => k !== key) }
        : refuse('This size is not on the ladder any more.'),
    );
  });
}

/** Keeps where people stand as the studio's rule, for every work. */
export async function keepStanding(typed: unknown): Promise<Answer<null>> {
  return act(standingForm, typed, {}, (rule, tools) =>
    changeSettings(tools, 'the rule of where people stand', ({ size }) => ({
      size: { ...size, ...rule },
    })),
  );
}
