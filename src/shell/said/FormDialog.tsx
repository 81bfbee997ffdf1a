'use client';
import { Button } from '../actions/Button';
import { EnterForm } from '../fields/EnterForm';
import type { ActionForm } from '../actions/useActionForm';
import { Dialog } from './Dialog';
import { Problem } from './states';

/** A form that is asked for over the bench; Enter sends it, Escape leaves it. */
export const FormDialog = ({
  title,
  form: { submit, sending, problem },
  onClose,
  children,
}: {
  title: string;
  form: ActionForm;
  onClose: () => void;
  children: React.ReactNode;
}) => (
  <Dialog title={title} open onClose={onClose}>
    <EnterForm onEnter={submit} style={{ display: 'grid', gap: 9 }}>
      {children}
      <Problem>{problem}</Problem>
      <Button type="submit" isDisabled={sending}>
        Keep it
      </Button>
    </EnterForm>
  </Dialog>
);
