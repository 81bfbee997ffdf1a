'use client';
import { useState } from 'react';
import { ppiOf, routeProblems } from '@/core/prepare';
import {
  Bench,
  Button,
  Figures,
  JobLine,
  Problem,
  Sentence,
  Slip,
  SlipSub,
  SlipTable,
  SlipTitle,
  Small,
  Surface,
  TableHead,
  useAction,
  useFormat,
  useKept,
} from '@/shell';
import { targetChoices } from '../EndFields';
import { handOverFiles } from '../handOverActions';
import { routeProblemWords } from '../handOverWords';
import { PlainChoice } from '../PlainChoice';
import type { SheetProps } from '../sheetProps';
import { Errands } from './Errands';
import { RouteForm } from './RouteForm';

interface Chosen {
  quantity: string;
  paperId: string;
  remarks: string;
}

interface Desk {
  routeId: number | null;
  items: Record<string, Chosen>;
}

const FIELD = {
  width: '100%',
  padding: '3px 5px',
  border: '1px solid #6f6f6f',
  background: '#fff',
  color: '#161616',
};

/** The newest print file of each size and kind of colours. */
function newestFiles(files: SheetProps['view']['files']) {
  const seen = new Set<string>();
  return files.filter((f) => {
    const key = `${f.sizeKey} ${f.channels}`;
    if (f.kind !== 'print' || seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Hand over: files go to who prints them, with a manifest; what comes back is noted. */
export function HandOverSheet({ view, head }: SheetProps) {
  const { work, routes, papers, profiles, errands, jobs } = view;
  const format = useFormat();
  const [kept, keep] = useKept<Desk>(`hand-over-${work.id}`);
  const [editing, setEditing] = useState<'new' | 'this' | null>(null);
  const { run, sending, problem } = useAction(handOverFiles, 'Handing over.', () =>
    keep(kept && { ...kept, items: {} }),
  );
  const desk = kept ?? { routeId: null, items: {} };
  const route = routes.find((r) => r.id === desk.routeId) ?? routes[0] ?? null;
  const files = newestFiles(view.files);
  const names = new Map(targetChoices(profiles));
  const put = (id: number, over: Partial<Chosen> | null) => {
    const items = { ...desk.items };
    if (over === null) delete items[id];
    else
      items[id] = {
        quantity: '1',
        paperId: String(papers[0]?.id ?? ''),
        remarks: '',
        ...items[id],
        ...over,
      };
    keep({ ...desk, items });
  };
  const chosen = files.filter((f) => desk.items[f.id]);
  const problemsOf = (f: (typeof files)[number]) =>
    route
      ? routeProblems(
          {
            ppi: ppiOf(f.recipe),
            target: f.recipe.convert.target,
            bits: f.recipe.file.bits,
            format: f.recipe.file.format,
            compression: f.recipe.file.compression,
            failed: f.checks.filter((c) => !c.passed).length,
          },
          route.wants,
        )
      : [];
  const off = chosen.filter((f) => problemsOf(f).length > 0);
  const pieces = chosen.reduce((n, f) => n + (Number(desk.items[f.id]!.quantity) || 0), 0);
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>Files that are ready</TableHead>
        {files.length === 0 ? (
          <p style={{ color: 'var(--soft)' }}>
            No print file is written yet. Write one under Files; it is handed over from
            here.
          </p>
        ) : (
          <SlipTable aria-label="Files that are ready">
            <thead>
              <tr>
                <th>file</th>
                <th>prints</th>
                <th>paper</th>
                <th>remarks</th>
                <th>{route ? route.name : 'route'}</th>
              </tr>
            </thead>
            <tbody>
              {files.map((f) => {
                const item = desk.items[f.id];
                const wrong = problemsOf(f);
                return (
                  <tr
                    key={f.id}
                    data-tone={item && wrong.length > 0 ? 'caution' : undefined}
                  >
                    <td className="wrap">
                      <label>
                        <input
                          type="checkbox"
                          checked={item !== undefined}
                          onChange={(e) => put(f.id, e.target.checked ? {} : null)}
                        />{' '}
                        {f.name}
                      </label>
                    </td>
                    <td style={{ width: 52 }}>
                      {item && (
                        <input
                          aria-label={`Prints of ${f.name}`}
                          style={{ ...FIELD, textAlign: 'right' }}
                          inputMode="numeric"
                          value={item.quantity}
                          onChange={(e) => put(f.id, { quantity: e.target.value })}
                        />
                      )}
                    </td>
                    <td style={{ width: 150 }}>
                      {item && (
                        <select
                          aria-label={`Paper of ${f.name}`}
                          style={FIELD}
                          value={item.paperId}
                          onChange={(e) => put(f.id, { paperId: e.target.value })}
                        >
                          <option value="">not said</option>
                          {papers.map((p) => (
                            <option key={p.id} value={p.id}>
                              {p.name}
                            </option>
                          ))}
                        </select>
                      )}
                    </td>
                    <td style={{ width: 130 }}>
                      {item && (
                        <input
                          aria-label={`Remarks on ${f.name}`}
                          style={FIELD}
                          value={item.remarks}
                          onChange={(e) => put(f.id, { remarks: e.target.value })}
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
              })}
            </tbody>
          </SlipTable>
        )}
        <Errands errands={errands} />
      </Surface>
      <Slip
        label="Hand over"
        actions={
          <Button
            isDisabled={sending || !route || chosen.length === 0}
            onPress={() =>
              run({
                workId: String(work.id),
                routeId: String(route?.id ?? ''),
                items: JSON.stringify(
                  chosen.map((f) => {
                    const { quantity, paperId, remarks } = desk.items[f.id]!;
                    return {
                      printFileId: f.id,
                      paperId: paperId === '' ? null : Number(paperId),
                      quantity: Number(quantity),
                      remarks,
                    };
                  }),
                ),
              })
            }
          >
            Hand over {chosen.length} {chosen.length === 1 ? 'file' : 'files'}
          </Button>
        }
      >
        <SlipTitle>{route ? route.name : 'Hand over'}</SlipTitle>
        <SlipSub>
          {route
            ? `asks ${names.get(route.wants.target) ?? 'a profile'}, ${route.wants.bits} bit ${route.wants.format.toUpperCase()}, ${route.wants.leastPpi} ppi or more`
            : 'nobody who prints is named yet'}
        </SlipSub>
        <Figures
          figures={[
            { value: String(chosen.length), unit: '', label: 'files' },
            { value: String(pieces), unit: '', label: 'prints' },
            {
              value: format.number(chosen.reduce((n, f) => n + f.bytes, 0) / 1e6),
              unit: 'MB',
              label: 'to copy',
            },
          ]}
        />
        <Sentence $tone={off.length > 0 ? 'caution' : 'plain'}>
          {!route
            ? 'Say first who prints, and what they ask for.'
            : off.length > 0
              ? `${off.length} of them ${off.length === 1 ? 'is' : 'are'} not as ${route.name} asks. It can be handed over all the same, if they agreed to it.`
              : chosen.length === 0
                ? 'Choose the files, how many prints of each, and on which paper.'
                : 'As asked. They are copied, checked once more, and listed in a manifest.'}
        </Sentence>
        {jobs
          .filter((j) => j.kind === 'handOver')
          .map((job) => (
            <JobLine key={job.id} job={job} what="Handing over" />
          ))}
        <Problem>{problem}</Problem>
        {routes.length > 0 && (
          <PlainChoice
            label="to"
            value={String(route?.id ?? '')}
            options={routes.map((r) => [String(r.id), r.name] as const)}
            onChange={(id) => keep({ ...desk, routeId: Number(id) })}
          />
        )}
        <div style={{ display: 'flex', gap: 8 }}>
          <Button $small $plain={routes.length > 0} onPress={() => setEditing('new')}>
            Name who prints
          </Button>
          {route && (
            <Button $small $plain onPress={() => setEditing('this')}>
              What they ask
            </Button>
          )}
        </div>
        {route && (
          <Small>The files go to {route.drop}, each errand in a folder of its own.</Small>
        )}
        <Small>
          The lab that ships with Glassine, Tidewrack Print Rooms, is simulated: it reads
          the folder, holds the files against its own rules and gives dates, so that the
          errand can be rehearsed.
        </Small>
      </Slip>
      {editing && (
        <RouteForm
          view={view}
          route={editing === 'this' ? route : null}
          onClose={() => setEditing(null)}
        />
      )}
    </Bench>
  );
}
