'use client';
import type { Stop } from '../walk';
import type { SpeckVerdict } from '@/core/capture/specks';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { VERDICT_WORDS, kindOf } from './speckParts';

/** The specks and busy tiles around the one that is looked at. */
export function SpecksTable({
  stops,
  current,
  verdictOf,
  onPick,
}: {
  stops: readonly Stop[];
  current: Stop | null;
  verdictOf: (index: number) => SpeckVerdict;
  onPick: (at: number) => void;
}) {
  const format = useFormat();
  return (
    <SlipTable aria-label="Specks">
      <thead>
        <tr>
          <th>what</th>
          <th>size</th>
          <th>contrast</th>
          <th>sure</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {stops.map((stop, i) => (
          <tr
            key={`${stop.x} ${stop.y}`}
            data-opens
            aria-selected={stop === current}
            onClick={() => onPick(i)}
          >
            <td>{stop.kind === 'tile' ? 'busy tile' : kindOf(stop)}</td>
            <td>{stop.kind === 'tile' ? '' : `${format.number(stop.diameter)}\u202fpx`}</td>
            <td>{stop.kind === 'tile' ? '' : format.number(Math.abs(stop.contrast))}</td>
            <td>{stop.kind === 'tile' ? '' : format.percent(stop.confidence)}</td>
            <td>{stop.kind === 'tile' ? '' : VERDICT_WORDS[verdictOf(stop.index)]}</td>
          </tr>
        ))}
      </tbody>
    </SlipTable>
  );
}
