'use client';
import styled from 'styled-components';
import { Button } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty, useToast } from '@/shell/said';
import { SlipTable } from '@/shell/table';
import { LogSheets } from './LogSheets';
import type { TakeBackView } from './takeBackView';

type Step = TakeBackView['steps'][number];

const HINDRANCES: Record<NonNullable<Step['hindered']>, string> = {
  changedSince: 'changed again since: change it by hand',
  inUse: 'something depends on it by now',
  gone: 'it is not there any more',
};

const Steps = styled(SlipTable)`
  max-width: 860px;
  th:nth-child(2),
  td:nth-child(2) {
    text-align: left;
    white-space: normal;
    padding-left: 18px;
  }
`;

/** Every step that the data lets one take back, newest first, each by itself. */
export function TakeBack({ steps, most }: TakeBackView) {
  const format = useFormat();
  const { takeBack } = useToast();
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
            <Steps aria-label="What can be taken back">
              <thead>
                <tr>
                  <th scope="col">Day</th>
                  <th scope="col">Step</th>
                  <th scope="col">Back</th>
                </tr>
              </thead>
              <tbody>
                {steps.map((s) => (
                  <tr key={s.id}>
                    <td>{format.day(s.at)}</td>
                    <td>{s.label[0]!.toUpperCase() + s.label.slice(1)}</td>
                    <td>
                      {s.hindered ? (
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
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Steps>
          )}
        </Surface>
      </Bench>
    </>
  );
}
