'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { PAPER_STATIONS } from '@/core/paper';
import { useActionForm } from '@/shell/actions';
import { FormFields, Fold, Upload } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { FormPart, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { notePaper } from './lifeActions';
import { noteForm } from './lifeForm';
import type { PapersView } from './view';
import { NOTED_WORDS, STATION_WORDS, noteWords } from './lifeWords';

const Line = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 12.5px;
  color: var(--soft);
  li[aria-current] {
    color: var(--ink);
    font-weight: 600;
  }
  li[data-noted]::before {
    content: '● ';
  }
  li:not([data-noted])::before {
    content: '○ ';
  }
`;

const Swatches = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  img {
    height: 74px;
    border: 1px solid var(--line);
  }
`;

type Picked = NonNullable<PapersView['picked']>;

/** A note more of its life. */
function Note({ view, picked }: { view: PapersView; picked: Picked }) {
  const { today, tried } = view;
  const router = useRouter();
  const start = noteForm.write(
    {
      station: 'tried',
      day: today,
      triedFor: '',
      printed: '',
      setting: picked.printerSetting,
      words: '',
    },
    useBench(),
  );
  const form = useActionForm(notePaper, start, {
    fixed: { paperId: String(picked.id) },
    done: 'Noted.',
    onDone: () => router.refresh(),
  });
  return (
    <FormPart form={form} verb="Note it">
      <FormFields
        form={form.form}
        of={noteForm}
        options={{ station: Object.entries(NOTED_WORDS) }}
        lines={{ words: 3 }}
        offered={{ triedFor: tried }}
      />
    </FormPart>
  );
}

/** The life of a paper: where it stands, what was tried on it, its swatches. */
export function LifeSlip({ view, picked }: { view: PapersView; picked: Picked }) {
  const format = useFormat();
  const router = useRouter();
  const { notes, been } = view.life!;
  const { station } = picked;
  const swatches = notes.filter((n) => n.photograph !== null);
  return (
    <Slip label={`The life of ${picked.name}`}>
      <SlipTitle>{picked.name}</SlipTitle>
      <SlipSub>
        <Link href={`/papers?paper=${picked.id}`}>back to the paper</Link>
      </SlipSub>
      <Line aria-label="Stations of its life">
        {PAPER_STATIONS.map((s) => (
          <li
            key={s}
            aria-current={s === station ? 'step' : undefined}
            data-noted={been.includes(s) || undefined}
          >
            {STATION_WORDS[s]}
          </li>
        ))}
      </Line>
      {swatches.length > 0 && (
        <Swatches>
          {swatches.map((n) => (
            <a key={n.id} href={`/api/photograph/${n.photograph}`}>
              <img
                src={`/api/photograph/${n.photograph}`}
                alt={`Swatch of ${picked.name}, ${format.day(n.day)}`}
              />
            </a>
          ))}
        </Swatches>
      )}
      {notes
        .filter((n) => n.photograph === null)
        .map((n) => (
          <Small key={n.id}>
            <b>
              {format.day(n.day)}, {STATION_WORDS[n.station]}
            </b>
            {noteWords(n)}
          </Small>
        ))}
      {notes.length === 0 && <Small>Nothing is noted of it yet.</Small>}
      <SectionLabel>What was heard of it, asked, tried</SectionLabel>
      <Note key={notes.length} view={view} picked={picked} />
      <Fold title="A photograph of a swatch">
        <Upload
          url={`/api/paper-photographs/${picked.id}`}
          accept={['image/jpeg', 'image/png']}
          invitation="A photograph of a swatch"
          onDone={() => router.refresh()}
        />
      </Fold>
    </Slip>
  );
}
