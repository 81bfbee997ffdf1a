import type { Intent, Recipe } from '@/core/prepare';
import { RECIPE, sheetKind } from '@/core/prepare';
import { getPrintFile, getSheetFile, profilesInUse, routesNow, sheetItemOf } from '@/data';
import type { ErrandNow, Reading } from '@/data';
import type { LabAnswer } from '@/standins';
import { profileFor } from './profileFor';

/** A file as a round knows it. */
export interface SentFile {
  name: string;
  printFileId: number | null;
  sheetId: number | null;
  masterId: number | null;
  sizeKey: string;
  recipe: Recipe | null;
}

/** The file that a form names (`print:7`, `sheet:3`) of a work; null where it is not there. */
export async function sentFile(
  db: Reading,
  workId: number,
  named: string,
): Promise<SentFile | null> {
  const [, kind, number] = /^(print|sheet):(\d{1,12})$/.exec(named) ?? [];
  if (kind === 'print') {
    const file = await getPrintFile(db, Number(number));
    if (!file || file.workId !== workId || file.kind !== 'print') return null;
    const { id, name, masterId, sizeKey, recipe } = file;
    return { name, printFileId: id, sheetId: null, masterId, sizeKey, recipe };
  }
  if (kind !== 'sheet') return null;
  const sheet = await getSheetFile(db, Number(number));
  const item = sheet && (await sheetItemOf(db, sheet.id, workId));
  if (!sheet || !item || sheet.kind === 'gang') return null;
  const { sizeKey, recipe } = sheetKind(sheet.content.kind).tried(sheet.content);
  return {
    name: sheet.name,
    printFileId: null,
    sheetId: sheet.id,
    masterId: item.masterId,
    sizeKey,
    recipe: recipe && RECIPE.read(recipe),
  };
}

/**
 * The day on which who prints it said that it leaves, where it was handed over to them and they
 * answered; null otherwise. `errands`: newest first.
 */
export function promisedBack(
  errands: readonly Pick<ErrandNow, 'manifest' | 'answer'>[],
  route: string,
  file: string,
): string | null {
  const errand = errands.find(
    ({ manifest }) => manifest.to === route && manifest.items.some((i) => i.file === file),
  );
  return (errand?.answer as LabAnswer | null | undefined)?.sentOn ?? null;
}

/** Through which profile and by which intent something is printed. */
export interface PrintedBy {
  profileSha256: string | null;
  intent: Intent;
  blackPoint: boolean;
}

/**
 * A file that was converted to a profile is printed through it, by the intent of its recipe; one in a
 * working space through the profile that is in use for the paper and the printer, by the intent asked for.
 */
export async function printedBy(
  db: Reading,
  recipe: Recipe | null,
  to: { paperId: number; route: string; setting: string; intent: Intent },
): Promise<PrintedBy> {
  const own = /^icc:([0-9a-f]{64})$/.exec(recipe?.convert.target ?? '')?.[1];
  if (recipe && own) {
    const { intent, blackPoint } = recipe.convert;
    return { profileSha256: own, intent, blackPoint };
  }
  const [inUse, routes] = await Promise.all([profilesInUse(db, to.paperId), routesNow(db)]);
  const found = profileFor(inUse, to, routes);
  return { profileSha256: found?.sha256 ?? null, intent: to.intent, blackPoint: true };
}
