'use client';
import { useRouter } from 'next/navigation';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { NoSizes, SizePicker } from '@/shell/fields';
import { SheetTabs, useSheet } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { TitleBlock } from '@/shell/words';
import { PaperSheet } from './paper/PaperSheet';
import { PhotographedSheet } from './photographed/PhotographedSheet';
import { MeasuredSheet } from './measured/MeasuredSheet';
import { RoundsSheet } from './RoundsSheet';
import { SHEETS, SHEET_NAMES, sheetOf } from './sheetNames';
import type { SheetId } from './sheetNames';
import type { ProofView } from './view';

const SUB = {
  paper: 'As it would print, before paper is spent',
  rounds: 'Proof rounds, each judged beside the original',
  measured: 'What came back, measured against the master',
  photographed: 'What came back, photographed, against the master',
} as const;

/** Sheets whose figures are the server's work. */
const RECKONED: ReadonlySet<SheetId> = new Set(['measured', 'photographed']);

/** Proof: the picture on the paper before it is printed, and the rounds until one is approved. */
export function ProofStation(view: ProofView) {
  const { work, offered, picked, approvedKeys, master, picture } = view;
  const paper = view.paperId ? `&paper=${view.paperId}` : '';
  const href = (id: string) =>
    `/works/${work.id}/proof?sheet=${id}${picked ? `&size=${encodeURIComponent(picked.key)}` : ''}${paper}`;
  const router = useRouter();
  const [turned, turn] = useSheet(view.sheet, sheetOf, href);
  // What was measured is reckoned by the server: it is asked for, not turned up.
  const sheet = RECKONED.has(view.sheet) ? view.sheet : turned;
  const head = (
    <>
      <TitleBlock>
        <h1>{work.title}</h1>
        <p>{SUB[sheet]}</p>
      </TitleBlock>
      {!picked ? (
        sheet !== 'paper' && <NoSizes workId={work.id} />
      ) : (
        <>
          <SheetTabs
            label="Sheets of proofing"
            current={sheet}
            sheets={SHEETS.map((id) => ({ id, name: SHEET_NAMES[id], href: href(id) }))}
            onTurn={(id) =>
              RECKONED.has(sheetOf(id)) || RECKONED.has(sheet)
                ? router.push(href(id))
                : turn(id)
            }
          />
          {sheet === 'rounds' && (
            <SizePicker
              path={`/works/${work.id}/proof?sheet=${sheet}`}
              picked={picked.key}
              sizes={offered.map((o) => ({
                key: o.key,
                label: o.label,
                note: approvedKeys.includes(o.key) ? '✓' : '',
              }))}
            />
          )}
        </>
      )}
    </>
  );
  if (sheet === 'measured') return <MeasuredSheet view={view} head={head} />;
  if (sheet === 'photographed') return <PhotographedSheet view={view} head={head} />;
  if (sheet === 'rounds') return <RoundsSheet view={view} head={head} />;
  if (!master || !picture)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="There is no master to look at">
            <p>Bring the file at Capture; what is printed is made from it.</p>
            <ButtonLink href={`/works/${work.id}/capture`}>Go to Capture</ButtonLink>
          </Empty>
        </Surface>
      </Bench>
    );
  // Another master is another picture: nothing that was measured of the one is of the other.
  return <PaperSheet key={picture.masterId} view={view} picture={picture} head={head} />;
}
