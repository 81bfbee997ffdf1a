'use client';
import { Button } from '@/shell/actions';
import { Empty } from '@/shell/said';

/** A view that failed: the reason, and another try. */
export default function Failed({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <Empty title="This view could not be read">
      <p>{error.message}</p>
      <p>
        Nothing stored was changed. If it happens again, stop Glassine and start it anew.
      </p>
      <Button onPress={reset}>Try again</Button>
    </Empty>
  );
}
