import { createHash } from 'node:crypto';

/**
 * The same value with every typed array as a hash of its bytes: to be held against another,
 * where going through millions of elements one by one would take long.
 */
export function digested(value: unknown): unknown {
  if (ArrayBuffer.isView(value)) {
    const bytes = Buffer.from(value.buffer, value.byteOffset, value.byteLength);
    const hash = createHash('sha256').update(bytes).digest('hex');
    return `${value.constructor.name} ${value.byteLength} ${hash}`;
  }
  if (Array.isArray(value)) return value.map(digested);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, digested(v)]));
}
