'use client';
import { FormSlip } from '@/shell/slip';
import type { OrderBenchView } from './view';

export const home = (view: OrderBenchView) => `/orders/${view.order.number}`;

/** A form on the slip of an order's bench; who leaves it is at the parcel again. */
export const BenchForm = ({
  view,
  ...form
}: { view: OrderBenchView } & Omit<
  React.ComponentProps<typeof FormSlip>,
  'back' | 'leave'
>) => <FormSlip {...form} back={home(view)} leave="Back to the parcel" />;
