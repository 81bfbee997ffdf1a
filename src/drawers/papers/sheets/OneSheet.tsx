'use client';
import { size } from '@/core/units';
import { useState } from 'react';
import type { CutSheetPlan } from '@/core/cut';
import { Button, DownloadLink, useAction, useActionForm } from '@/shell/actions';
import { Choose, Field, Fold } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { JobLine } from '@/shell/running';
import { Problem } from '@/shell/said';
import { FactList, FormPart } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { bookPrinted, handSheetOver, writeSheetOfPrints } from './sheetActions';
import { bookForm } from './sheetForms';
import type { SheetsView } from './view';

/** What becomes of the left-overs of a sheet, and how far its printing has come. */
export function OneSheet({
  view,
  index,
  sheet,
}: {
  view: SheetsView;
  index: number;
  sheet: CutSheetPlan;
}) {
  const format = useFormat();
  const kept = sheet.rests.filter((r) => r.kept);
  const file = view.files[index];
  const prints = view.state.rules.school === 'printThenCut';
  return (
    <>
      {kept.length > 0 && (
        <Small>
          Left over and kept as stock:{' '}
          {kept.map((r) => format.size(size(r.width, r.height))).join('; ')}.
        </Small>
      )}
      {prints && file && (
        <>
          <SectionLabel>Its print file</SectionLabel>
          <FactList
            facts={[
              [file.name, `${format.number(file.bytes / 1e6)} MB`],
              ['Printed at 100 %', `${file.ppi} ppi`],
              [
                'Checks',
                file.failed === 0 ? 'all passed' : `▲ ${file.failed} did not pass`,
              ],
              ...(file.errand
                ? [
                    ['Handed over', `${file.errand.number} to ${file.errand.to}`] as [
                      string,
                      string,
                    ],
                  ]
                : []),
            ]}
          />
          <DownloadLink
            $small
            $plain
            href={`/api/sheet-files/${file.id}`}
            style={{ alignSelf: 'flex-start' }}
          >
            Download it
          </DownloadLink>
        </>
      )}
      {view.jobs.map((job) => (
        <JobLine
          key={job.id}
          job={job}
          what={job.kind === 'gang' ? 'Writing the sheet' : 'Handing over'}
        />
      ))}
    </>
  );
}

/** A sheet that went wrong: its paper is gone, its pieces wait on. */
function Spoiled({ view, index }: { view: SheetsView; index: number }) {
  const form = useActionForm(
    bookPrinted,
    { reason: '' },
    {
      fixed: {
        planId: String(view.id),
        basedOn: String(view.stateId),
        index: String(index),
        came: 'spoiled',
      },
      done: 'Its paper is taken; the pieces are still on the plan.',
    },
  );
  return (
    <Fold title="It was spoiled">
      <FormPart form={form} verb="Note it as spoiled" plain>
        <Field form={form.form} of={bookForm} name="reason" words />
      </FormPart>
    </Fold>
  );
}

/** The next step of a sheet: its file, its way to the printer, what came of it. */
export function SheetDoings({
  view,
  index,
  sheet,
}: {
  view: SheetsView;
  index: number;
  sheet: CutSheetPlan;
}) {
  const fixed = {
    planId: String(view.id),
    basedOn: String(view.stateId),
    index: String(index),
  };
  const [route, setRoute] = useState(0);
  const write = useAction(writeSheetOfPrints, 'Writing the sheet.');
  const hand = useAction(handSheetOver, 'Handing over.');
  const book = useAction(
    bookPrinted,
    `${sheet.places.length} prints noted; their paper is taken.`,
  );
  const file = view.files[index];
  const prints = view.state.rules.school === 'printThenCut';
  const writing = view.jobs.some((j) => j.kind === 'gang' && j.state !== 'failed');
  const { routes } = view;
  const to = routes[route] ?? routes[0];
  const next = prints && !file ? 'write' : file?.errand || !to ? 'book' : 'hand';
  return (
    <>
      {routes.length > 1 && (
        <div style={{ width: '100%' }}>
          <Choose
            label="Printed by"
            value={String(to!.id)}
            options={routes.map((r) => [String(r.id), `printed by ${r.name}`] as const)}
            onChange={(id) => setRoute(routes.findIndex((r) => String(r.id) === id))}
          />
        </div>
      )}
      {prints && (
        <Button
          $plain={next !== 'write'}
          isDisabled={write.sending || writing || (file !== null && file !== undefined)}
          onPress={() => write.run(fixed)}
        >
          {file ? 'File written' : `Print file of sheet ${index + 1}`}
        </Button>
      )}
      {to && (
        <Button
          $plain={next !== 'hand'}
          isDisabled={hand.sending || (prints && !file)}
          onPress={() => hand.run({ ...fixed, routeId: String(to.id) })}
        >
          Hand over
        </Button>
      )}
      <Button
        $plain={next !== 'book'}
        isDisabled={book.sending}
        onPress={() => book.run({ ...fixed, came: 'well', reason: '' })}
      >
        It is printed
      </Button>
      <Problem>{write.problem ?? hand.problem ?? book.problem}</Problem>
      <Spoiled key={`${view.stateId} ${index}`} view={view} index={index} />
    </>
  );
}
