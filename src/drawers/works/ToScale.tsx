'use client';
import { readField } from '@/core/input';
import { Dimension, Plate } from '@/shell/drawing';
import { useBench, useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { workForm } from './workForm';

const VIEW = { width: 760, height: 600 };
const SHEETS = [
  ['A4', 210, 297],
  ['A2', 420, 594],
] as const;

/** The original as typed so far, to one scale beside two known sheets. */
export function ToScale({ width, height }: { width: string; height: string }) {
  const bench = useBench();
  const format = useFormat();
  const wide = readField(workForm.fields.width, width, bench);
  const down = readField(workForm.fields.height, height, bench);
  if (!wide.ok || !down.ok)
    return (
      <Empty title="Give its width and height">
        <p>The original is then drawn here to scale, beside an A4 and an A2 sheet.</p>
      </Empty>
    );
  const [w, h] = [wide.value, down.value];
  const across = w + SHEETS.reduce((total, [, sw]) => total + sw, 0) + 200;
  const scale = Math.min((VIEW.width - 60) / across, (VIEW.height - 70) / Math.max(h, 594));
  const ground = VIEW.height - 30;
  let x = 50 + w * scale + 90 * scale;
  return (
    <Plate
      name="Original"
      width={VIEW.width}
      height={VIEW.height}
      said={`Original ${format.length(w)} wide and ${format.length(h)} high, beside an A4 and an A2 sheet`}
    >
      <rect
        x={50}
        y={ground - h * scale}
        width={w * scale}
        height={h * scale}
        fill="#efece4"
        stroke="#555"
      />
      <Dimension
        from={50}
        to={50 + w * scale}
        at={ground - h * scale - 14}
        text={format.length(w)}
      />
      <Dimension
        from={ground - h * scale}
        to={ground}
        at={32}
        text={format.length(h)}
        upright
      />
      {SHEETS.map(([name, sw, sh]) => {
        const left = x;
        x += (sw + 90) * scale;
        return (
          <g key={name}>
            <rect
              x={left}
              y={ground - sh * scale}
              width={sw * scale}
              height={sh * scale}
              fill="none"
              stroke="var(--soft)"
              strokeDasharray="4 3"
            />
            <text
              x={left + (sw * scale) / 2}
              y={ground + 18}
              textAnchor="middle"
              fontSize={12}
              fill="var(--soft)"
            >
              {name}
            </text>
          </g>
        );
      })}
    </Plate>
  );
}
