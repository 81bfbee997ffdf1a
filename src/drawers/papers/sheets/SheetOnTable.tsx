'use client';
import { size } from '@/core/units';
import type { PointerEvent } from 'react';
import type { CutPlace, CutSheetPlan } from '@/core/cut';
import { Dimension } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { CutMarks } from './CutMarks';
import { KeptWords, PieceOnSheet } from './PieceOnSheet';
import { boxOn } from './onTable';
import type { OnTable } from './onTable';
import type { Drag } from './useDrag';
import type { SheetsDesk } from './useSheetsDesk';
import type { SheetsView } from './view';

/** What is left of a roll beyond its cut: the paper goes on, and is wound up. */
const Stub = ({ x, y, width, height }: OnTable) => (
  <g aria-hidden>
    <rect x={x + width} y={y} width={22} height={height} fill="#f3f2ee" />
    <path
      d={`M${x + width} ${y} v${height}`}
      stroke="#161616"
      strokeDasharray="5 3"
      strokeWidth={1.2}
    />
    <rect
      x={x + width + 20}
      y={y - 3}
      width={12}
      height={height + 6}
      fill="#dcd8cd"
      stroke="#8a8a8a"
    />
  </g>
);

/** One sheet, or a length of roll, to scale: pieces with their pictures, cuts with their numbers, left-overs hatched. */
export function SheetOnTable({
  view,
  desk,
  sheet,
  index,
  on,
  scale,
  hatch,
  picked,
  dragged,
  onSheet,
  onDown,
}: {
  view: SheetsView;
  desk: SheetsDesk;
  sheet: CutSheetPlan;
  index: number;
  on: OnTable;
  scale: number;
  /** Name of the pattern for what is left over. */
  hatch: string;
  picked: boolean;
  /** A piece of it that is moved by hand. */
  dragged: Drag | null;
  onSheet: () => void;
  onDown: (event: PointerEvent, place: CutPlace) => void;
}) {
  const format = useFormat();
  const { x, y, width, height, lying } = on;
  const box = (of: Parameters<typeof boxOn>[3]) => boxOn(on, sheet, scale, of);
  const stock = desk.state.stock.find((s) => s.id === sheet.stock);
  const [across, down] = lying ? [sheet.length, sheet.width] : [sheet.width, sheet.length];
  return (
    <g>
      <Dimension from={x} to={x + width} at={y - 17} text={format.length(across)} />
      {lying && (
        <Dimension
          from={y}
          to={y + height}
          at={x - 17}
          text={format.length(down)}
          upright
        />
      )}
      <rect x={x + 1} y={y + 2} width={width} height={height} fill="rgba(0,0,0,.25)" />
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill="#fdfdfc"
        stroke={picked ? 'var(--blue)' : 'none'}
        strokeWidth={2}
        onClick={onSheet}
        style={{ cursor: 'pointer' }}
      />
      {lying && <Stub {...on} />}
      {sheet.rests.map((r, k) => (
        <rect key={k} {...box(r)} fill={`url(#${hatch})`} pointerEvents="none" />
      ))}
      {sheet.rests
        .filter((r) => r.kept)
        .map((r, k) => (
          <KeptWords key={k} box={box(r)} text={format.size(size(r.width, r.height))} />
        ))}
      {sheet.places.map((place) => {
        const key = { piece: place.piece, copy: place.copy };
        const by = dragged?.place === place ? dragged.by : { x: 0, y: 0 };
        const lies = box(place);
        return (
          <PieceOnSheet
            key={`${place.piece} ${place.copy}`}
            place={place}
            piece={desk.state.pieces.find((p) => p.id === place.piece) ?? null}
            picture={view.pictures.find((p) => p.id === place.piece) ?? null}
            box={{ ...lies, x: lies.x + by.x, y: lies.y + by.y }}
            turn={(place.turned ? 90 : 0) - (lying ? 90 : 0)}
            picked={desk.picked?.piece === place.piece && desk.picked.copy === place.copy}
            locked={desk.isLocked(key)}
            sheet={index + 1}
            onPick={() => desk.pick(key)}
            onDown={(event) => onDown(event, place)}
          />
        );
      })}
      <CutMarks sheet={sheet} on={on} scale={scale} />
      <text
        x={x}
        y={y + height + (lying ? 22 : 18)}
        style={{ font: "400 15px 'Newsreader', serif" }}
        fill="var(--ink)"
      >
        {lying
          ? `${index + 1}: of the roll, ${format.distance((stock?.kind === 'roll' ? stock.length : 0) - rollUsed(desk, sheet.stock))} left on it`
          : `sheet ${index + 1}`}
      </text>
    </g>
  );
}

/** What the plan cuts off a roll in all, mm. */
const rollUsed = ({ shown }: SheetsDesk, stock: string): number =>
  shown?.sheets.reduce((sum, s) => (s.stock === stock ? sum + s.length : sum), 0) ?? 0;
