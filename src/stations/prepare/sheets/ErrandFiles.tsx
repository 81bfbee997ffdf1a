'use client';
import type { Route } from '@/data';
import { Choose, Line, Tick } from '@/shell/fields';
import { SlipTable } from '@/shell/table';
import { problemsOf } from '../filesShown';
import type { FileShown } from '../filesShown';
import { routeProblemWords } from '../handOverWords';
import type { ErrandDeskNow } from '../useErrandDesk';
import type { PrepareView } from '../view';

const FIELD = {
  width: '100%',
  padding: '3px 5px',
  border: '1px solid #6f6f6f',
  background: '#fff',
  color: '#161616',
};

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
        <label>
          <Tick
            checked={item !== undefined}
            onChange={(e) => put(file, e.target.checked ? {} : null)}
          />{' '}
          {file.work && <em>{file.work}: </em>}
          {file.name}
        </label>
      </td>
      <td style={{ width: 52 }}>
        {item && (
          <Line
            aria-label={`Prints of ${file.name}`}
            style={{ ...FIELD, textAlign: 'right' }}
            inputMode="numeric"
            value={item.quantity}
            onChange={(e) => put(file, { quantity: e.target.value })}
          />
        )}
      </td>
      <td style={{ width: 150 }}>
        {item && (
          <Choose
            aria-label={`Paper of ${file.name}`}
            style={FIELD}
            value={item.paperId}
            onChange={(e) => put(file, { paperId: e.target.value })}
          >
            <option value="">not said</option>
            {papers.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Choose>
        )}
      </td>
      <td style={{ width: 130 }}>
        {item && (
          <Line
            aria-label={`Remarks on ${file.name}`}
            style={FIELD}
            value={item.remarks}
            onChange={(e) => put(file, { remarks: e.target.value })}
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
