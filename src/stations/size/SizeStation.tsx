'use client';
import { useEffect } from 'react';
import { nominalSize } from '@/core/size';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { SheetTabs, useSheet } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { TitleBlock } from '@/shell/words';
import { CropSheet } from './sheets/CropSheet';
import { EnlargeSheet } from './sheets/EnlargeSheet';
import { LadderSheet } from './sheets/LadderSheet';
import { SheetSheet } from './sheets/SheetSheet';
import { WallSheet } from './sheets/WallSheet';
import { SHEETS, SHEET_NAMES, sheetOf } from './sheetNames';
import type { SheetId } from './sheetNames';
import { useSizing } from './useSizing';
import type { SheetProps } from './useSizing';
import type { SizeView } from './view';

const SHEET: Record<SheetId, (props: SheetProps) => React.ReactNode> = {
  ladder: LadderSheet,
  fit: CropSheet,
  sheet: SheetSheet,
  view: WallSheet,
  enlarge: EnlargeSheet,
};

/** Size: every print that this master can become, and which of them are on offer. */
export function SizeStation(view: SizeView) {
  const { work, master, decided } = view;
  const format = useFormat();
  const sizing = useSizing(view);
  // What the wall is shown with is fetched while one looks at the ladder.
  useEffect(() => void import('openseadragon'), []);
  const facts = master?.facts;
  const href = (id: string) =>
    `/works/${work.id}/size?sheet=${id}${sizing.here ? `&size=${encodeURIComponent(sizing.here.key)}` : ''}`;
  const [sheet, turn] = useSheet(view.sheet, sheetOf, href);
  const head = (
    <>
      <TitleBlock>
        <h1>{work.title}</h1>
        <p>
          {work.medium}, {format.size(work)}
          {facts &&
            ` · master ${facts.width} × ${facts.height} px, ${facts.bitsPerChannel} bit, ${facts.iccDescription ?? 'untagged'}`}
        </p>
      </TitleBlock>
      {facts && (
        <SheetTabs
          label="Sheets of the sizes"
          current={sheet}
          sheets={SHEETS.map((id) => ({
            id,
            name: SHEET_NAMES[id],
            href: href(id),
            cautions: id === 'ladder' ? sizing.openAgain.size : 0,
          }))}
          onTurn={turn}
        />
      )}
    </>
  );
  if (!master) {
    const offered = decided.filter((d) => d.kind === 'offered');
    const names = offered.map((d) => nominalSize(d.sizeKey)?.label ?? d.sizeKey);
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="There is no master to size">
            <p>
              {names.length > 0
                ? `${names.join(', ')} ${names.length === 1 ? 'stays' : 'stay'} on offer, but nothing can be said of ${names.length === 1 ? 'it' : 'them'} without the pixels. Bring the file again.`
                : 'What can be printed depends on its pixels. Bring the file first.'}
            </p>
            <ButtonLink href={`/works/${work.id}/capture`}>Go to Capture</ButtonLink>
          </Empty>
        </Surface>
      </Bench>
    );
  }
  const Sheet = SHEET[sheet];
  return <Sheet view={view} master={master} sizing={sizing} head={head} />;
}
