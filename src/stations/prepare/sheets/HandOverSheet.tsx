'use client';
import { useState } from 'react';
import { Bench, Surface } from '@/shell/bench';
import { FindField } from '@/shell/table';
import { TableHead } from '@/shell/words';
import { targetChoices } from '../EndFields';
import { fileShown, newestFiles } from '../filesShown';
import type { SheetProps } from '../sheetProps';
import { useErrandDesk } from '../useErrandDesk';
import { ErrandFiles } from './ErrandFiles';
import { Errands } from './Errands';
import { HandOverSlip } from './HandOverSlip';
import { RouteForm } from './RouteForm';

/** Hand over: files go to who prints them, with a manifest; what comes back is noted. */
export function HandOverSheet({ view, head }: SheetProps) {
  const { work, routes, papers, profiles, errands } = view;
  const [editing, setEditing] = useState<'new' | 'this' | null>(null);
  const own = newestFiles(view.files).map((f) => fileShown(f));
  const errand = useErrandDesk(work.id, own, String(papers[0]?.id ?? ''));
  const route = routes.find((r) => r.id === errand.desk.routeId) ?? routes[0] ?? null;
  const names = new Map(targetChoices(profiles));
  // What is chosen of other works stays in sight, whatever is looked for.
  const found = view.elsewhere.filter((f) => !errand.desk.others[f.id]);
  const others = [...errand.others, ...found];
  const common = { errand, papers, route, names };
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>Files that are ready</TableHead>
        {own.length === 0 ? (
          <p style={{ color: 'var(--soft)' }}>
            No print file is written yet. Write one under Files; it is handed over from
            here.
          </p>
        ) : (
          <ErrandFiles label="Files that are ready" files={own} {...common} />
        )}
        <div style={{ display: 'flex', gap: 14, alignItems: 'center' }}>
          <TableHead>Of other works, along with them</TableHead>
          <FindField name="also" label="Find a title" value={view.also} />
        </div>
        {others.length === 0 ? (
          <p style={{ color: 'var(--soft)' }}>
            {view.also === ''
              ? 'No other work has a print file yet.'
              : `No print file is found under “${view.also}”.`}
          </p>
        ) : (
          <ErrandFiles label="Files of other works" files={others} {...common} />
        )}
        <Errands errands={errands} today={view.today} />
      </Surface>
      <HandOverSlip
        view={view}
        route={route}
        errand={errand}
        names={names}
        onEdit={setEditing}
      />
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
