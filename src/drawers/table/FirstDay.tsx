'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import { placeForm } from '@/core/place';
import { Button, ButtonLink, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields, placeOptions } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import { settleStudio } from './actions';
import { TrySample } from './Sample';
import { StudioParts } from './StudioParts';
import type { TableView } from './view';

const Form = styled.div`
  display: grid;
  gap: 10px;
  max-width: 380px;
`;

/** The table of a new studio: who and where it is, as guessed, and what it still needs. */
export function FirstDay({ view }: { view: TableView }) {
  const { today, place, parts, settled } = view;
  const format = useFormat();
  const stored = useMemo(
    () => placeForm.write(place, { ...place, locale: place.locale }),
    [place],
  );
  const options = useMemo(() => placeOptions(place), [place]);
  const settling = useActionForm(settleStudio, stored, { done: 'Kept.' });
  return (
    <>
      <DrawerHead title="Table" sum={`${format.day(today)}, a new studio`} />
      <Bench>
        <Surface>
          <Form>
            <TableHead>Your studio</TableHead>
            <Sentence>
              {settled
                ? 'This holds for every work. It can be changed here or in the bench settings.'
                : 'This was guessed from your browser. Look it over, and say what the studio is called.'}
            </Sentence>
            <FormFields form={settling.form} of={placeForm} options={options} stacked />
            <Small>
              As it is written here: {format.length(297)}, {format.money(123_450)},{' '}
              {format.day(today)}.
            </Small>
            <Problem>{settling.problem}</Problem>
            <div>
              <Button
                $plain={settled}
                onPress={settling.submit}
                isDisabled={settling.sending}
              >
                Keep this
              </Button>
            </div>
          </Form>
        </Surface>
        <Slip
          label="A first day"
          actions={<ButtonLink href="/works/new">New work</ButtonLink>}
        >
          <SlipTitle>A first day</SlipTitle>
          <Sentence>
            Take in a first work: its title and size, then the scan or photograph of it. The
            rule above it leads from Capture to Pack.
          </Sentence>
          <Small>What makes a studio complete ticks itself:</Small>
          <StudioParts parts={parts} works={null} />
          <TrySample />
        </Slip>
      </Bench>
    </>
  );
}
