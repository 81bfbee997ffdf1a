'use client';
import type { PrintPlan } from '@/core/prepare';
import { Dimension, Plate, PrintOnSheet } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { OfferedRung } from '@/studio/reads/offered';

/** The print file to scale, with its sheet in lengths and in pixels. */
export function PlanDrawing({
  picked,
  plan,
  preview,
}: {
  picked: OfferedRung;
  plan: PrintPlan;
  preview: string | null;
}) {
  const format = useFormat();
  const { sheet } = picked.fit;
  const scale = Math.min(250 / sheet.height, 300 / sheet.width);
  const w = sheet.width * scale;
  const h = sheet.height * scale;
  const across = `${format.length(sheet.width)} = ${plan.width} px`;
  const down = `${format.length(sheet.height)} = ${plan.height} px`;
  const notes = [
    `picture ${plan.image.width} × ${plan.image.height} px`,
    `from master ${format.number(plan.source.width)} × ${format.number(plan.source.height)} px`,
    `factor ${format.number(plan.factor, 3)} ${plan.factor > 1 ? '(enlarged)' : '(reduced)'}`,
    `border ${format.length(picked.fit.left)} left, ${format.length(picked.fit.right)} right`,
    `and ${format.length(picked.fit.above)} above, ${format.length(picked.fit.below)} below`,
    ...(picked.fit.beyond > 0
      ? [`${format.length(picked.fit.beyond)} all round is trimmed or torn away`]
      : []),
    ...(plan.marks ? ['trim marks on 8 mm around the paper'] : []),
  ];
  return (
    <Plate
      name="Print file"
      width={770}
      height={h + 52}
      said={`Print file of ${picked.label}: ${across} by ${down}; ${notes.join('; ')}`}
    >
      <PrintOnSheet fit={picked.fit} picture={preview} scale={scale} x={56} y={40} />
      <Dimension from={56} to={56 + w} at={22} text={across} />
      <Dimension from={40} to={40 + h} at={30} text={down} upright />
      <g fontSize={12.5} fill="var(--ink)">
        {notes.map((line, i) => (
          <text key={line} x={56 + w + 28} y={58 + i * 21}>
            {line}
          </text>
        ))}
      </g>
    </Plate>
  );
}
