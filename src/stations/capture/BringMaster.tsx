'use client';
import { useRouter } from 'next/navigation';
import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import { Button, useActionForm } from '@/shell/actions';
import { ChoiceField, Field, Upload } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { sayColourSpace, takeNamedFile } from './actions';

const ACCEPT = ['image/tiff', 'image/jpeg', 'image/png'];

/** Drop a file, or name one on this machine. */
export const BringMaster = ({ workId, primary }: { workId: number; primary: boolean }) => {
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
      <form
        method="dialog"
        onSubmit={(e) => {
          e.preventDefault();
          named.submit();
        }}
        style={{ display: 'grid', gap: 8 }}
      >
        <Field form={named.form} name="path" label="or name a file on this machine" words />
        <Button
          type="submit"
          $plain
          $small
          isDisabled={named.sending}
          style={{ justifySelf: 'start' }}
        >
          {named.sending ? 'Reading it …' : 'Take this file'}
        </Button>
      </form>
      <Problem>{named.problem}</Problem>
    </>
  );
};

/** Which space an untagged master was saved in. */
export const SaySpace = ({ workId }: { workId: number }) => {
  const { form, submit, sending, problem } = useActionForm(
    sayColourSpace,
    { space: 'srgb' },
    {
      fixed: { workId: String(workId) },
      done: 'Colour space noted; the tiles are cut anew.',
    },
  );
  return (
    <>
      <ChoiceField
        form={form}
        name="space"
        label="It was saved in"
        options={SPACE_IDS.map((s) => [s, RGB_SPACES[s].name] as const)}
      />
      <Button $small onPress={submit} isDisabled={sending} style={{ justifySelf: 'start' }}>
        Note this colour space
      </Button>
      <Problem>{problem}</Problem>
    </>
  );
};
