import { isGlossy } from '@/core/ink';
import type { PrintedHere } from '@/core/ink';
import type { Recipe } from '@/core/prepare';
import {
  getPaper,
  getPrintFile,
  getSheetFile,
  inkDemandsOf,
  pictureKey,
  profilesInUse,
  routesNow,
} from '@/data';
import type { InkedPicture, PrintedOn, Reading } from '@/data';
import { LookedUp } from './lookedUp';
import { nominalExtent, ofPrintFile, ofSheetFile, printedExtent } from './printedThing';
import type { PrintedThing } from './printedThing';
import { profileFor } from './profileFor';

/** Prints of a day with the picture that was printed; null where no file is known. */
export interface Inked extends Omit<PrintedHere, 'stats'> {
  picture: InkedPicture | null;
  count: number;
}

const ownProfile = (target: Recipe['convert']['target'] | null): string | null =>
  target?.startsWith('icc:') ? target.slice(4) : null;

/**
 * The profile that a picture is printed through: its own where it was made for one, else that of
 * the round, else that in use for its paper; empty where none is known.
 */
export async function pictureProfile(
  db: Reading,
  thing: Pick<PrintedThing, 'target'>,
  to: { paperId: number | null; profile?: string | null; route: string },
  looked: LookedUp = new LookedUp(),
): Promise<string> {
  const { paperId, profile = null, route } = to;
  const known = ownProfile(thing.target) ?? profile;
  if (known !== null || paperId === null) return known ?? '';
  const [inUse, routes] = await Promise.all([
    looked.of('profiles', () => profilesInUse(db)),
    looked.of('routes', () => routesNow(db)),
  ]);
  return profileFor(inUse, { paperId, route }, routes)?.sha256 ?? '';
}

/** The pictures, areas and papers of what was printed by a route. */
export async function inkedPictures(
  db: Reading,
  printed: readonly PrintedOn[],
  route: string,
): Promise<Inked[]> {
  const looked = new LookedUp();
  const thingOf = async ({ fileId, sheetId }: PrintedOn): Promise<PrintedThing | null> => {
    if (fileId !== null)
      return looked.of(`file ${fileId}`, async () => {
        const file = await getPrintFile(db, fileId);
        return file ? ofPrintFile(file) : null;
      });
    if (sheetId === null) return null;
    return looked.of(`sheet ${sheetId}`, async () => {
      const sheet = await getSheetFile(db, sheetId);
      return sheet ? ofSheetFile(sheet) : null;
    });
  };
  const found: Inked[] = [];
  for (const row of printed) {
    const { day, paperId, sizeKey, count } = row;
    const paper =
      paperId === null
        ? undefined
        : await looked.of(`paper ${paperId}`, () => getPaper(db, paperId));
    const thing = row.area === null ? await thingOf(row) : null;
    const extent = thing
      ? printedExtent(thing, thing.ppi)
      : sizeKey === null
        ? null
        : nominalExtent(sizeKey);
    const each = row.area ?? (extent ? (extent.width * extent.height) / 1e6 : null);
    if (each === null) continue;
    found.push({
      at: day,
      area: each * count,
      count,
      glossy: paper ? isGlossy(paper.surface) : null,
      picture: thing && {
        sha256: thing.sha256,
        profile: await pictureProfile(db, thing, { ...row, route }, looked),
      },
    });
  }
  return found;
}

/** The same with what each picture takes, as far as that was estimated; and the pictures of which it was not. */
export async function withDemands(
  db: Reading,
  inked: readonly Inked[],
): Promise<{ printed: PrintedHere[]; missing: InkedPicture[] }> {
  const pictures = inked.flatMap((i) => i.picture ?? []);
  const known = await inkDemandsOf(db, pictures);
  const missing = new Map<string, InkedPicture>();
  const printed = inked.map(({ picture, at, area, glossy }): PrintedHere => {
    const stats = picture ? (known.get(pictureKey(picture)) ?? null) : null;
    if (picture && !stats) missing.set(pictureKey(picture), picture);
    return { at, area, glossy, stats };
  });
  return { printed, missing: [...missing.values()] };
}
