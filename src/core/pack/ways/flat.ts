import { grams, mm } from '../../units';
import type { Millimetres, Size } from '../../units';
import type { Contents } from '../contents';
import { liesInside, sides } from '../liesInside';
import type { PackRules } from '../rules';
import type { FlatMaterial, PackingMaterial } from '../stock';
import type { Lacking, Way } from './way';

/** A sleeve for each print, one backing board behind them all, and a rigid mailer. */
export interface FlatPacking {
  way: 'flat';
  /** The sleeve of each line's prints. */
  sleeves: { line: number; copies: number; sleeve: FlatMaterial }[];
  /** Null where there is no print to back. */
  board: FlatMaterial | null;
  mailer: FlatMaterial;
  /** Room left in the mailer beside the board, the narrower of the two sides. */
  spare: Millimetres;
}

const flatArea = (s: Size) => s.width * s.height;

/** The smallest pieces of a kind that take a size with that much play; as many as are asked for. */
function smallest(
  materials: readonly PackingMaterial[],
  kind: FlatMaterial['kind'],
  inner: Size,
  play: number,
  pieces = 1,
): FlatMaterial | undefined {
  return materials
    .filter((m): m is FlatMaterial => m.kind === kind && m.stock >= pieces)
    .filter((m) => liesInside(inner, m, play))
    .sort((a, b) => flatArea(a) - flatArea(b))[0];
}

/** The size that all prints lie within, one upon the other. */
function stacked(prints: Contents['prints']): Size {
  const both = prints.map(sides);
  return {
    width: mm(Math.max(...both.map(([short]) => short))),
    height: mm(Math.max(...both.map(([, long]) => long))),
  };
}

/** Sleeves for all prints, each taken off what is left for the next; null where they run out. */
function sleevesFor(
  prints: Contents['prints'],
  materials: readonly PackingMaterial[],
): FlatPacking['sleeves'] | null {
  const left = new Map(materials.map((m) => [m.id, m.stock]));
  const sleeves: FlatPacking['sleeves'] = [];
  for (const { line, copies, width, height } of prints) {
    const shelf = materials.map((m) => ({ ...m, stock: left.get(m.id) ?? 0 }));
    const sleeve = smallest(shelf, 'sleeve', { width, height }, 0, copies);
    if (!sleeve) return null;
    left.set(sleeve.id, sleeve.stock - copies);
    sleeves.push({ line, copies, sleeve });
  }
  return sleeves;
}

/** How thick sleeves, prints and goods lie, mm; without board and mailer. */
const depthOf = ({ prints, goods }: Contents, sleeves: FlatPacking['sleeves']): number =>
  prints.reduce((total, p) => total + p.copies * p.thickness, 0) +
  sleeves.reduce((total, s) => total + s.copies * s.sleeve.thickness, 0) +
  goods.reduce((total, g) => total + g.copies * g.thickness, 0);

function choose(
  contents: Contents,
  materials: readonly PackingMaterial[],
  rules: PackRules,
): { packing: FlatPacking } | { lacking: Lacking[] } {
  const { prints } = contents;
  const lacking: Lacking[] = [];
  const size = prints.length > 0 ? stacked(prints) : null;
  if (size && size.height > rules.flatLimit) lacking.push('tooLarge');
  if (prints.reduce((n, p) => n + p.copies, 0) > rules.flatPrints) lacking.push('tooMany');
  const sleeves = sleevesFor(prints, materials);
  if (!sleeves) lacking.push('sleeve');
  const board = size && smallest(materials, 'board', size, 2 * rules.boardMargin);
  if (size && !board) lacking.push('board');
  const mailer =
    size === null
      ? // Goods alone: how long and wide they are is not known, so the largest mailer is taken.
        materials
          .filter((m): m is FlatMaterial => m.kind === 'mailer' && m.stock > 0)
          .sort((a, b) => flatArea(b) - flatArea(a))[0]
      : board && smallest(materials, 'mailer', board, rules.mailerPlay);
  if (!mailer) lacking.push('mailer');
  if (depthOf(contents, sleeves ?? []) > rules.flatDepth) lacking.push('tooThick');
  if (lacking.length > 0 || !sleeves || !mailer) return { lacking };
  const [a, b] = board ? sides(board) : [0, 0];
  const [c, d] = sides(mailer);
  const spare = mm(Math.min(c - a, d - b));
  return { packing: { way: 'flat', sleeves, board: board ?? null, mailer, spare } };
}

export const flat: Way<FlatPacking> = {
  way: 'flat',
  choose,
  wraps: ({ sleeves, board, mailer }) => [
    ...sleeves.map(({ line, copies, sleeve }) => ({
      key: `sleeve:${line}:${sleeve.id}`,
      part: 'sleeve' as const,
      line,
      copies,
      name: sleeve.name,
      mass: grams(copies * sleeve.mass),
      size: { width: sleeve.width, height: sleeve.height },
    })),
    ...[board, mailer].flatMap((m) =>
      m === null
        ? []
        : [
            {
              key: `${m.kind}:${m.id}`,
              part: m.kind,
              line: null,
              copies: 1,
              name: m.name,
              mass: m.mass,
              size: { width: m.width, height: m.height },
            },
          ],
    ),
  ],
  outside: ({ sleeves, board, mailer }, contents) => ({
    width: mm(mailer.width + 2 * mailer.thickness),
    height: mm(mailer.height + 2 * mailer.thickness),
    depth: mm(2 * mailer.thickness + (board?.thickness ?? 0) + depthOf(contents, sleeves)),
  }),
  takes: ({ sleeves, board, mailer }) => [
    ...sleeves.flatMap(({ copies, sleeve }) => Array<number>(copies).fill(sleeve.id)),
    ...(board ? [board.id] : []),
    mailer.id,
  ],
};
