'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { WORK_KINDS } from '@/core/work';
import { Button, ButtonLink, useAction, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { ChoiceField, Field } from '@/shell/fields';
import { DrawerHead } from '@/shell/frame';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import type { Form } from '@/shell/fields';
import { Small } from '@/shell/words';
import { createWork, editWork, removeWork } from './actions';
import { ToScale } from './ToScale';
import type { EditWorkView } from './view';

const Sides = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
`;

/**
 * The fields of a work. Like all forms here it never leaves the page by itself (method
 * dialog): Enter pressed before the page is alive must not lose what was typed.
 */
const WorkFields = ({
  form,
  currency,
  submit,
}: {
  form: Form;
  currency: string;
  submit: () => void;
}) => {
  const field = { form };
  return (
    <form
      method="dialog"
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
        Keep it
      </button>
    </form>
  );
};

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
          <WorkFields form={form} currency={currency} submit={submit} />
          <Small>Lengths as you like: 300 mm, 30 cm or 12in. The master comes next.</Small>
          <Problem>{problem}</Problem>
        </Slip>
      </Bench>
    </>
  );
}

/** What is noted of a work, to be put right; a work that nothing depends on can be taken out. */
export function EditWork({ workId, stored, currency }: EditWorkView) {
  const router = useRouter();
  const back = () => router.push(`/works/${workId}`);
  const { form, submit, sending, problem } = useActionForm(editWork, stored, {
    fixed: { workId: String(workId), seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: back,
  });
  const removal = useAction(removeWork, 'Taken out of the drawer.', () =>
    router.push('/works'),
  );
  const [width, height] = form.watch(['width', 'height']);
  return (
    <Bench>
      <Surface>
        <ToScale width={width ?? ''} height={height ?? ''} />
      </Surface>
      <Slip
        label="The original"
        actions={
          <>
            <Button onPress={submit} isDisabled={sending}>
              Keep the changes
            </Button>
            <ButtonLink href={`/works/${workId}`} $plain>
              Leave it
            </ButtonLink>
          </>
        }
      >
        <SlipTitle>The original</SlipTitle>
        <WorkFields form={form} currency={currency} submit={submit} />
        <Problem>{problem}</Problem>
        <Small>
          Sizes, verdicts and labels follow at once. Certificates already printed stay as
          they are.
        </Small>
        <Button
          $plain
          $small
          style={{ alignSelf: 'flex-start' }}
          isDisabled={removal.sending}
          onPress={() => removal.run({ workId: String(workId) })}
        >
          Take this work out of the drawer
        </Button>
        <Problem>{removal.problem}</Problem>
      </Slip>
    </Bench>
  );
}
