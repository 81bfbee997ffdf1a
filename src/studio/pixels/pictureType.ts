import { open } from 'node:fs/promises';
import { sniff } from '@/core/image';

const TYPES: Record<string, string> = { jpeg: 'image/jpeg', png: 'image/png' };

/** The media type of a stored picture that a browser shows; null for anything else. */
export async function pictureType(path: string): Promise<string | null> {
  const file = await open(/*turbopackIgnore: true*/ path, 'r').catch(() => null);
  if (!file) return null;
  try {
    const head = new Uint8Array(4096);
    const { bytesRead } = await file.read(head, 0, head.length, 0);
    return TYPES[sniff(head.subarray(0, bytesRead))] ?? null;
  } finally {
    await file.close();
  }
}
