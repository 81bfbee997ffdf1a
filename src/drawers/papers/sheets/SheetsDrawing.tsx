'use client';
import { size } from '@/core/units';
import { Plate, useDrawnId } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { purposeOf } from '@/studio/words/sheetWords';
import { SheetOnTable } from './SheetOnTable';
import { TABLE, layOnTable } from './onTable';
import { useDrag } from './useDrag';
import type { SheetsDesk } from './useSheetsDesk';
import type { SheetsView } from './view';

/** Every sheet of the plan to one scale: real pictures, cuts numbered in their order, left-overs hatched. */
export function SheetsDrawing({
  view,
  desk,
  sheet: pickedSheet,
  onSheet,
}: {
  view: SheetsView;
  desk: SheetsDesk;
  /** The sheet whose cuts are told. */
  sheet: number;
  onSheet: (index: number) => void;
}) {
  const format = useFormat();
  const hatch = useDrawnId('left');
  const { state, shown, planning } = desk;
  const drawn = shown?.sheets ?? [];
  const rolls = new Set(state.stock.filter((s) => s.kind === 'roll').map((s) => s.id));
  const table = layOnTable(drawn, rolls);
  const { held, drag, down, ...moves } = useDrag(desk, drawn, table);
  if (!shown || drawn.length === 0) return null;
  const { scale } = table;
  const busy = planning.share !== null;
  const pieceOf = (id: string) => state.pieces.find((p) => p.id === id);

  const rows = shown.sheets.flatMap((s, i) =>
    s.places.map((p) => {
      const of = pieceOf(p.piece);
      return [
        i + 1,
        of ? `${of.title}, ${of.size}, ${purposeOf(of)}` : p.piece,
        format.length(p.x),
        format.length(p.y),
        format.size(size(p.width, p.height)),
        p.turned ? 'yes' : '',
      ];
    }),
  );
  return (
    <Plate
      name="Sheets to cut"
      role="group"
      said={`${shown.sheets.length} sheets to one scale, with their pieces, cuts and left-overs`}
      width={TABLE.width}
      height={table.height}
      figures={{
        heads: ['Sheet', 'Piece', 'From left', 'From top', 'Size', 'Turned'],
        rows,
      }}
      style={busy ? { opacity: 0.75 } : {}}
    >
      <defs>
        <pattern
          id={hatch}
          width={7}
          height={7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={7} height={7} fill="#efefef" />
          <line x1={0} y1={0} x2={0} y2={7} stroke="#9a9a9a" strokeWidth={1.2} />
        </pattern>
      </defs>
      <g ref={held} {...moves}>
        <rect width={TABLE.width} height={table.height} fill="transparent" />
        {shown.sheets.map((sheet, i) => (
          <SheetOnTable
            key={i}
            view={view}
            desk={desk}
            sheet={sheet}
            index={i}
            on={table.sheets[i]!}
            scale={scale}
            hatch={hatch}
            picked={i === pickedSheet}
            dragged={drag?.sheet === i ? drag : null}
            onSheet={() => onSheet(i)}
            onDown={(event, place) => {
              if (!busy && state.plan) down(event, i, place);
            }}
          />
        ))}
      </g>
    </Plate>
  );
}
