'use client';
import { useMemo } from 'react';
import { Button } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty, useToast } from '@/shell/said';
import { DataTable } from '@/shell/table';
import type { Column } from '@/shell/table';
import { LogSheets } from './LogSheets';
import type { TakeBackView } from './takeBackView';

type Step = TakeBackView['steps'][number];

const HINDRANCES: Record<NonNullable<Step['hindered']>, string> = {
  changedSince: 'changed again since: change it by hand',
  inUse: 'something depends on it by now',
  gone: 'it is not there any more',
};

/** Every step that the data lets one take back, newest first, each by itself. */
export function TakeBack({ steps, most }: TakeBackView) {
  const format = useFormat();
  const { takeBack } = useToast();
  const columns = useMemo<Column<Step>[]>(
    () => [
      {
        key: 'at',
        head: 'Day',
        unsorted: true,
        value: (s) => s.at,
        cell: (s) => format.day(s.at),
        width: 110,
      },
      {
        key: 'label',
        names: true,
        head: 'Step',
        unsorted: true,
        value: (s) => s.label,
        cell: (s) => s.label[0]!.toUpperCase() + s.label.slice(1),
      },
      {
        key: 'back',
        head: '',
        unsorted: true,
        value: (s) => s.hindered ?? '',
        width: 300,
        cell: (s) =>
          s.hindered ? (
            HINDRANCES[s.hindered]
          ) : (
            <Button
              $plain
              $small
              aria-label={`Take back: ${s.label}`}
              onPress={() => takeBack(s.id)}
            >
              Take it back
            </Button>
          ),
      },
    ],
    [format, takeBack],
  );
  return (
    <>
      <DrawerHead
        title="Log book"
        sum={
          steps.length === most
            ? `the newest ${most} steps`
            : `${steps.length} ${steps.length === 1 ? 'step' : 'steps'}`
        }
      />
      <Bench>
        <Surface>
          <LogSheets current="back" />
          {steps.length === 0 ? (
            <Empty title="Nothing can be taken back">
              <p>
                Edits, settings, sizes and crops stand here once they are made. What was
                sold, sealed, proofed or numbered is a fact: it is set right by a further
                one.
              </p>
            </Empty>
          ) : (
            <DataTable
              label="What can be taken back"
              rows={steps}
              columns={columns}
              id={(s) => s.id}
            />
          )}
        </Surface>
      </Bench>
    </>
  );
}
