'use client';
import { FORMATS, USUAL_WANTS } from '@/core/prepare';
import { useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { FormDialog } from '@/shell/said';
import { Small } from '@/shell/words';
import { targetChoices } from '../EndFields';
import { keepRoute } from '../handOverActions';
import { routeForm } from '../prepareForms';
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
  const form = useActionForm(
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
  const target = targetChoices(view.profiles);
  const options = {
    target,
    press: [['', 'no'] as const, ...target.filter(([v]) => v.startsWith('icc:'))],
    bits: [
      ['8', '8 per channel'],
      ['16', '16 per channel'],
    ] as const,
    format: FORMATS.map((f) => [f, f.toUpperCase()] as const),
  };
  return (
    <FormDialog
      title={route ? route.name : 'Who prints'}
      form={form}
      onClose={onClose}
      width={380}
    >
      <FormFields form={form.form} of={routeForm} options={options} />
      <Small>Kept under a name that is there, it is what they ask for from now on.</Small>
    </FormDialog>
  );
}
