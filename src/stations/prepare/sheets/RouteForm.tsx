'use client';
import { useEffect, useRef } from 'react';
import { FORMATS, ROUTE_KINDS, ROUTE_KIND_IDS, routeKind } from '@/core/prepare';
import type { RouteKindId, RouteWants } from '@/core/prepare';
import { useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { FormDialog } from '@/shell/said';
import { Small } from '@/shell/words';
import { ROUTE_WORDS } from '@/studio/words/routeWords';
import { targetChoices } from '../EndFields';
import { keepRoute } from '../handOverActions';
import { routeForm } from '../prepareForms';
import type { PrepareView } from '../view';

const START: RouteKindId = 'onlineLab';

/** What is asked for, as it stands in the fields. */
const asked = ({ leastPpi, target, press, bits, format }: RouteWants) => ({
  leastPpi: String(leastPpi),
  target,
  press,
  bits: String(bits),
  format,
});

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
  const form = useActionForm(
    keepRoute,
    {
      name: route?.name ?? '',
      kind: route ? (route.kind ?? '') : START,
      folder: route?.folder ?? '',
      inkSet: route?.inkSet ?? '',
      ...asked(route?.wants ?? routeKind(START).usual),
    },
    { done: 'Route kept.', onDone: onClose },
  );
  const { setValue, getValues } = form.form;
  const kind = form.form.watch('kind');
  const before = useRef<RouteKindId>(START);
  useEffect(() => {
    const now = ROUTE_KINDS.find((k) => k.id === kind);
    if (route || !now) return;
    const was = asked(routeKind(before.current).usual);
    before.current = now.id;
    // What was typed by hand stays.
    for (const [name, value] of Object.entries(asked(now.usual)))
      if (getValues(name) === was[name as keyof typeof was]) setValue(name, value);
  }, [kind, route, setValue, getValues]);
  const target = targetChoices(view.profiles);
  const options = {
    kind: [
      ...(route?.kind === null ? [['', 'not said'] as const] : []),
      ...ROUTE_KIND_IDS.map((k) => [k, ROUTE_WORDS[k]] as const),
    ],
    target,
    press: [['', 'no'] as const, ...target.filter(([v]) => v.startsWith('icc:'))],
    bits: [
      ['8', '8 per channel'],
      ['16', '16 per channel'],
    ] as const,
    format: FORMATS.map((f) => [f, f.toUpperCase()] as const),
  };
  return (
    <FormDialog title={route ? route.name : 'Who prints'} form={form} onClose={onClose}>
      <FormFields form={form.form} of={routeForm} options={options} />
      {!route && <Small>What is usual there is filled in: a rule of thumb.</Small>}
      <Small>Kept under a name that is there, it is what they ask for from now on.</Small>
    </FormDialog>
  );
}
