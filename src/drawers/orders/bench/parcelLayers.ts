import type { ParcelView } from './view';
import type { Part } from '@/core/pack';
import type { Format } from '@/shell/figures';

/** One thing of a parcel as it is drawn: its size, its name, its colour or its picture. */
type Lines = ParcelView['lines'];

export interface Layer {
  key: string;
  name: string;
  note: string;
  width: number;
  height: number;
  fill: string;
  stroke: string;
  line: Lines[number] | null;
}

const FILLS: Partial<Record<Part['part'], [string, string, string]>> = {
  mailer: ['Mailer', '#b59b70', '#836c45'],
  board: ['Backing board', '#dcd7c9', '#9d9887'],
  print: ['Print', '#fdfdfc', '#bbb'],
  sleeve: ['Sleeve', 'rgba(255,255,255,.34)', '#fff'],
  tube: ['Tube', '#b59b70', '#836c45'],
};
/** In the order in which they lie, the lowest first. */
export const ORDER: Part['part'][] = ['mailer', 'board', 'print', 'sleeve'];

export function layersOf(parts: readonly Part[], lines: Lines, format: Format): Layer[] {
  const drawn = ORDER.flatMap((kind) => parts.filter((p) => p.part === kind && p.size));
  // Of several sleeves the last is drawn, or the prints would not be seen.
  const last = drawn.findLast((p) => p.part === 'sleeve');
  return drawn
    .filter((p) => p.part !== 'sleeve' || p === last)
    .map((p) => {
      const [name, fill, stroke] = FILLS[p.part]!;
      const line = lines.find((l) => l.id === p.line) ?? null;
      const lies = lines.find((l) => l.sheet)?.sheet;
      const turned = lies && lies.width > lies.height !== p.size!.width > p.size!.height;
      const own = p.part === 'print';
      return {
        key: p.key,
        name: own ? (line?.work ?? name) : name,
        note: `${format.size(p.size!)} · ${format.mass(p.mass)}`,
        width: turned && !own ? p.size!.height : p.size!.width,
        height: turned && !own ? p.size!.width : p.size!.height,
        fill,
        stroke,
        line: own ? line : null,
      };
    });
}

/** What is drawn, in words: each thing with its figures, and the width that is measured. */
export const saidOf = (layers: Layer[], format: Format): string =>
  [
    ...layers.map((l) => `${l.name} ${l.line?.label ?? ''} ${l.note}`),
    `${format.length(layers[0]!.width)} wide`,
  ].join('; ');
