'use client';
import { HUES, TONES } from '@/core/colour';
import type { MeanShift } from '@/core/proof';
import { SlipTable } from '@/shell/table';
import type { MeasuredProof } from '@/studio';
import { shiftWords } from '@/studio/words/stripWords';
import { meansWords } from './words';

const signed = (v: number): string =>
  `${v < -0.049 ? '−' : v > 0.049 ? '+' : ''}${Math.abs(v).toFixed(1)}`;

/** What came back, by tone and by hue: in figures, in words, and what that means to the eye. */
export function AnswerTable({
  drift,
  foretold,
  counted = 'patches',
}: Pick<MeasuredProof, 'drift' | 'foretold'> & { counted?: string }) {
  const rows: [string, MeanShift | null, MeanShift | null][] = [
    ...TONES.map((t) => [t, drift.byTone[t], foretold?.byTone[t] ?? null] as const),
    ...(['neutral', ...HUES] as const).map(
      (h) => [h, drift.byHue[h], foretold?.byHue[h] ?? null] as const,
    ),
  ].map(([name, shift, paper]) => [name, shift, paper]);
  return (
    <SlipTable aria-label="The print against the master">
      <thead>
        <tr>
          <th>where</th>
          <th>{counted}</th>
          <th>L*</th>
          <th>a*</th>
          <th>b*</th>
          <th>C*</th>
          <th>ΔE00</th>
          {foretold && <th>foretold</th>}
          <th style={{ textAlign: 'left', paddingLeft: 18 }}>the print is</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(
          ([name, shift, paper]) =>
            shift && (
              <tr key={name}>
                <td>{name}</td>
                <td>{shift.patches}</td>
                <td>{signed(shift.lightness)}</td>
                <td>{signed(shift.red)}</td>
                <td>{signed(shift.yellow)}</td>
                <td>{signed(shift.chroma)}</td>
                <td>{shift.difference.toFixed(1)}</td>
                {foretold && <td>{paper ? paper.difference.toFixed(1) : '–'}</td>}
                <td className="wrap" style={{ textAlign: 'left', paddingLeft: 18 }}>
                  {shiftWords(shift) || 'as the master'}; {meansWords(shift.difference)}
                </td>
              </tr>
            ),
        )}
      </tbody>
    </SlipTable>
  );
}
