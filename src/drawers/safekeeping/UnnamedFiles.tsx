'use client';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Sentence } from '@/shell/words';
import { takeUnnamedAway } from './actions';
import { unnamedWords } from './words';

/** Stored files that belong to nothing any more, and the press that takes them away; nothing where there are none. */
export function UnnamedFiles({ files }: { files: readonly { bytes: number }[] }) {
  const words = unnamedWords(files, useFormat());
  const away = useAction(takeUnnamedAway);
  if (words === null) return null;
  return (
    <>
      <Sentence $tone="caution">{words}</Sentence>
      <Button
        $plain
        $small
        style={{ justifySelf: 'start' }}
        onPress={() => away.run({})}
        isDisabled={away.sending}
      >
        Take them away
      </Button>
      <Problem>{away.problem}</Problem>
    </>
  );
}
