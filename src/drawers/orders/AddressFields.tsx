'use client';
import { FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { ADDRESS, addressForm } from './orderForms';

/** Where an order goes. Names of customers that are known are offered while one types. */
export const AddressFields = ({
  form,
  known = [],
}: {
  form: Form;
  known?: readonly string[];
}) => (
  <FormFields
    form={form}
    of={addressForm}
    only={Object.keys(ADDRESS)}
    offered={{ name: known }}
  />
);
