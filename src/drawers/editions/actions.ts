'use server';
import type { Answer } from '@/core/input';
import { checkLedger } from '@/data';
import { ledgerWords, studio } from '@/studio';

/** Walks the whole ledger; answers in words. */
export async function verify(): Promise<Answer<{ sound: boolean; words: string }>> {
  const check = await checkLedger((await studio()).db.read);
  return { ok: true, value: { sound: check.sound, words: ledgerWords(check) } };
}
