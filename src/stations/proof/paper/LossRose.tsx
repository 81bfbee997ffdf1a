'use client';
import { HUES, TONES, hueAngle } from '@/core/colour';
import type { Tone } from '@/core/colour';
import type { ProofCost } from '@/core/proof';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';

const SIDE = 330;
const HIGH = 214;
const CENTRE = { x: SIDE / 2, y: HIGH / 2 };
const HUB = 15;
const REACH = 70;
/** Rings: from here on plainly wrong; and for pictures that lose little, visible. */
const RINGS = [2, 5] as const;
const FILL: Record<Tone, string> = {
  shadows: '#161616',
  midtones: '#6b6b6b',
  highlights: '#fafafa',
};
const TURN: Record<Tone, number> = { shadows: -11, midtones: 0, highlights: 11 };

const at = (degrees: number, r: number) => {
  const turn = (degrees * Math.PI) / 180;
  return { x: CENTRE.x + r * Math.cos(turn), y: CENTRE.y - r * Math.sin(turn) };
};

/** What is lost, by hue around and by tone: bars as long as the mean difference. */
export function LossRose({ cost }: { cost: ProofCost }) {
  const { number } = useFormat();
  const longest = Math.max(
    ...HUES.flatMap((h) => TONES.map((t) => cost.byBoth[h][t].mean)),
  );
  const ring = longest > 2.4 ? RINGS[1] : RINGS[0];
  const most = Math.max(ring * 1.2, longest);
  const long = (v: number) => HUB + (v / most) * REACH;
  const present = HUES.filter((h) => cost.byHue[h].share > 0.001);
  const said = present
    .map((h) => `${h} ${TONES.map((t) => number(cost.byBoth[h][t].mean, 1)).join(', ')}`)
    .join('; ');
  return (
    <Plate
      name="What is lost"
      width={SIDE}
      height={HIGH}
      said={`Mean ΔE00 by hue, in shadows, midtones and highlights: ${said || 'nothing but greys'}`}
      figures={{
        heads: [
          'hue',
          'share of the picture',
          ...TONES.map((t) => `${t}, mean ΔE00`),
          'p95',
        ],
        rows: [...HUES, 'neutral' as const].map((h) => [
          h,
          `${number(cost.byHue[h].share * 100, 1)} %`,
          ...TONES.map((t) => (h === 'neutral' ? '' : number(cost.byBoth[h][t].mean, 2))),
          number(cost.byHue[h].p95, 1),
        ]),
      }}
    >
      <circle cx={CENTRE.x} cy={CENTRE.y} r={HUB} fill="none" stroke="#767676" />
      <circle
        cx={CENTRE.x}
        cy={CENTRE.y}
        r={long(ring)}
        fill="none"
        stroke="#767676"
        strokeDasharray="2 3"
      />
      <text x={CENTRE.x + 3} y={CENTRE.y - long(ring) - 3} fontSize={10.5} fill="#4a4a4a">
        ΔE00 {ring}
      </text>
      {HUES.map((hue) => {
        const name = at(hueAngle(hue), HUB + REACH + 9);
        const side = Math.cos((hueAngle(hue) * Math.PI) / 180);
        return (
          <g key={hue}>
            {TONES.map((tone) => {
              const part = cost.byBoth[hue][tone];
              if (part.share < 0.0005) return null;
              const [from, to] = [HUB, long(part.mean)].map((r) =>
                at(hueAngle(hue) + TURN[tone], r),
              ) as [{ x: number; y: number }, { x: number; y: number }];
              return (
                <g key={tone}>
                  <path
                    d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
                    stroke="#161616"
                    strokeWidth={6.5}
                  />
                  <path
                    d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
                    stroke={FILL[tone]}
                    strokeWidth={5}
                  />
                </g>
              );
            })}
            <text
              x={name.x}
              y={name.y + 4}
              fontSize={11.5}
              textAnchor={side > 0.3 ? 'start' : side < -0.3 ? 'end' : 'middle'}
            >
              {hue}
            </text>
          </g>
        );
      })}
    </Plate>
  );
}
