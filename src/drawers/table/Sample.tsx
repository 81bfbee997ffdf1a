'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { Button, useAction } from '@/shell/actions';
import { useBench } from '@/shell/figures';
import { Dialog, Problem } from '@/shell/said';
import { Small, TableHead } from '@/shell/words';
import { endSample, trySample } from './actions';

/** Another studio is open: every view begins anew. */
const beginAt = (href: string) => window.location.assign(href);

/** The offer of a sample, on the table of a new studio. */
export function TrySample() {
  const { sample } = useBench();
  const going = useAction(trySample, undefined, (workId) =>
    beginAt(`/works/${workId}/capture`),
  );
  if (sample) return null;
  return (
    <>
      <TableHead>Try it with a sample</TableHead>
      <Small>
        A painted original and its paper, in a studio of its own. Do with it whatever you
        like, number it, sell it: when you leave it, it is gone without a trace, and this
        studio does not know of it.
      </Small>
      <div>
        <Button $plain onPress={() => going.run({})} isDisabled={going.sending}>
          {going.sending ? 'It is being painted …' : 'Open the sample'}
        </Button>
      </div>
      <Problem>{going.problem}</Problem>
    </>
  );
}

const Card = styled.div`
  display: grid;
  gap: 4px;
  border: 1px solid #6e4a00;
  background: #f3e6c8;
  color: #161616;
  padding: 5px 7px;
  font-size: 12px;
`;

/** At the foot of the chest while a sample is open: what it is, and the way out of it. */
export function SampleCard() {
  const [asked, setAsked] = useState(false);
  const leaving = useAction(endSample, undefined, () => beginAt('/'));
  return (
    <Card>
      This is a sample.
      <Button $plain $small onPress={() => setAsked(true)}>
        Leave it
      </Button>
      <Dialog title="Leave the sample" open={asked} onClose={() => setAsked(false)}>
        <p>
          Everything that was done in it goes: its work, its prints, its ledger. Your own
          studio is as it was.
        </p>
        <Problem>{leaving.problem}</Problem>
        <div style={{ display: 'flex', gap: 8 }}>
          <Button onPress={() => leaving.run({})} isDisabled={leaving.sending}>
            Take it away
          </Button>
          <Button $plain onPress={() => setAsked(false)}>
            Stay
          </Button>
        </div>
      </Dialog>
    </Card>
  );
}
