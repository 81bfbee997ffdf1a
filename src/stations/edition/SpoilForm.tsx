'use client';
import { useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { FormPart } from '@/shell/slip';
import { spoil } from './actions';
import { spoilForm } from './editionForms';
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
  const form = useActionForm(
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
    <FormPart form={form} verb={`Destroyed: record ${cell.label} as spoiled`} plain>
      <FormFields form={form.form} of={spoilForm} />
    </FormPart>
  );
};
