'use client';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { SheetTabs } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { TitleBlock } from '@/shell/words';
import { DetailSheet } from './sheets/DetailSheet';
import { EdgesSheet } from './sheets/EdgesSheet';
import { LightSheet } from './sheets/LightSheet';
import { MasterSheet } from './sheets/MasterSheet';
import { NoMasterSheet } from './sheets/NoMasterSheet';
import { PlanSheet } from './sheets/PlanSheet';
import { ReadFirst } from './sheets/ReadFirst';
import { SpecksSheet } from './sheets/SpecksSheet';
import { ToneSheet } from './sheets/ToneSheet';
import { VersionsSheet } from './sheets/VersionsSheet';
import type { SheetProps } from './sheets/sheetProps';
import { SHEETS, SHEET_NAMES } from './sheetNames';
import type { SheetId } from './sheetNames';
import type { CaptureView } from './view';
import { cautionWords } from './words';

/** How many cautions can be seen on each sheet. */
function countBySheet(view: CaptureView, words: (sheet: SheetId) => number) {
  const counts: Partial<Record<SheetId, number>> = {};
  if (view.found)
    for (const sheet of ['detail', 'specks', 'tone', 'edges', 'light'] as const)
      counts[sheet] = words(sheet);
  return counts;
}

const READ: Partial<Record<SheetId, (props: SheetProps) => React.ReactNode>> = {
  detail: DetailSheet,
  specks: SpecksSheet,
  tone: ToneSheet,
  edges: EdgesSheet,
};

/** Capture: the plan of the capture, and then the light table on which the file itself lies. */
export function CaptureStation(view: CaptureView) {
  const { work, master, found, sheet } = view;
  const format = useFormat();
  const channels = master?.file.colourModel === 'grey' ? 1 : 3;
  const counts = countBySheet(
    view,
    (s) =>
      found!.cautions.filter((c) => cautionWords(c, format, channels).sheet === s).length,
  );
  const head = (
    <>
      <TitleBlock>
        <h1>{work.title}</h1>
        <p>
          {work.medium}, {format.size(work)} · {work.artist}, {work.year}
        </p>
      </TitleBlock>
      <SheetTabs
        label="Sheets of the capture"
        current={sheet}
        sheets={SHEETS.filter((s) => master || s === 'plan' || s === 'master').map(
          (id) => ({
            id,
            name: SHEET_NAMES[id],
            href: `/works/${work.id}/capture?sheet=${id}`,
            cautions: counts[id],
          }),
        )}
      />
    </>
  );
  if (sheet === 'plan') return <PlanSheet view={view} head={head} />;
  if (!master || !found)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="No master yet">
            <p>
              Bring the scan or photograph of the original. It is stored once, and never
              changed.
            </p>
            <ButtonLink $plain href={`/works/${work.id}/capture?sheet=plan`}>
              Plan the capture first
            </ButtonLink>
          </Empty>
        </Surface>
        <NoMasterSheet view={view} />
      </Bench>
    );
  const props = { view, master, found, head };
  if (sheet === 'light') return <LightSheet {...props} />;
  if (sheet === 'versions') return <VersionsSheet {...props} />;
  const Sheet = READ[sheet];
  if (!Sheet) return <MasterSheet {...props} />;
  return found.reading ? <Sheet {...props} /> : <ReadFirst {...props} />;
}
