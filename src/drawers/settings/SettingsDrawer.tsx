'use client';
import { Fragment, useMemo } from 'react';
import { Link } from '@/shell/link';
import styled from 'styled-components';
import type { BenchSettings } from '@/data';
import { Button, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields, placeOptions } from '@/shell/fields';
import { DrawerHead } from '@/shell/frame';
import { Problem } from '@/shell/said';
import { Slip } from '@/shell/slip';
import { Small, TableHead } from '@/shell/words';
import { SystemWord } from './SystemWord';
import { saveBench } from './actions';
import { BENCH_COLUMNS, benchForm, benchWritten } from './benchForm';

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 22px;
  > div {
    display: grid;
    gap: 9px;
    align-content: start;
  }
`;

/** Bench settings: the studio's name, money, language, and the rules of thumb in force. */
export function SettingsDrawer({
  settings,
  home,
}: {
  settings: BenchSettings;
  home: string;
}) {
  const stored = benchWritten(settings);
  const options = useMemo(() => placeOptions(settings), [settings]);
  const { form, submit, sending, problem } = useActionForm(saveBench, stored, {
    fixed: { seen: JSON.stringify(stored) },
    done: 'Bench settings kept.',
  });
  return (
    <>
      <DrawerHead
        title="Bench settings"
        sum="What holds for every work, until it is changed here"
      />
      <Bench>
        <Surface>
          <Columns>
            {BENCH_COLUMNS.map((groups, i) => (
              <div key={i}>
                {groups.map(([head, only]) => (
                  <Fragment key={head}>
                    <TableHead>{head}</TableHead>
                    <FormFields form={form} of={benchForm} only={only} options={options} />
                  </Fragment>
                ))}
              </div>
            ))}
          </Columns>
        </Surface>
        <Slip
          label="Bench settings"
          actions={
            <Button onPress={submit} isDisabled={sending}>
              Keep these settings
            </Button>
          }
        >
          <Small>
            Rules of thumb are common practice, not law. Every verdict names the rule it
            rests on, and follows when you change it here.
          </Small>
          <Small>
            Units and the grey of the table are switched at the foot of the chest, or with
            the keys u and g.
          </Small>
          <Small>
            Your data lies in {home}; see <Link href="/safekeeping">its backups</Link>.
          </Small>
          <SystemWord />
          <Problem>{problem}</Problem>
        </Slip>
      </Bench>
    </>
  );
}
