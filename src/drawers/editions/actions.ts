'use server';
import { ledgerSaid } from '@/studio';

/** Walks the whole ledger; answers in words. */
export async function verify() {
  return ledgerSaid();
}
