'use server';
import type { ChainCheck } from '@/core/edition';
import type { Answer } from '@/core/input';
import { checkLedger } from '@/data';
import { studio } from '@/studio';

/** Walks the whole ledger. */
export async function verify(): Promise<Answer<ChainCheck>> {
  return { ok: true, value: await checkLedger((await studio()).db.read) };
}
