'use client';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../actions/Button';
import { Problem } from '../said/states';

const LARGEST = 2_000_000;

/** Chooses a CSV file; its text goes into the field that is given. */
export function ChooseList({ onText }: { onText: (text: string) => void }) {
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const large = file.size > LARGEST;
    setTooLarge(large ? `${file.name}: a list has 2 MB at most; this is no list.` : null);
    if (!large) onText(await file.text());
  };
  return (
    <>
      <FileTrigger
        acceptedFileTypes={['text/csv', '.csv']}
        onSelect={(files) => void choose(Array.from(files ?? [])[0])}
      >
        <Button $plain $small style={{ alignSelf: 'flex-start' }}>
          Choose a file
        </Button>
      </FileTrigger>
      <Problem>{tooLarge}</Problem>
    </>
  );
}
