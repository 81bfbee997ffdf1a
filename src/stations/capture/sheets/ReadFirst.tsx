'use client';
import { Bench, Surface } from '@/shell/bench';
import { Empty } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { Slip, SlipTitle } from '@/shell/slip';
import { Sentence } from '@/shell/words';
import { LightTable } from '../LightTable';
import type { SheetProps } from './sheetProps';

/** The pixels are not read yet: how far it has come. */
export function ReadFirst({ view, master, found, head }: SheetProps) {
  const { read, inspect } = view.jobs;
  const job = read && read.state !== 'done' ? read : inspect;
  return (
    <Bench>
      <Surface>
        {head}
        {master.preview ? (
          <LightTable picture={found.picture} label={`Master of ${view.work.title}`} />
        ) : (
          <Empty title="The master is being read">
            <p>Its tiles appear here when they are cut. You can go on to Size meanwhile.</p>
          </Empty>
        )}
      </Surface>
      <Slip label="Reading the master">
        <SlipTitle>{master.name}</SlipTitle>
        <Sentence>
          Its pixels are read once, at full resolution: detail, specks, tones, edges.
        </Sentence>
        {job && <JobLine job={job} what="Reading the master" />}
      </Slip>
    </Bench>
  );
}
