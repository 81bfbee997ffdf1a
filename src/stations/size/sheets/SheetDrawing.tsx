'use client';
import type { MatPlan } from '@/core/finish';
import { boxesOf, sheetDrawing } from '@/core/size';
import type { DrawnLine, FitResult, LineKind, SizeRules } from '@/core/size';
import { Dimension, Plate, PrintOnSheet } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import { SIGN_PLACES } from '../sheetWords';

const WIDTH = 770;
const HEIGHT = 520;
/** Room for the chains of measures above and at the right, and for marks all round. */
const ABOVE = 74;
const RIGHT = 90;
const EDGE = 26;
const CHAIN = 20;

const STYLE: Record<LineKind, { width: number; dash?: string; soft?: boolean } | null> = {
  paper: { width: 1 },
  sheet: { width: 1, dash: '7 3' },
  image: null,
  bleed: { width: 1, dash: '2 2' },
  unprintable: { width: 0.8, dash: '1 4', soft: true },
  trimMark: { width: 1 },
  centreMark: { width: 1 },
  sign: { width: 0.8 },
  dimension: null,
};

/** How a print is presented: by itself, under a window mat, or floating in a deep frame. */
export type Presented = 'flat' | 'mat' | 'float';
export const FLOAT_GAP_MM = 10;

interface SheetDrawingProps {
  fit: FitResult;
  rules: SizeRules;
  picture: string | null;
  presented: Presented;
  mat: MatPlan | null;
  label: string;
}

/** One sheet to scale: paper, sheet, picture, marks, where it is signed, its measures; and the mat or frame on it. */
export function SheetDrawing({
  fit,
  rules,
  picture,
  presented,
  mat,
  label,
}: SheetDrawingProps) {
  const format = useFormat();
  const { paper } = fit;
  const around =
    presented === 'mat' && mat
      ? Math.max(
          0,
          (mat.outside.height - paper.height) / 2 + 20,
          (mat.outside.width - paper.width) / 2,
        )
      : presented === 'float'
        ? FLOAT_GAP_MM + 18
        : 0;
  const above = presented === 'flat' ? ABOVE : EDGE / 2;
  const scale = Math.min(
    (WIDTH - RIGHT - EDGE) / (paper.width + 2 * around),
    (HEIGHT - above - EDGE / 2) / (paper.height + 2 * around),
  );
  const drawing = sheetDrawing(fit, rules, CHAIN / scale);
  const x = (WIDTH - RIGHT + EDGE - paper.width * scale) / 2;
  const y = above + around * scale;
  const px = (n: number) => x + n * scale;
  const py = (n: number) => y + n * scale;
  const { image, sheet } = boxesOf(fit);
  const stroke = (l: DrawnLine, i: number) => {
    const style = STYLE[l.kind];
    return (
      style && (
        <path
          key={i}
          d={`M${px(l.x1)} ${py(l.y1)}L${px(l.x2)} ${py(l.y2)}`}
          stroke={style.soft ? '#6a6a6a' : '#161616'}
          strokeWidth={style.width}
          strokeDasharray={style.dash}
          fill="none"
        />
      )
    );
  };
  const opening = mat && {
    left: (image.left + image.right - mat.opening.width) / 2,
    top: (image.top + image.bottom - mat.opening.height) / 2,
  };
  return (
    <Plate name="Sheet" width={WIDTH} height={HEIGHT} said={label}>
      {presented === 'float' && (
        <rect
          x={px(sheet.left - FLOAT_GAP_MM - 14)}
          y={py(sheet.top - FLOAT_GAP_MM - 14)}
          width={(fit.sheet.width + 2 * FLOAT_GAP_MM + 28) * scale}
          height={(fit.sheet.height + 2 * FLOAT_GAP_MM + 28) * scale}
          fill="#8f8f8f"
          stroke="#3a3a3a"
          strokeWidth={14 * scale}
        />
      )}
      <PrintOnSheet
        fit={{
          ...fit,
          sheet: presented === 'flat' ? paper : fit.sheet,
          crop: presented === 'flat' ? fit.printed.crop : fit.crop,
          ...(presented === 'flat' ? printedOn(fit) : {}),
        }}
        picture={picture}
        scale={scale}
        x={presented === 'flat' ? x : px(sheet.left)}
        y={presented === 'flat' ? y : py(sheet.top)}
      />
      {presented === 'mat' && mat && opening && (
        <path
          d={[
            frame(
              px(opening.left - (mat.outside.width - mat.opening.width) / 2),
              py(opening.top - MAT_ABOVE),
              mat.outside.width * scale,
              mat.outside.height * scale,
            ),
            frame(
              px(opening.left),
              py(opening.top),
              mat.opening.width * scale,
              mat.opening.height * scale,
            ),
          ].join('')}
          fillRule="evenodd"
          fill="#efefed"
          stroke="#777"
        />
      )}
      {presented === 'flat' && drawing.lines.map(stroke)}
      {(presented !== 'mat' || mat?.signatureShows) &&
        drawing.labels.map((l) =>
          l.says.kind === 'place' ? (
            <text
              key={l.says.place}
              x={px(l.x)}
              y={py(l.y) + 9.5}
              textAnchor="middle"
              fontSize={10.5}
              fontStyle="italic"
              fontFamily="Newsreader, serif"
              fill="#3d3d46"
            >
              {SIGN_PLACES[l.says.place]}
            </text>
          ) : null,
        )}
      {presented === 'flat' &&
        drawing.measures.map((m) => (
          <Dimension
            key={`${m.upright} ${m.at} ${m.from}`}
            from={m.upright ? py(m.from) : px(m.from)}
            to={m.upright ? py(m.to) : px(m.to)}
            at={m.upright ? px(m.at) : py(m.at)}
            upright={m.upright}
            text={format.length(m.length)}
          />
        ))}
    </Plate>
  );
}

/** Above the opening of the mat drawn here, mm. */
export const MAT_ABOVE = 60;

const frame = (x: number, y: number, w: number, h: number) => `M${x} ${y}h${w}v${h}h${-w}z`;

/** The printed picture with its bleed, as it lies on the untrimmed paper. */
function printedOn(fit: FitResult) {
  const { bleed } = fit.printed;
  return {
    left: (fit.beyond + fit.left - bleed.left) as FitResult['left'],
    above: (fit.beyond + fit.above - bleed.above) as FitResult['above'],
    image: {
      width: (fit.image.width + bleed.left + bleed.right) as FitResult['left'],
      height: (fit.image.height + bleed.above + bleed.below) as FitResult['left'],
    },
  };
}
