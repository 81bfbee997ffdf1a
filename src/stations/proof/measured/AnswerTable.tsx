'use client';
import { shiftsOf } from '@/core/proof';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import type { MeasuredProof } from '@/studio';
import { cameWords, signedFigure } from './words';

/** What came back, by tone and by hue: in figures, in words, and what that means to the eye. */
export function AnswerTable({
  drift,
  foretold,
  counted = 'patches',
}: Pick<MeasuredProof, 'drift' | 'foretold'> & { counted?: string }) {
  const format = useFormat();
  const signed = (v: number) => signedFigure(v, format);
  const paper = new Map(foretold ? shiftsOf(foretold) : []);
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
        {shiftsOf(drift).map(([name, shift]) => {
          const own = paper.get(name);
          return (
            <tr key={name}>
              <td>{name}</td>
              <td>{shift.patches}</td>
              <td>{signed(shift.lightness)}</td>
              <td>{signed(shift.red)}</td>
              <td>{signed(shift.yellow)}</td>
              <td>{signed(shift.chroma)}</td>
              <td>{format.number(shift.difference, 1)}</td>
              {foretold && <td>{own ? format.number(own.difference, 1) : '–'}</td>}
              <td className="wrap" style={{ textAlign: 'left', paddingLeft: 18 }}>
                {cameWords(shift, format)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </SlipTable>
  );
}
