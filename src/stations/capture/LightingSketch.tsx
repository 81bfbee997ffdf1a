'use client';
import { placeLights } from '@/core/capture/plan';
import type { CaptureRules } from '@/core/capture/plan';
import type { Size } from '@/core/units';
import { Dimension, Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const WIDTH = 420;
const HEIGHT = 520;

interface LightingSketchProps {
  work: Size;
  /** From the work to the lens, mm. */
  distance: number;
  rules: CaptureRules;
}

/** Work, camera and two lights from above, to scale. */
export function LightingSketch({ work, distance, rules }: LightingSketchProps) {
  const format = useFormat();
  const lights = placeLights(work, rules.lightAngle, rules.goodStops);
  const across = 2 * lights.aside;
  const deep = Math.max(lights.before, distance);
  const scale = Math.min((WIDTH - 60) / across, (HEIGHT - 110) / deep);
  const cx = WIDTH / 2;
  const wall = 36;
  const y = (mm: number) => wall + mm * scale;
  const half = (work.width / 2) * scale;
  const aside = lights.aside * scale;
  return (
    <Plate
      name="Lights"
      width={WIDTH}
      height={HEIGHT}
      said={`From above the work, ${format.length(work.width)} wide: lights at ${format.number(rules.lightAngle)}°, ${format.distance(lights.aside)} to each side and ${format.distance(lights.before)} before the work, lens ${format.distance(distance)} before it; falls off by ${format.number(lights.stops, 2)} stops`}
    >
      <path d={`M20 ${wall - 6}H${WIDTH - 20}`} stroke="var(--line)" strokeWidth={3} />
      <path d={`M${cx - half} ${wall}H${cx + half}`} stroke="#161616" strokeWidth={5} />
      <text x={cx} y={wall - 14} textAnchor="middle" fontSize={12} fill="var(--ink)">
        the work, {format.length(work.width)} wide
      </text>
      {[-1, 1].map((side) => (
        <g key={side} stroke="#17406a" fill="none">
          <path
            d={`M${cx + side * aside} ${y(lights.before)}L${cx - half} ${wall}M${cx + side * aside} ${y(lights.before)}L${cx + half} ${wall}`}
            strokeWidth={0.8}
            strokeDasharray="5 4"
          />
          <circle
            cx={cx + side * aside}
            cy={y(lights.before)}
            r={8}
            fill="#ffffff"
            strokeWidth={1.6}
          />
        </g>
      ))}
      <path d={`M${cx} ${wall}V${y(distance)}`} stroke="var(--ink)" strokeDasharray="2 4" />
      <rect x={cx - 13} y={y(distance)} width={26} height={17} fill="#161616" />
      <rect x={cx - 6} y={y(distance) - 7} width={12} height={8} fill="#161616" />
      <text x={cx + 19} y={y(distance) + 13} fontSize={12} fill="var(--ink)">
        lens at {format.distance(distance)}
      </text>
      <text x={cx - aside + 14} y={y(lights.before) + 5} fontSize={12} fill="var(--ink)">
        {format.number(rules.lightAngle)}°
      </text>
      <Dimension
        from={cx - aside}
        to={cx}
        at={HEIGHT - 40}
        text={format.distance(lights.aside)}
      />
      <Dimension
        from={wall}
        to={y(lights.before)}
        at={WIDTH - 18}
        text={format.distance(lights.before)}
        upright
      />
      <text x={cx} y={HEIGHT - 10} textAnchor="middle" fontSize={12} fill="var(--soft)">
        two equal lights at its height: falls off by {format.number(lights.stops, 2)} stops
      </text>
    </Plate>
  );
}
