'use server';
import { checkLedger } from '@/data';
import { studio } from '@/studio';

/** Walks the whole ledger. */
export async function verify() {
  return checkLedger((await studio()).db.read);
}
