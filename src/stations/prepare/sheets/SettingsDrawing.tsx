'use client';
import type { Recipe, layOutSettingsSheet } from '@/core/prepare';
import { mmOf } from '@/core/units';
import { Dimension, Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { SheetProps } from '../sheetProps';
import { CellPicture, usePicture } from './CellPicture';
import { StripPlaced } from './StripPlaced';

const ROOM = { width: 560, height: 400, beside: 236 };

interface SettingsDrawingProps extends Pick<SheetProps, 'view' | 'master'> {
  /** Of the paper. */
  name: string;
  laid: NonNullable<ReturnType<typeof layOutSettingsSheet>>;
  ppi: number;
  /** The part of the picture that a cell shows, 0..1. */
  partOf: (cell: { width: number; height: number }) => number[];
  recipeOf: (cell: number) => Recipe;
}

/** The settings sheet to scale, each cell with its piece of the picture as its setting makes it. */
export function SettingsDrawing({
  view,
  master,
  name,
  laid,
  ppi,
  partOf,
  recipeOf,
}: SettingsDrawingProps) {
  const format = useFormat();
  const picture = usePicture(master.preview);
  // The cells of the last sheet lie under the drawing of the next.
  const room = view.sheets.some((s) => s.kind === 'settings') ? ROOM.beside : ROOM.height;
  const scale = Math.min(ROOM.width / laid.width, room / laid.height);
  const [w, h] = [laid.width * scale, laid.height * scale];
  const across = format.length(mmOf(laid.width, ppi));
  const down = format.length(mmOf(laid.height, ppi));
  return (
    <Plate
      name="Settings sheet"
      fixed
      width={w + 44}
      height={h + 34}
      style={{ flex: 'none' }}
      said={`Settings sheet ${name}, ${across} by ${down}, ${laid.places.length} cells${laid.strip ? ', and a control strip of 36 patches' : ''}`}
    >
      <Dimension from={40} to={40 + w} at={14} text={across} />
      <Dimension from={30} to={30 + h} at={26} text={down} upright />
      <g transform="translate(40 30)">
        <rect x={1} y={1.5} width={w} height={h} fill="rgba(0,0,0,.25)" />
        <rect width={w} height={h} fill="#fdfdfc" />
        {laid.places.map((p, i) => {
          const drawn = {
            x: p.left * scale,
            y: p.top * scale,
            width: p.width * scale,
            height: p.height * scale,
          };
          return picture ? (
            <CellPicture
              key={i}
              picture={picture}
              part={partOf(p)}
              recipe={recipeOf(i)}
              {...drawn}
            />
          ) : (
            <rect key={i} fill="#9c9c9c" {...drawn} />
          );
        })}
        {laid.strip && <StripPlaced place={laid.strip.place} ppi={ppi} scale={scale} />}
        {laid.words.map((p, i) => (
          <rect
            key={i}
            x={p.left * scale}
            y={p.top * scale + 1.5}
            width={p.wide * scale * 0.8}
            height={2}
            fill="#bdbdbd"
          />
        ))}
      </g>
    </Plate>
  );
}
