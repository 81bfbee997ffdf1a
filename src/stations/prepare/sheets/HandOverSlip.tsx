'use client';
import { answersErrands } from '@/core/prepare';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { problemsOf } from '../filesShown';
import { handOverFiles } from '../handOverActions';
import { ROUTE_WORDS } from '@/studio/words/routeWords';
import { readyWords } from '../handOverWords';
import { PlainChoice } from '../PlainChoice';
import type { ErrandDeskNow } from '../useErrandDesk';
import type { PrepareView } from '../view';
import { PrintedHere } from './PrintedHere';
import { Wished } from './Wished';

type Route = PrepareView['routes'][number];

/** Its kind, where the name does not say it. */
const kindOf = ({ name, kind }: Route) =>
  kind === null || ROUTE_WORDS[kind] === name.toLowerCase() ? '' : `${ROUTE_WORDS[kind]}, `;

/** Where the files go; the whole path is nobody's business who looks over a shoulder. */
const DropFolder = ({ route }: { route: Route }) => (
  <Small>
    The files go to <span title={route.drop}>drop folder / {route.name}</span>, each errand
    in a folder of its own.{' '}
    <Button $small $plain onPress={() => void navigator.clipboard.writeText(route.drop)}>
      Copy the path
    </Button>
  </Small>
);

/** To whom the files go, what it amounts to, and the press that sends them. */
export function HandOverSlip({
  view,
  route,
  errand,
  names,
  onEdit,
}: {
  view: PrepareView;
  route: Route | null;
  errand: ErrandDeskNow;
  names: ReadonlyMap<string, string>;
  onEdit: (what: 'new' | 'this') => void;
}) {
  const { work, routes, jobs } = view;
  const format = useFormat();
  const { chosen, items, fault } = errand;
  const { run, sending, problem } = useAction(handOverFiles, 'Handing over.', errand.clear);
  const off = chosen.filter((f) => problemsOf(f, route?.wants).length > 0);
  const pieces = items.reduce((n, i) => n + i.quantity, 0);
  return (
    <Slip
      label="Hand over"
      actions={
        <Button
          isDisabled={sending || !route || chosen.length === 0 || fault !== null}
          onPress={() =>
            run({
              workId: String(work.id),
              routeId: String(route?.id ?? ''),
              items: JSON.stringify(items),
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
          ? `${kindOf(route)}asks ${names.get(route.wants.target) ?? 'a profile'}, ${route.wants.bits} bit ${route.wants.format.toUpperCase()}, ${route.wants.leastPpi} ppi or more`
          : 'nobody who prints is named yet'}
      </SlipSub>
      <Figures
        figures={[
          {
            value: String(chosen.length),
            unit: '',
            label: chosen.length === 1 ? 'file' : 'files',
          },
          { value: String(pieces), unit: '', label: pieces === 1 ? 'print' : 'prints' },
          {
            value: format.number(chosen.reduce((n, f) => n + f.bytes, 0) / 1e6),
            unit: 'MB',
            label: 'to copy',
          },
        ]}
      />
      <Sentence $tone={off.length > 0 ? 'caution' : 'plain'}>
        {readyWords(route?.name ?? null, chosen.length, off.length)}
      </Sentence>
      {jobs
        .filter((j) => j.kind === 'handOver')
        .map((job) => (
          <JobLine key={job.id} job={job} what="Handing over" />
        ))}
      <Wished view={view} errand={errand} onName={() => onEdit('new')} />
      <Problem>{fault ?? problem}</Problem>
      {routes.length > 0 && (
        <PlainChoice
          label="to"
          value={String(route?.id ?? '')}
          options={routes.map((r) => [String(r.id), r.name] as const)}
          onChange={(id) => errand.choose(Number(id))}
        />
      )}
      <div style={{ display: 'flex', gap: 8 }}>
        <Button $small $plain={routes.length > 0} onPress={() => onEdit('new')}>
          Name who prints
        </Button>
        {route && (
          <Button $small $plain onPress={() => onEdit('this')}>
            What they ask
          </Button>
        )}
      </div>
      {route && <DropFolder route={route} />}
      {(route?.here ?? true) && (
        <PrintedHere
          view={view}
          files={view.files
            .filter((f) => f.kind === 'print')
            .map((f) => [`print:${f.id}`, f.name] as const)}
        />
      )}
      {answersErrands(route?.kind ?? null) && (
        <Small>
          The lab that ships with Glassine, Tidewrack Print Rooms, is simulated: it reads
          the folder, holds the files against its own rules and gives dates, so that the
          errand can be rehearsed.
        </Small>
      )}
    </Slip>
  );
}
