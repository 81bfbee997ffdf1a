import { readMass, writeMass } from '../input';
import { foreignCharacter, visibleText } from '../text';
import type { Field } from '../input';
import type { Extra } from '../pack';
import { grams } from '../units';

/** What was typed, fallen into its parts: a comma between two digits is part of a weight, as in 1,5 g. */
const extrasIn = (typed: string): string[] =>
  typed.split(/[;\n]|(?<!\p{Nd}),|,(?!\p{Nd})/u);

/**
 * What is put in on top, as it is typed: names with a comma between, each with its weight where
 * that is said. Without one it is lighter than the scales can tell.
 * @example readExtras('postcard 6 g, ribbon', 'en-GB') // [{ name: 'postcard', mass: 6 }, { name: 'ribbon', mass: 0 }]
 */
export const readExtras = (typed: string, locale: string): Extra[] =>
  extrasIn(typed)
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => {
      const [, weight = '', unit = ''] =
        /(?<=\s)(\p{Nd}{1,9}(?:[.,٫]\p{Nd}{1,9})?)\s?(g|oz)$/u.exec(part) ?? [];
      const read = weight === '' ? 0 : readMass(`${weight} ${unit}`, 'metric', locale);
      // Written as elsewhere, or not to be read: the field refuses it.
      const mass = typeof read === 'number' ? read : NaN;
      const name = weight ? part.slice(0, part.lastIndexOf(weight)).trim() : part;
      return { name, mass: grams(mass) };
    });

const MOST = { items: 20, name: 120, mass: 50_000 };

/** The field in which extras are typed; refused where there are over twenty, or one weighs over 50 kg. */
export const extrasField = (
  said: Pick<Field<Extra[]>, 'title' | 'hint' | 'example'>,
): Field<Extra[]> => ({
  ...said,
  schema: {
    type: 'array',
    maxItems: MOST.items,
    items: {
      type: 'object',
      additionalProperties: false,
      required: ['name', 'mass'],
      properties: {
        name: { type: 'string', minLength: 1, maxLength: MOST.name },
        mass: { type: 'number', minimum: 0, maximum: MOST.mass },
      },
    },
  },
  longest: MOST.items * (MOST.name + 20),
  read(typed, { locale }) {
    const words = visibleText(typed);
    if (foreignCharacter(words) !== null) return null;
    const extras = readExtras(words, locale);
    const fits = extras.every((e) => e.name.length <= MOST.name && e.mass <= MOST.mass);
    return fits && extras.length <= MOST.items ? extras : null;
  },
  say: String,
  listed: extrasIn,
  write: (extras, { units, locale }) =>
    extras
      .map(({ name, mass }) =>
        mass > 0 ? `${name} ${writeMass(mass, units, locale)}` : name,
      )
      .join(', '),
});
