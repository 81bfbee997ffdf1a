'use client';
import { Button, ButtonLink } from '../actions/Button';
import type { ActionForm } from '../actions/useActionForm';
import { Problem } from '../said/states';
import { Slip, SlipTitle } from './Slip';

interface FormSlipProps {
  label: string;
  title?: string | undefined;
  form: ActionForm;
  /** What the press that sends it says. */
  verb: string;
  /** Where one goes who leaves it; null where there is nowhere else to go. */
  back: string | null;
  leave?: string;
  children: React.ReactNode;
  /** What stands under the form and is not sent with it. */
  after?: React.ReactNode;
}

/** A slip with one form: what it is about, its fields, the press that sends it, the way back. */
export const FormSlip = ({
  label,
  title = label,
  form: { submit, sending, problem },
  verb,
  back,
  leave = 'Leave it',
  children,
  after,
}: FormSlipProps) => (
  <Slip
    label={label}
    actions={
      <>
        <Button onPress={submit} isDisabled={sending}>
          {verb}
        </Button>
        {back !== null && (
          <ButtonLink $plain href={back}>
            {leave}
          </ButtonLink>
        )}
      </>
    }
  >
    <SlipTitle>{title}</SlipTitle>
    {children}
    <Problem>{problem}</Problem>
    {after}
  </Slip>
);

/** A form within a slip: its fields, and a press under them. */
export const FormPart = ({
  form: { submit, sending, problem },
  verb,
  plain = false,
  children,
}: {
  form: ActionForm;
  verb: React.ReactNode;
  plain?: boolean;
  children: React.ReactNode;
}) => (
  <>
    {children}
    <Problem>{problem}</Problem>
    <Button
      $small
      $plain={plain}
      onPress={submit}
      isDisabled={sending}
      style={{ alignSelf: 'flex-start', justifySelf: 'start' }}
    >
      {verb}
    </Button>
  </>
);
