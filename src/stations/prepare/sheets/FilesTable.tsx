'use client';
import { stepIn } from '@/core/prepare';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import type { PrepareView } from '../view';

/** The files of a size, newest first: what they are, and whether they came out as ordered. */
export function FilesTable({
  files,
  names,
}: {
  files: PrepareView['files'];
  /** Colours by what they are converted to. */
  names: ReadonlyMap<string, string>;
}) {
  const format = useFormat();
  return (
    <SlipTable>
      <thead>
        <tr>
          <th>file</th>
          <th>pixels</th>
          <th>sharpened</th>
          <th>colours</th>
          <th>checks</th>
          <th>MB</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {files.map((f) => {
          const sharp = stepIn(f.recipe, 'output');
          const passed = f.checks.filter((c) => c.passed).length;
          return (
            <tr key={f.id} data-tone={passed < f.checks.length ? 'stop' : undefined}>
              <td className="wrap">{f.name}</td>
              <td>
                {f.width} × {f.height}
              </td>
              <td>{sharp ? `${sharp.amount} %, ${sharp.radius} px` : 'no'}</td>
              <td className="wrap">{names.get(f.recipe.convert.target) ?? 'a profile'}</td>
              <td>
                {passed} of {f.checks.length} {passed === f.checks.length ? '✓' : '▲'}
              </td>
              <td>{format.number(f.bytes / 1e6, f.bytes < 1e7 ? 1 : 0)}</td>
              <td>
                <a href={`/api/print-files/${f.id}`}>Download</a>
              </td>
            </tr>
          );
        })}
      </tbody>
    </SlipTable>
  );
}
