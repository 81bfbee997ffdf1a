'use client';
import { useRouter } from 'next/navigation';
import type { Answer, Sent } from '@/core/input';
import { Problem } from '../said/states';
import { Small } from '../words/words';
import { Button } from './Button';
import { useAction } from './useActionForm';

/** Takes something that nothing depends on out of its drawer, and goes there. */
export function TakeOut({
  action,
  row,
  what,
  to,
  note,
}: {
  action: (sent: Sent) => Promise<Answer<unknown>>;
  row: Sent;
  what: string;
  to: string;
  /** What stays as it is. */
  note: string;
}) {
  const router = useRouter();
  const { run, sending, problem } = useAction(action, 'Taken out of the drawer.', () =>
    router.push(to),
  );
  return (
    <>
      <Small>{note}</Small>
      <Button
        $plain
        $small
        style={{ alignSelf: 'flex-start' }}
        isDisabled={sending}
        onPress={() => run(row)}
      >
        Take {what} out of the drawer
      </Button>
      <Problem>{problem}</Problem>
    </>
  );
}
