'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { WORK_KINDS } from '@/core/work';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  DrawerHead,
  Field,
  Problem,
  Slip,
  SlipTitle,
  Small,
  Surface,
  useActionForm,
} from '@/shell';
import { createWork } from './actions';
import { ToScale } from './ToScale';

const Sides = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
`;

/** A new work: what it is and how large, drawn to scale while it is typed. */
export function NewWork({
  currency,
  first,
  year,
}: {
  currency: string;
  first: boolean;
  year: number;
}) {
  const router = useRouter();
  const { form, submit, sending, problem } = useActionForm(
    createWork,
    {
      title: '',
      artist: '',
      year: String(year),
      kind: 'painting',
      medium: '',
      width: '',
      height: '',
      price: '0',
    },
    { done: 'Work taken in.', onDone: (id) => router.push(`/works/${id}/capture`) },
  );
  const [width, height] = form.watch(['width', 'height']);
  const field = { form };
  return (
    <>
      <DrawerHead
        title="New work"
        sum={first ? 'The first one: what is the original?' : 'What is the original?'}
      />
      <Bench>
        <Surface>
          <ToScale width={width ?? ''} height={height ?? ''} />
        </Surface>
        <Slip
          label="New work"
          actions={
            <>
              <Button onPress={submit} isDisabled={sending}>
                Take it in
              </Button>
              <ButtonLink href="/works" $plain>
                Leave it
              </ButtonLink>
            </>
          }
        >
          <SlipTitle>The original</SlipTitle>
          <form
            onSubmit={(e) => {
              e.preventDefault();
              submit();
            }}
            style={{ display: 'grid', gap: 9 }}
          >
            <Field {...field} name="title" label="Title" words />
            <Field {...field} name="artist" label="Artist" words />
            <Field {...field} name="medium" label="Medium" words />
            <ChoiceField
              {...field}
              name="kind"
              label="Kind"
              options={WORK_KINDS.map((k) => [k, k] as const)}
            />
            <Field {...field} name="year" label="Year" />
            <Sides>
              <Field {...field} name="width" label="Width" words />
              <Field {...field} name="height" label="Height" words />
            </Sides>
            <Field {...field} name="price" label="Price of the original" unit={currency} />
            <button type="submit" className="sr" tabIndex={-1} aria-hidden>
              Take it in
            </button>
          </form>
          <Small>Lengths as you like: 300 mm, 30 cm or 12in. The master comes next.</Small>
          <Problem>{problem}</Problem>
        </Slip>
      </Bench>
    </>
  );
}
