'use client';
import { useState } from 'react';
import { Button } from '@/shell/actions';
import { useToast } from '@/shell/said';
import { SectionLabel, Sentence } from '@/shell/words';
import { verifyLedger } from './actions';

/** Walks the ledger when asked, and says what was found. */
export function LedgerCheck() {
  const { say } = useToast();
  const [checked, setChecked] = useState<{ sound: boolean; words: string } | null>(null);
  const check = async () => {
    const answer = await verifyLedger();
    if (!answer.ok) return;
    setChecked(answer.value);
    say(answer.value.words);
  };
  return (
    <>
      <SectionLabel>Ledger</SectionLabel>
      <Button
        $plain
        $small
        style={{ alignSelf: 'flex-start' }}
        onPress={() => void check()}
      >
        Check the ledger
      </Button>
      {checked && (
        <Sentence $tone={checked.sound ? 'plain' : 'stop'}>{checked.words}</Sentence>
      )}
    </>
  );
}
