'use client';
import { Field } from '@/shell/fields';
import type { Form } from '@/shell/fields';

/** Where an order goes. Names of customers that are known are offered while one types. */
export const AddressFields = ({
  form,
  known = [],
}: {
  form: Form;
  known?: readonly string[];
}) => (
  <>
    <Field form={form} name="name" label="Name" words offered={known} />
    <Field form={form} name="street" label="Street" words />
    <Field form={form} name="town" label="Postcode and town" words />
    <Field form={form} name="country" label="Country" words />
  </>
);
