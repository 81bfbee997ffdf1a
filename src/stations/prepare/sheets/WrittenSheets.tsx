'use client';
import { formatOfName } from '@/core/prepare';
import type { SheetKindId } from '@/core/prepare';
import { useFormat } from '@/shell/figures';
import { JobLine } from '@/shell/running';
import { SlipTable } from '@/shell/table';
import { SectionLabel } from '@/shell/words';
import type { PrepareView } from '../view';
import { PrintedHere } from './PrintedHere';

/** Sheets of a kind that were written for the work, and what is being written. */
export function WrittenSheets({ view, kind }: { view: PrepareView; kind: SheetKindId }) {
  const format = useFormat();
  const own = view.sheets.filter((s) => s.kind === kind);
  return (
    <>
      {view.jobs
        .filter((job) => job.kind === 'sheet')
        .map((job) => (
          <JobLine key={job.id} job={job} what="Writing the sheet" />
        ))}
      {own.length > 0 && (
        <>
          <SectionLabel>Written</SectionLabel>
          <SlipTable>
            <tbody>
              {own.slice(0, 4).map((s) => {
                const passed = s.checks.filter((c) => c.passed).length;
                return (
                  <tr key={s.id} data-tone={passed < s.checks.length ? 'stop' : undefined}>
                    <td>{format.day(s.at)}</td>
                    <td>
                      {passed} of {s.checks.length} {passed === s.checks.length ? '✓' : '▲'}
                    </td>
                    <td>
                      <a href={`/api/sheet-files/${s.id}`}>
                        {formatOfName(s.name).toUpperCase()}
                      </a>
                    </td>
                    <td>
                      <a href={`/api/sheet-files/${s.id}?form=pdf`}>PDF</a>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </SlipTable>
          <PrintedHere
            view={view}
            files={own.map((s) => [`sheet:${s.id}`, s.name] as const)}
          />
        </>
      )}
    </>
  );
}
