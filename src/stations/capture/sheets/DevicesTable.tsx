'use client';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { verdictWord } from '../planWords';
import type { CapturePlan } from '@/core/capture/plan';

/** What each device reaches for the print that is wanted; walked, one is picked. */
export function DevicesTable({
  plans,
  picked,
  onPick,
}: {
  plans: readonly { id: number; device: { name: string }; plan: CapturePlan }[];
  picked: number | null;
  onPick: (id: number) => void;
}) {
  const format = useFormat();
  return (
    <SlipTable aria-label="Devices">
      <thead>
        <tr>
          <th>device</th>
          <th>reaches</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {plans.map((p) => (
          <tr
            key={p.id}
            data-opens
            tabIndex={0}
            data-tone={p.plan.verdict === 'fallsShort' ? 'stop' : undefined}
            aria-selected={p.id === picked}
            onClick={() => onPick(p.id)}
            onFocus={() => onPick(p.id)}
          >
            <td className="wrap">{p.device.name}</td>
            <td>
              {p.plan.canvas
                ? `${format.number(p.plan.canvas.layers.eight)} layers`
                : `${format.number(Math.floor(p.plan.reached))}\u202fppi`}
            </td>
            <td>{verdictWord(p.plan)}</td>
          </tr>
        ))}
      </tbody>
    </SlipTable>
  );
}
