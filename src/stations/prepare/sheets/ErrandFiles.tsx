'use client';
import type { Route } from '@/data';
import { Choose, Line, Tick } from '@/shell/fields';
import { SlipTable } from '@/shell/table';
import { problemsOf } from '../filesShown';
import type { FileShown } from '../filesShown';
import { routeProblemWords } from '../handOverWords';
import type { ErrandDeskNow } from '../useErrandDesk';
import type { PrepareView } from '../view';

interface Props {
  label: string;
  files: readonly FileShown[];
  errand: ErrandDeskNow;
  papers: PrepareView['papers'];
  route: Pick<Route, 'name' | 'wants'> | null;
  /** Names of colour targets. */
  names: ReadonlyMap<string, string>;
}

function FileRow({
  file,
  errand: { desk, put },
  papers,
  route,
  names,
}: Omit<Props, 'files' | 'label'> & { file: FileShown }) {
  const item = desk.items[file.id];
  const wrong = problemsOf(file, route?.wants);
  return (
    <tr data-tone={item && wrong.length > 0 ? 'caution' : undefined}>
      <td className="wrap">
        <Tick checked={item !== undefined} onChange={(on) => put(file, on ? {} : null)}>
          {file.work && <em>{file.work}: </em>}
          {file.name}
        </Tick>
      </td>
      <td style={{ width: 52 }}>
        {item && (
          <Line
            figure
            whole
            label={`Prints of ${file.name}`}
            value={item.quantity}
            onChange={(quantity) => put(file, { quantity })}
          />
        )}
      </td>
      <td style={{ width: 150 }}>
        {item && (
          <Choose
            label={`Paper of ${file.name}`}
            value={item.paperId}
            onChange={(paperId) => put(file, { paperId })}
            options={[
              ['', 'not said'],
              ...papers.map((p) => [String(p.id), p.name] as const),
            ]}
          />
        )}
      </td>
      <td style={{ width: 130 }}>
        {item && (
          <Line
            label={`Remarks on ${file.name}`}
            value={item.remarks}
            onChange={(remarks) => put(file, { remarks })}
          />
        )}
      </td>
      <td className="wrap">
        {wrong.length === 0
          ? '✓ as asked'
          : `▲ ${wrong.map((p) => routeProblemWords(p, (t) => names.get(t) ?? 'a profile')).join('; ')}`}
      </td>
    </tr>
  );
}

/** Files that can go along in an errand, and how each of them does. */
export const ErrandFiles = ({ label, files, ...rest }: Props) => (
  <SlipTable aria-label={label}>
    <thead>
      <tr>
        <th>file</th>
        <th>prints</th>
        <th>paper</th>
        <th>remarks</th>
        <th>{rest.route ? rest.route.name : 'route'}</th>
      </tr>
    </thead>
    <tbody>
      {files.map((file) => (
        <FileRow key={file.id} file={file} {...rest} />
      ))}
    </tbody>
  </SlipTable>
);
