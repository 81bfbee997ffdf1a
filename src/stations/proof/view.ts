import { zoomLevels } from '@/core/image';
import {
  MOST_CHOICES,
  getRecipe,
  lightNow,
  papersToPrintOn,
  printFilesOf,
  profilesInUse,
  profilesNow,
  proofCustomersOf,
  proofPhotographsOf,
  proofReadingsOf,
  proofsOf,
  routesNow,
  sheetFilesOf,
} from '@/data';
import type { ProfileInUse } from '@/data';
import { nominalSize } from '@/core/size';
import { sheetKind, stripOn } from '@/core/prepare';
import { TILE, readyAtOnce } from '@/engine';
import {
  OWN_PRINTER,
  fileGone,
  isHere,
  loadWorkPage,
  offeredRungs,
  referenceSince,
  todayOf,
} from '@/studio';
import type { MasterView } from '@/studio';
import type { ProofPicture } from '@/shell/drawing';
import { photographedOf } from './photographed/view';
import { measuredOf } from './measured/view';
import { sheetOf } from './sheetNames';
import { usualOn } from './usual';

/** A paper at hand, and the profile that it is printed through; null where none is known. */
export interface PaperAtHand {
  id: number;
  name: string;
  surface: string;
  weight: number;
  setting: string;
  profile: Pick<
    ProfileInUse,
    'sha256' | 'profile' | 'printer' | 'setting' | 'standIn' | 'at'
  > | null;
}

const pictureOf = (master: MasterView): ProofPicture => {
  const { width, height } = master.facts;
  const top = zoomLevels(width, height, TILE)[0]!.level;
  return { masterId: master.id, width, height, tile: TILE, top };
};

/** A file or a sheet that can be sent. */
export interface SendableFile {
  id: string;
  name: string;
  sizeKey: string;
  /** Whether a control strip is on it. */
  strip: boolean;
}

/** Of a round that is not looked at. */
const NOT_LOOKED_AT = {
  reading: null,
  measured: null,
  against: null,
  strip: false,
  fault: null,
};

const NOT_PHOTOGRAPHED: Awaited<ReturnType<typeof photographedOf>> = {
  photographs: [],
  photograph: null,
  photographable: false,
};

/** The proof station: the rounds of a size, and which one is held as the reference. */
export async function loadProof(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  if (master) readyAtOnce();
  const asked = Number(query.recipe) || 0;
  const [
    papers,
    proofs,
    files,
    sheets,
    routes,
    inUse,
    profiles,
    readings,
    customers,
    recipe,
    light,
  ] = await Promise.all([
    papersToPrintOn(db, MOST_CHOICES),
    proofsOf(db, work.id),
    printFilesOf(db, work.id),
    sheetFilesOf(db, work.id),
    routesNow(db),
    profilesInUse(db),
    profilesNow(db),
    proofReadingsOf(db, work.id),
    proofCustomersOf(db, work.id),
    asked ? getRecipe(db, asked) : undefined,
    lightNow(db),
  ]);
  const own = picked ? proofs.filter((p) => p.sizeKey === picked.key) : [];
  const out = own.find((p) => p.verdict === null) ?? null;
  const sheet = sheetOf(query.sheet);
  const round =
    proofs.find((p) => p.id === Number(query.round)) ?? out ?? own.at(-1) ?? null;
  const { driftMean, driftWorst } = page.settings.proof;
  const limits = { mean: driftMean, worst: driftWorst };
  // What a sheet shows is reckoned where it is shown: it takes a moment.
  const measured =
    sheet === 'measured'
      ? await measuredOf(db, round, proofs, readings, limits)
      : NOT_LOOKED_AT;
  const photographed =
    sheet === 'photographed'
      ? await photographedOf(
          db,
          round,
          await proofPhotographsOf(db, work.id),
          Number(query.photograph) || 0,
        )
      : NOT_PHOTOGRAPHED;
  const paperId = Number(query.paper) || null;
  const atHand = papers.map(({ id: of, name, weight, surface, printerSetting }) => ({
    id: of,
    name,
    weight,
    surface,
    setting: printerSetting,
    profile: inUse.find((u) => u.paperId === of) ?? null,
  })) satisfies PaperAtHand[];
  const held = proofs.filter((p) => p.verdict === 'approved').at(-1);
  const printOn = atHand.find((p) => p.id === paperId) ?? null;
  const reference = picked
    ? await referenceSince(db, work.id, {
        sizeKey: picked.key,
        ...(printOn ? { paperId: printOn.id } : {}),
      })
    : null;
  const standing = reference?.standing ?? null;
  const gone = standing && (await fileGone(page.studio, db, standing.round));
  const before = printOn?.id ?? round?.paperId ?? held?.paperId ?? atHand[0]?.id;
  return {
    work,
    master,
    offered,
    picked,
    today: todayOf(page.settings),
    timeZone: page.settings.timeZone,
    currency: page.settings.currency,
    sheet,
    picture: master && pictureOf(master),
    papers: atHand,
    paperId,
    recipe: recipe ? { id: recipe.id, name: recipe.name } : null,
    /** Profiles of screens that were brought. */
    screens: profiles
      .filter((p) => p.deviceClass === 'mntr' && p.space === 'RGB')
      .map(({ sha256, name }) => ({ sha256, name })),
    /** The light in which proofs are judged, as it was kept. */
    light: light ?? null,
    rounds: own,
    /** The round that is looked at, what was read of it, and what that says. */
    round,
    ...measured,
    limits,
    ...photographed,
    read: [...new Set(readings.map((r) => r.roundId))],
    /** Sheets with a control strip on them. */
    withStrip: sheets.filter((s) => stripOn(s.content) !== null).map((s) => s.id),
    customers,
    /** What can be sent: print files and sheets, those of this size first, newest first. */
    sendable: [
      ...files.map((f): SendableFile => ({
        id: `print:${f.id}`,
        name: f.name,
        sizeKey: f.sizeKey,
        strip: false,
      })),
      ...sheets.map((s): SendableFile => ({
        id: `sheet:${s.id}`,
        name: s.name,
        sizeKey: sheetKind(s.content.kind).tried(s.content).sizeKey,
        strip: stripOn(s.content) !== null,
      })),
    ].sort((a, b) => Number(b.sizeKey === picked?.key) - Number(a.sizeKey === picked?.key)),
    /** The routes of Prepare, those that print here first; one's own printer where none does. */
    printers: [
      ...(routes.some(isHere) ? [] : [OWN_PRINTER]),
      ...routes.filter(isHere).map((r) => r.name),
      ...routes.filter((r) => !isHere(r)).map((r) => r.name),
    ],
    out,
    standing: standing && {
      id: standing.round.id,
      round: standing.round.round,
      paper: standing.round.paper,
      size: nominalSize(standing.round.sizeKey)?.label ?? '',
      reasons: standing.reasons,
      printOn: printOn?.name ?? null,
      /** The file that it was printed from, where that is gone. */
      gone,
    },
    reference:
      standing && standing.reasons.length === 0 && standing.round.sizeKey === picked?.key
        ? standing.round.id
        : null,
    approvedKeys: [
      ...new Set(proofs.filter((p) => p.verdict === 'approved').map((p) => p.sizeKey)),
    ],
    usual: before ? await usualOn(db, work.id, before) : null,
    file: files.find((f) => f.sizeKey === picked?.key)?.name ?? null,
  };
}

export type ProofView = Awaited<ReturnType<typeof loadProof>>;
