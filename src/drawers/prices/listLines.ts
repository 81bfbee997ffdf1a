import { Undecided, readSize, writeAmount } from '@/core/input';
import type { FormDefinition, InputContext } from '@/core/input';
import type { ListedPrice, PostageStep } from '@/core/price';
import { STANDARD_SIZES } from '@/core/size';
import { minor } from '@/core/units';
import { problemsSaid, readList } from '@/studio';
import type { ListLine } from '@/studio';
import { listLineForm, postageLineForm } from './listForm';

/** By the square metre, as it is written. */
export const SQUARE_METRE = 'm²';

const plain = (said: string) =>
  said
    .toLowerCase()
    .replace(/[×*]/g, 'x')
    .replace(/[^a-z0-9.,]/g, '');

type SizeSaid = ListedPrice['size'] | string;

/** A size as a list says it: a standard one by its name, edges, or the square metre; else what is wrong. */
function sizeOf(said: string, { units, locale }: InputContext): SizeSaid {
  if (/^(m2|m²|sqm)$/i.test(said.trim())) return null;
  const standard = STANDARD_SIZES.find((s) => plain(s.label) === plain(said));
  if (standard) return { width: standard.width, height: standard.height };
  const read = readSize(said, units, locale);
  if (read instanceof Undecided)
    return `Size: “${said}” can be read in several ways. Write its figures as everywhere here.`;
  return read
    ? { width: read.width, height: read.height }
    : `Size: “${said}” cannot be read. Give 30 x 40 cm, A3, or ${SQUARE_METRE} for a price by the square metre.`;
}

/** A size as it stands in a list: read back it is the same. */
export function sizeSaid(size: ListedPrice['size'], { locale }: InputContext): string {
  if (size === null) return SQUARE_METRE;
  const { width, height } = size;
  const standard = STANDARD_SIZES.find((s) => s.width === width && s.height === height);
  const edge = (n: number) =>
    new Intl.NumberFormat(locale, { maximumFractionDigits: 4, useGrouping: false }).format(
      n,
    );
  return standard?.label ?? `${edge(width)} × ${edge(height)} mm`;
}

type Lines<T> = { ok: true; value: T[] } | { ok: false; problems: string[] };

/** Reads lines under their heads; heads that were left out are those of the form. */
function linesOf<L, T>(
  typed: string,
  form: FormDefinition<L>,
  context: InputContext,
  { of, needed }: { of: string; needed: string[] },
  make: (line: L) => T | string,
): Lines<T> {
  const heads = Object.values(form.titles);
  const first = typed.split(/\r?\n/, 1)[0]!.toLowerCase();
  const headed = heads.some((h) =>
    first.split(/[;,\t|]/).some((cell) => cell.trim() === h.toLowerCase()),
  );
  const text = headed ? typed : `${heads.join(';')}\n${typed}`;
  const usual = () => ({
    ...Object.fromEntries(Object.keys(form.fields).map((n) => [n, ''])),
    from: '1',
  });
  const read = readList(text, { form, of, needed, along: [], usual }, context);
  // Heads that were not typed are no line.
  const lineNumber = (n: number) => (headed ? n : n - 1);
  if (!read.ok)
    return {
      ok: false,
      problems: read.problems.map((p) =>
        p.replace(/^Line (\d+):/, (_, n) => `Line ${lineNumber(Number(n))}:`),
      ),
    };
  const problems: string[] = [];
  const value = read.lines.flatMap(({ line, value: v }: ListLine<L>) => {
    const made = make(v);
    if (typeof made !== 'string') return [made];
    problems.push(`Line ${lineNumber(line)}: ${made}`);
    return [];
  });
  return problems.length > 0
    ? { ok: false, problems: problemsSaid(problems) }
    : { ok: true, value };
}

/** The prices of a list, line by line: CSV, with or without its heads. */
export const readPrices = (typed: string, context: InputContext): Lines<ListedPrice> =>
  linesOf(
    typed,
    listLineForm,
    context,
    { of: 'a price', needed: ['size', 'each'] },
    (line): ListedPrice | string => {
      const size = sizeOf(line.size, context);
      return typeof size === 'string' ? size : { ...line, size };
    },
  );

/** The postage of a list, step by step; nothing typed is no postage. */
export const readPostage = (typed: string, context: InputContext): Lines<PostageStep> =>
  typed.trim() === ''
    ? { ok: true, value: [] }
    : linesOf(
        typed,
        postageLineForm,
        context,
        { of: 'a step of the postage', needed: ['cost'] },
        (line): PostageStep => line,
      );

const written = (heads: readonly string[], rows: readonly string[][]): string =>
  [heads, ...rows].map((cells) => cells.join('; ')).join('\n');

/** Prices as they stand in the field. */
export const writePrices = (
  rows: readonly ListedPrice[],
  context: InputContext,
  currency: string,
): string =>
  written(
    Object.values(listLineForm.titles),
    rows.map((r) => [
      sizeSaid(r.size, context),
      r.paper,
      String(r.from),
      r.to === null ? '' : String(r.to),
      writeAmount(minor(r.each), currency, context.locale),
    ]),
  );

/** Postage as it stands in the field. */
export const writePostage = (
  steps: readonly PostageStep[],
  { locale }: InputContext,
  currency: string,
): string =>
  steps.length === 0
    ? ''
    : written(
        Object.values(postageLineForm.titles),
        steps.map((p) => [
          p.upTo === null ? '' : String(p.upTo),
          writeAmount(minor(p.cost), currency, locale),
        ]),
      );
