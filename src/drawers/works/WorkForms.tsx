'use client';
import { useRouter } from 'next/navigation';
import { TakeOut, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { EnterForm, FormFields, Pair } from '@/shell/fields';
import { useBench } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { FormSlip } from '@/shell/slip';
import type { ActionForm } from '@/shell/actions';
import { Small } from '@/shell/words';
import { createWork, editWork, removeWork } from './actions';
import { ToScale } from './ToScale';
import type { EditWorkView } from './view';
import { workForm } from './workForm';

/**
 * The fields of a work. Like all forms here it never leaves the page by itself (method
 * dialog): Enter pressed before the page is alive must not lose what was typed.
 */
const WorkFields = ({ form: { form, submit } }: { form: ActionForm }) => {
  const f = { form, of: workForm };
  return (
    <EnterForm onEnter={submit} verb="Keep it" style={{ display: 'grid', gap: 9 }}>
      <FormFields {...f} only={['title', 'artist', 'medium', 'kind', 'year']} />
      <Pair>
        <FormFields {...f} only={['width', 'height']} stacked />
      </Pair>
      <FormFields {...f} only={['price']} />
    </EnterForm>
  );
};

/** The work beside its form, drawn to scale while it is typed. */
const Drawn = ({
  form: { form },
  children,
}: {
  form: ActionForm;
  children: React.ReactNode;
}) => {
  const [width, height] = form.watch(['width', 'height']);
  return (
    <Bench>
      <Surface>
        <ToScale width={width ?? ''} height={height ?? ''} />
      </Surface>
      {children}
    </Bench>
  );
};

/** A new work: what it is and how large. */
export function NewWork({ first, year }: { first: boolean; year: number }) {
  const router = useRouter();
  const usual = workForm.write({ year, kind: 'painting' }, useBench());
  const form = useActionForm(
    createWork,
    { ...usual, price: '0' },
    { done: 'Work taken in.', onDone: (id) => router.push(`/works/${id}/capture`) },
  );
  return (
    <>
      <DrawerHead
        title="New work"
        sum={first ? 'The first one: what is the original?' : 'What is the original?'}
      />
      <Drawn form={form}>
        <FormSlip
          label="New work"
          title="The original"
          form={form}
          verb="Take it in"
          back="/works"
        >
          <WorkFields form={form} />
          <Small>Lengths as you like: 300 mm, 30 cm or 12in. The master comes next.</Small>
        </FormSlip>
      </Drawn>
    </>
  );
}

/** What is noted of a work, to be put right; a work that nothing depends on can be taken out. */
export function EditWork({ workId: id, stored }: EditWorkView) {
  const router = useRouter();
  const workId = String(id);
  const back = `/works/${workId}`;
  const form = useActionForm(editWork, stored, {
    fixed: { workId, seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(back),
  });
  return (
    <Drawn form={form}>
      <FormSlip
        label="The original"
        form={form}
        verb="Keep the changes"
        back={back}
        after={
          <TakeOut
            action={removeWork}
            row={{ workId }}
            what="this work"
            to="/works"
            note="Sizes, verdicts and labels follow at once. Certificates already printed stay as they are."
          />
        }
      >
        <WorkFields form={form} />
      </FormSlip>
    </Drawn>
  );
}
