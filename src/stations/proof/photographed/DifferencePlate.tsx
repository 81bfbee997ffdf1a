'use client';
import { SEEN_LIMITS } from '@/core/proof';
import { Plate } from '@/shell/drawing';
import type { DifferenceGrades } from './view';

const WIDTH = 366;
const MOST = 274;
/** From hardly to plainly different: dark enough to be read in black and white, too. */
const SHADES = ['none', '#f1d9a8', '#e0a24a', '#b05a1e', '#5e1709'] as const;
const FOOT = 26;

interface DifferencePlateProps {
  map: DifferenceGrades;
  /** The picture under it, and its proportion. */
  preview: string;
  width: number;
  height: number;
}

/** Cells of one grade that follow each other in a row, as one stroke each. */
function runsOf({ columns, rows, grades }: DifferenceGrades) {
  const runs: { grade: number; x: number; y: number; length: number }[] = [];
  for (let y = 0; y < rows; y += 1)
    for (let x = 0; x < columns;) {
      const grade = grades[y * columns + x]!;
      let end = x + 1;
      while (end < columns && grades[y * columns + end] === grade) end += 1;
      if (grade > 0) runs.push({ grade, x, y, length: end - x });
      x = end;
    }
  return runs;
}

/** Where a print differs: a map over the picture, in steps of what is seen. */
export function DifferencePlate({ map, preview, width, height }: DifferencePlateProps) {
  const by = Math.min(WIDTH / width, MOST / height);
  const [wide, high] = [width * by, height * by];
  const [cw, ch] = [wide / map.columns, high / map.rows];
  const told = map.grades.filter((g) => g >= 0).length;
  const share = (grade: number) =>
    Math.round((100 * map.grades.filter((g) => g === grade).length) / Math.max(1, told));
  const names = [
    `under ${SEEN_LIMITS[0]}`,
    ...SEEN_LIMITS.map((from, i) =>
      i + 1 < SEEN_LIMITS.length ? `${from} to ${SEEN_LIMITS[i + 1]}` : `over ${from}`,
    ),
  ];
  const rows = names.map((name, grade) => [name, share(grade)]);
  return (
    <Plate
      name="Where it differs"
      fixed
      width={WIDTH}
      height={high + FOOT}
      said={`Map of differences over the picture: ${rows.map(([n, s]) => `${s} % ${n} ΔE00`).join(', ')}`}
      figures={{ heads: ['ΔE00', '% of what is told'], rows }}
    >
      <image
        href={preview}
        width={wide}
        height={high}
        preserveAspectRatio="none"
        opacity={0.45}
        style={{ filter: 'grayscale(1)' }}
      />
      {runsOf(map).map(({ grade, x, y, length }) => (
        <rect
          key={`${x} ${y}`}
          x={x * cw}
          y={y * ch}
          width={length * cw}
          height={ch}
          fill={SHADES[grade]}
          fillOpacity={0.82}
          shapeRendering="crispEdges"
        />
      ))}
      <rect
        x={0.5}
        y={0.5}
        width={wide - 1}
        height={high - 1}
        fill="none"
        stroke="#474747"
      />
      <g
        transform={`translate(0 ${high + 18})`}
        fontSize={11.5}
        fill="currentColor"
        className="num"
      >
        <text x={0}>ΔE00</text>
        {names.map((name, i) => (
          <g key={name} transform={`translate(${38 + i * 66} 0)`}>
            <rect
              x={0}
              y={-9}
              width={11}
              height={11}
              fill={SHADES[i] === 'none' ? '#fff' : SHADES[i]}
              stroke="#474747"
            />
            <text x={16}>{name}</text>
          </g>
        ))}
      </g>
    </Plate>
  );
}
