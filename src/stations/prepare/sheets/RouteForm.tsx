'use client';
import { FORMATS, USUAL_WANTS } from '@/core/prepare';
import { Button, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { Dialog, Problem } from '@/shell/said';
import { Small } from '@/shell/words';
import { targetChoices } from '../EndFields';
import { keepRoute } from '../handOverActions';
import type { PrepareView } from '../view';

/** Who prints, where their files go, and what they ask for. */
export function RouteForm({
  view,
  route,
  onClose,
}: {
  view: PrepareView;
  route: PrepareView['routes'][number] | null;
  onClose: () => void;
}) {
  const wants = route?.wants ?? USUAL_WANTS;
  const { form, submit, sending, problem } = useActionForm(
    keepRoute,
    {
      name: route?.name ?? '',
      folder: route?.folder ?? '',
      leastPpi: String(wants.leastPpi),
      target: wants.target,
      press: wants.press,
      bits: String(wants.bits),
      format: wants.format,
    },
    { done: 'Route kept.', onDone: onClose },
  );
  const colours = targetChoices(view.profiles);
  return (
    <Dialog title={route ? route.name : 'Who prints'} open onClose={onClose}>
      <form
        method="dialog"
        onSubmit={(e) => {
          e.preventDefault();
          submit();
        }}
        style={{ display: 'grid', gap: 9, width: 380 }}
      >
        <Field form={form} name="name" label="Name" words />
        <Field
          form={form}
          name="folder"
          label="Drop folder"
          words
          hint="a full path; empty: a folder beside your data"
        />
        <Field form={form} name="leastPpi" label="Asks at least" unit="ppi" />
        <ChoiceField form={form} name="target" label="Colours" options={colours} />
        <ChoiceField
          form={form}
          name="press"
          label="CMYK beside it"
          options={[['', 'no'], ...colours.filter(([v]) => v.startsWith('icc:'))]}
        />
        <ChoiceField
          form={form}
          name="bits"
          label="Bits"
          options={[
            ['8', '8 per channel'],
            ['16', '16 per channel'],
          ]}
        />
        <ChoiceField
          form={form}
          name="format"
          label="Format"
          options={FORMATS.map((f) => [f, f.toUpperCase()] as const)}
        />
        <Small>Kept under a name that is there, it is what they ask for from now on.</Small>
        <Problem>{problem}</Problem>
        <Button type="submit" isDisabled={sending}>
          Keep it
        </Button>
      </form>
    </Dialog>
  );
}
