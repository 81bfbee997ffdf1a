'use client';
import { useRouter } from 'next/navigation';
import { Button, useActionForm } from '@/shell/actions';
import { EnterForm, Field, FormFields, Upload } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { FormPart } from '@/shell/slip';
import { sayColourSpace, takeNamedFile } from './actions';
import { SPACES, namedForm, spaceForm } from './wishForm';

const ACCEPT = ['image/tiff', 'image/jpeg', 'image/png'];

/** Drop a file, or name one on this machine. */
export const BringMaster = ({
  workId,
  primary,
  naming,
}: {
  workId: number;
  primary: boolean;
  /** Whether a file of the machine can be named: not where others on a network may ask. */
  naming: boolean;
}) => {
  const router = useRouter();
  const named = useActionForm(
    takeNamedFile,
    { path: '' },
    { fixed: { workId: String(workId) }, done: 'Master taken in.' },
  );
  return (
    <>
      <Upload
        url={`/api/masters?work=${workId}`}
        accept={ACCEPT}
        invitation="Drop the scan or photograph here: TIFF, JPEG or PNG"
        primary={primary}
        onDone={() => router.refresh()}
      />
      {naming && (
        <EnterForm onEnter={named.submit} style={{ display: 'grid', gap: 8 }}>
          <Field form={named.form} of={namedForm} name="path" words />
          <Button
            type="submit"
            $plain
            $small
            isDisabled={named.sending}
            style={{ justifySelf: 'start' }}
          >
            {named.sending ? 'Reading it …' : 'Take this file'}
          </Button>
        </EnterForm>
      )}
      <Problem>{named.problem}</Problem>
    </>
  );
};

/** Which space an untagged master was saved in. */
export const SaySpace = ({ workId }: { workId: number }) => {
  const form = useActionForm(
    sayColourSpace,
    { space: 'srgb' },
    {
      fixed: { workId: String(workId) },
      done: 'Colour space noted; the tiles are cut anew.',
    },
  );
  return (
    <FormPart form={form} verb="Note this colour space">
      <FormFields form={form.form} of={spaceForm} options={{ space: SPACES }} />
    </FormPart>
  );
};
