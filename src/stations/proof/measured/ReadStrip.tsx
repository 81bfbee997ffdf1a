'use client';
import { useRouter } from 'next/navigation';
import { Button, useAction } from '@/shell/actions';
import { Upload } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { readStrip } from '../actions';
import type { ProofView } from '../view';

/** How the strip of a round is read: by the instrument, or from a file of readings. */
export function ReadStrip({ view }: { view: ProofView }) {
  const { work, round } = view;
  const router = useRouter();
  const { run, sending, problem } = useAction(readStrip, 'The strip was read.');
  if (!round) return null;
  return (
    <>
      <Button
        $small
        $plain={Boolean(view.reading)}
        isDisabled={sending}
        onPress={() => run({ workId: String(work.id), roundId: String(round.id) })}
      >
        {view.reading ? 'Read the strip again' : 'Read the strip'}
      </Button>
      <Problem>{problem}</Problem>
      <Upload
        url={`/api/proof-readings?work=${work.id}&round=${round.id}`}
        accept={['.txt', '.cgats', '.cie', '.ti3', 'text/plain']}
        invitation="Or drop its readings: CGATS text"
        onDone={() => router.refresh()}
      />
    </>
  );
}
