'use client';
import { useEffect } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { NoSizes, SizePicker } from '@/shell/fields';
import { SheetTabs, useSheet } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { TitleBlock } from '@/shell/words';
import { FilesSheet } from './sheets/FilesSheet';
import { HandOverSheet } from './sheets/HandOverSheet';
import { ProofSheet } from './sheets/ProofSheet';
import { RecipeSheet } from './sheets/RecipeSheet';
import { SettingsSheetView } from './sheets/SettingsSheetView';
import { SHEETS, SHEET_NAMES, sheetOf } from './sheetNames';
import type { SheetId } from './sheetNames';
import { useRecipe } from './useRecipe';
import type { SheetProps } from './sheetProps';
import type { PrepareView } from './view';

const SHEET: Record<SheetId, (props: SheetProps) => React.ReactNode> = {
  recipe: RecipeSheet,
  proof: ProofSheet,
  settings: SettingsSheetView,
  files: FilesSheet,
  handOver: HandOverSheet,
};

/** Prepare: what leaves for the printer is made, verified and remembered here. */
export function PrepareStation(view: PrepareView) {
  const { work, master, picked, offered, files } = view;
  const desk = useRecipe(view);
  const href = (id: string) =>
    `/works/${work.id}/prepare?sheet=${id}${picked ? `&size=${encodeURIComponent(picked.key)}` : ''}`;
  const [sheet, turn] = useSheet(view.sheet, sheetOf, href);
  const { take } = view;
  useEffect(() => {
    if (take === null) return;
    desk.take(take);
    // It is taken once: what is changed of it stays when the page is asked for again.
    window.history.replaceState(null, '', href(sheet));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [take]);
  const head = (
    <>
      <TitleBlock>
        <h1>{work.title}</h1>
        <p>The print file: exact size, sharpened for its size, in the printer’s colours</p>
      </TitleBlock>
      {picked && (
        <>
          <SheetTabs
            label="Sheets of preparing"
            current={sheet}
            sheets={SHEETS.map((id) => ({ id, name: SHEET_NAMES[id], href: href(id) }))}
            onTurn={turn}
          />
          <SizePicker
            path={`/works/${work.id}/prepare?sheet=${sheet}`}
            picked={picked.key}
            sizes={offered.map((o) => ({
              key: o.key,
              label: o.label,
              note: files.some((f) => f.sizeKey === o.key && f.kind === 'print') ? '✓' : '',
            }))}
          />
        </>
      )}
    </>
  );
  if (!master || !picked)
    return (
      <Bench>
        <Surface>
          {head}
          {master ? (
            <NoSizes workId={work.id} />
          ) : (
            <Empty title="There is no master to print from">
              <p>Bring the file at Capture; what is printed is made from it.</p>
              <ButtonLink href={`/works/${work.id}/capture`}>Go to Capture</ButtonLink>
            </Empty>
          )}
        </Surface>
      </Bench>
    );
  const Sheet = SHEET[sheet];
  return (
    <Sheet
      view={view}
      master={master}
      picked={picked}
      desk={desk}
      head={head}
      turn={turn}
    />
  );
}
