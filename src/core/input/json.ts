import type { Field } from './fields';
import { foreignCharacter, visibleText } from '../text';

/** Parts within parts that are looked into; nothing that a form sends is deeper. */
const DEEPEST = 20;

/**
 * A part as it is kept: words as those of any field, numbers that can be told from the next one.
 * Throws RangeError for one that cannot be kept.
 */
function sound(part: unknown, depth = 0): unknown {
  if (depth > DEEPEST) throw new RangeError('too deep');
  if (typeof part === 'number' && Math.abs(part) > Number.MAX_SAFE_INTEGER)
    throw new RangeError('too large a number');
  if (typeof part === 'string') {
    const words = visibleText(part);
    if (foreignCharacter(words) !== null)
      throw new RangeError('a character that is not seen');
    return words;
  }
  if (Array.isArray(part)) return part.map((p) => sound(p, depth + 1));
  if (typeof part !== 'object' || part === null) return part;
  return Object.fromEntries(
    Object.entries(part).map(([name, p]) => [name, sound(p, depth + 1)]),
  );
}

/**
 * Something with parts of its own, sent as JSON; `schema` is what it must look like, `longest`
 * how many characters it may have.
 */
export const json = <T>(
  title: string,
  schema: Record<string, unknown>,
  longest = 100_000,
): Field<T> => ({
  title,
  schema,
  longest,
  read(typed) {
    try {
      return sound(JSON.parse(typed));
    } catch {
      return null;
    }
  },
  example: 'what this form sends by itself',
  say: String,
  write: (value) => JSON.stringify(value),
});
