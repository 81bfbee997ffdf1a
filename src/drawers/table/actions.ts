'use server';
import { defineForm } from '@/core/input';
import type { Answer } from '@/core/input';
import { browserForm, guessPlace, placeForm } from '@/core/place';
import { drawerCounts, saveSettings, storedSettings } from '@/data';
import { act, changeSettings, enterSample, leaveSample, refuse } from '@/studio';

/**
 * Where the browser is, heard once: of a new studio it says how the bench is set, of one that
 * has something in it its time zone and country alone. What was said by hand stays.
 */
export async function noteBrowser(typed: unknown): Promise<Answer<boolean>> {
  return act(browserForm, typed, {}, async (browser, { settings, write }) =>
    write(async (tx) => {
      const before = await storedSettings(tx, [
        'timeZone',
        'country',
        'locale',
        'currency',
      ]);
      if ('timeZone' in before) return false;
      const guess = guessPlace(browser, settings);
      const { works, papers, ordersOpen } = await drawerCounts(tx);
      const isNew =
        works + papers + ordersOpen === 0 && !('locale' in before || 'currency' in before);
      const { timeZone, country } = guess;
      await saveSettings(tx, isNew ? guess : { timeZone, country });
      return isNew;
    }),
  );
}

/** Who the studio is and where, as it was looked over on its first day. */
export async function settleStudio(typed: unknown): Promise<Answer<null>> {
  return act(placeForm, typed, {}, (place, tools) =>
    changeSettings(tools, 'who the studio is', () => ({ ...place, settled: true })),
  );
}

const nothing = defineForm({});

/** Opens a sample studio instead of the own one; answers the number of the work in it. */
export async function trySample(): Promise<Answer<number>> {
  return act(nothing, {}, {}, async () => {
    const workId = await enterSample();
    return (
      workId ??
      refuse(
        'Long work is running, or a sample is open already. Try again when it has ended.',
      )
    );
  });
}

/** Closes the sample and takes it away; the own studio is open again. */
export async function endSample(): Promise<Answer<boolean>> {
  return act(nothing, {}, {}, () => leaveSample());
}
