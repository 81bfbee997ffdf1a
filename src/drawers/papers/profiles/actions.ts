'use server';
import type { Answer } from '@/core/input';
import { getPaper, getProfile, takeProfile } from '@/data';
import { act, refuse } from '@/studio';
import { DRIVER, leaveForm, intoUseForm } from './profileForms';

const GONE = 'Paper: it is not in the drawer any more. Choose another.';

/** Notes that a paper is printed through a profile from now on; what it replaces stays with its prints. */
export async function takeIntoUse(typed: unknown): Promise<Answer<number>> {
  return act(intoUseForm, typed, {}, async (v, { write, at }) => {
    const { sha256, paperId, printer, setting, driver } = v;
    const standIn = driver === DRIVER[1];
    if (standIn && setting === '') {
      const message = 'Media setting: say which one stands in for this paper.';
      return refuse(message, { setting: message });
    }
    return write(async (tx) => {
      const [paper, profile] = [await getPaper(tx, paperId), await getProfile(tx, sha256)];
      if (!paper) return refuse(GONE, { paperId: GONE });
      if (!profile)
        return refuse('This profile is not in the library any more. Bring it again.');
      const names = { paper: paper.name, profile: profile.name };
      const use = { paperId, printer, setting, standIn, sha256, at };
      return takeProfile(tx, use, names);
    });
  });
}

/** Notes that a paper has no profile any more, for a printer and a setting. */
export async function leaveUnused(typed: unknown): Promise<Answer<number>> {
  return act(leaveForm, typed, {}, async (v, { write, at }) =>
    write(async (tx) => {
      const paper = await getPaper(tx, v.paperId);
      if (!paper) return refuse(GONE);
      const names = { paper: paper.name, profile: '' };
      return takeProfile(tx, { ...v, sha256: null, at }, names);
    }),
  );
}
