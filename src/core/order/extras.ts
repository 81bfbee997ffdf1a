import { parseNumber } from '../input';
import type { Extra } from '../pack';
import { grams } from '../units';

/**
 * What is put in on top, as it is typed: names with a comma between, each with its weight where
 * that is said. Without one it is lighter than the scales can tell.
 * @example readExtras('postcard 6 g, ribbon') // [{ name: 'postcard', mass: 6 }, { name: 'ribbon', mass: 0 }]
 */
export const readExtras = (typed: string): Extra[] =>
  typed
    .split(/[,;\n]/)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => {
      const [, name = part, weight = ''] = /^(.+?)\s+(\d+(?:\.\d+)?)\s*g$/.exec(part) ?? [];
      return { name, mass: grams(parseNumber(weight) ?? 0) };
    });
