'use client';
import { Button, useActionForm } from '@/shell/actions';
import { Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { spoil } from './actions';
import type { LaidSheet } from '@/core/edition';

/** Records an impression as spoiled and destroyed, with the reason. */
export const SpoilForm = ({
  editionId,
  cell,
  onDone,
}: {
  editionId: number;
  cell: LaidSheet;
  onDone: () => void;
}) => {
  const { form, submit, sending, problem } = useActionForm(
    spoil,
    { reason: '' },
    {
      fixed: {
        editionId: String(editionId),
        series: cell.series,
        number: String(cell.number),
      },
      done: `${cell.label} recorded as spoiled; its number can be printed again.`,
      onDone,
    },
  );
  return (
    <>
      <Field form={form} name="reason" label="What spoiled it" words />
      <Problem>{problem}</Problem>
      <Button
        $plain
        $small
        onPress={submit}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Destroyed: record {cell.label} as spoiled
      </Button>
    </>
  );
};
