'use client';
import { Button, useActionForm } from '@/shell/actions';
import { EnterForm, FormFields } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { orderScreenCopy } from '../actions';
import { screenForm } from '../prepareForms';
import type { SheetProps } from '../sheetProps';

/** A copy for a screen: sRGB, its longest side, words over it. */
export function ScreenCopy({ view, picked, desk }: SheetProps) {
  const { form, submit, sending, problem } = useActionForm(
    orderScreenCopy,
    { longest: '2000', quality: '88', watermark: '' },
    {
      fixed: {
        workId: String(view.work.id),
        sizeKey: picked.key,
        recipe: JSON.stringify(desk.recipe),
      },
      done: 'Screen copy ordered.',
    },
  );
  return (
    <EnterForm onEnter={submit} style={{ display: 'grid', gap: 6 }}>
      <FormFields form={form} of={screenForm} />
      <Problem>{problem}</Problem>
      <Button
        type="submit"
        $plain
        $small
        isDisabled={sending}
        style={{ justifySelf: 'start' }}
      >
        Write a screen copy
      </Button>
    </EnterForm>
  );
}
