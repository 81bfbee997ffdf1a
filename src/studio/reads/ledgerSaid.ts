import { checkLedger } from '@/data';
import type { Answer } from '@/core/input';
import { studio } from '../open/open';
import { ledgerWords } from '../words/ledgerWords';

/** The check of the whole ledger, in words. */
export async function ledgerSaid(): Promise<Answer<{ sound: boolean; words: string }>> {
  const check = await checkLedger((await studio()).db.read);
  return { ok: true, value: { sound: check.sound, words: ledgerWords(check) } };
}
