'use client';
import { pixelsOf } from '@/core/units';
import { useFormat } from '@/shell/figures';
import { Slip, SlipTitle } from '@/shell/slip';
import { Sentence } from '@/shell/words';
import { BringMaster } from '../BringMaster';
import type { CaptureView } from '../view';

/** There is no master yet: what it must hold, and where to bring it. */
export function NoMasterSheet({ view: { work, printPpi, naming } }: { view: CaptureView }) {
  const format = useFormat();
  const pixels = (mm: number) => format.number(pixelsOf(mm, printPpi));
  return (
    <Slip label="Bring the master">
      <SlipTitle>Bring the master</SlipTitle>
      <Sentence>
        To print it at its own size at {printPpi} ppi, it needs {pixels(work.width)} ×{' '}
        {pixels(work.height)} pixels.
      </Sentence>
      <BringMaster workId={work.id} primary naming={naming} />
    </Slip>
  );
}
