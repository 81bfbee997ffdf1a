'use client';
import { Dimension, Plate, useDrawnId } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { purposeOf } from '@/studio/words/sheetWords';
import { CutMarks } from './CutMarks';
import { KeptWords, PieceOnSheet } from './PieceOnSheet';
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
  const pictureOf = (id: string) => view.pictures.find((p) => p.id === id);

  const rows = shown.sheets.flatMap((s, i) =>
    s.places.map((p) => {
      const of = pieceOf(p.piece);
      return [
        i + 1,
        of ? `${of.title}, ${of.size}, ${purposeOf(of)}` : p.piece,
        format.length(p.x),
        format.length(p.y),
        format.size({ width: p.width, height: p.height } as never),
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
        {shown.sheets.map((sheet, i) => {
          const { x, y, width, height } = table.sheets[i]!;
          const roll = rolls.has(sheet.stock);
          return (
            <g key={i}>
              <Dimension
                from={x}
                to={x + width}
                at={y - 11}
                text={format.length(sheet.width)}
              />
              <rect
                x={x + 1}
                y={y + 2}
                width={width}
                height={height}
                fill="rgba(0,0,0,.25)"
              />
              <rect
                x={x}
                y={y}
                width={width}
                height={height}
                fill="#fdfdfc"
                stroke={i === pickedSheet ? 'var(--blue)' : 'none'}
                strokeWidth={2}
                onClick={() => onSheet(i)}
                style={{ cursor: 'pointer' }}
              />
              {sheet.rests.map((r, k) => (
                <rect
                  key={k}
                  x={x + r.x * scale}
                  y={y + r.y * scale}
                  width={r.width * scale}
                  height={r.height * scale}
                  fill={`url(#${hatch})`}
                  pointerEvents="none"
                />
              ))}
              {sheet.rests
                .filter((r) => r.kept)
                .map((r, k) => (
                  <KeptWords
                    key={k}
                    x={x + (r.x + r.width / 2) * scale}
                    y={y + (r.y + r.height / 2) * scale}
                    upright={r.height > 1.6 * r.width}
                    text={format.size({ width: r.width, height: r.height } as never)}
                  />
                ))}
              {roll && (
                <path
                  d={`M${x} ${y + height} v26 M${x + width} ${y + height} v26`}
                  stroke="#8a8a8a"
                  strokeDasharray="2 3"
                />
              )}
              {sheet.places.map((place) => {
                const of = pieceOf(place.piece);
                const key = { piece: place.piece, copy: place.copy };
                const moved =
                  drag && drag.sheet === i && drag.place === place ? drag.by : null;
                return (
                  <PieceOnSheet
                    key={`${place.piece} ${place.copy}`}
                    place={place}
                    piece={of ?? null}
                    picture={pictureOf(place.piece) ?? null}
                    x={x + place.x * scale + (moved?.x ?? 0)}
                    y={y + place.y * scale + (moved?.y ?? 0)}
                    scale={scale}
                    picked={
                      desk.picked?.piece === place.piece && desk.picked.copy === place.copy
                    }
                    locked={desk.isLocked(key)}
                    sheet={i + 1}
                    onPick={() => desk.pick(key)}
                    onDown={(event) => {
                      if (!busy && state.plan) down(event, i, place);
                    }}
                  />
                );
              })}
              <CutMarks sheet={sheet} x={x} y={y} scale={scale} />
              <text
                x={x}
                y={y + height + (roll ? 24 : 18)}
                style={{ font: "400 15px 'Newsreader', serif" }}
                fill="var(--ink)"
                dx={roll ? 6 : 0}
              >
                {roll ? `${format.length(sheet.length)} of the roll` : `sheet ${i + 1}`}
              </text>
            </g>
          );
        })}
      </g>
    </Plate>
  );
}
