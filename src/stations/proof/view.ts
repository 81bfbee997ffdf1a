import { routeKind } from '@/core/prepare';
import { referenceProof } from '@/core/proof';
import { zoomLevels } from '@/core/image';
import {
  MOST_CHOICES,
  papersToPrintOn,
  printFilesOf,
  profilesInUse,
  profilesNow,
  proofsOf,
  routesNow,
} from '@/data';
import type { ProfileInUse, Route } from '@/data';
import { TILE, readyAtOnce } from '@/engine';
import { loadWorkPage, offeredRungs, todayOf } from '@/studio';
import type { MasterView } from '@/studio';
import type { ProofPicture } from './paper/proofSource';
import { sheetOf } from './sheetNames';

/** What is printed in the room, where no route says so. */
const OWN_PRINTER = 'own printer';

const isHere = ({ kind }: Route) => kind !== null && routeKind(kind).here;

/** A paper at hand, and the profile that it is printed through; null where none is known. */
export interface PaperAtHand {
  id: number;
  name: string;
  surface: string;
  weight: number;
  profile: Pick<ProfileInUse, 'sha256' | 'profile' | 'printer' | 'setting' | 'at'> | null;
}

const pictureOf = (master: MasterView): ProofPicture => {
  const { width, height } = master.facts;
  const top = zoomLevels(width, height, TILE)[0]!.level;
  return { masterId: master.id, width, height, tile: TILE, top };
};

/** The proof station: the rounds of a size, and which one is held as the reference. */
export async function loadProof(id: string, query: Record<string, string | undefined>) {
  const page = await loadWorkPage(id);
  const { work, master, db } = page;
  const { offered, picked } = await offeredRungs(page, query.size);
  if (master) readyAtOnce();
  const [papers, proofs, files, routes, inUse, profiles] = await Promise.all([
    papersToPrintOn(db, MOST_CHOICES),
    proofsOf(db, work.id),
    printFilesOf(db, work.id),
    routesNow(db),
    profilesInUse(db),
    profilesNow(db),
  ]);
  const own = picked ? proofs.filter((p) => p.sizeKey === picked.key) : [];
  return {
    work,
    master,
    offered,
    picked,
    today: todayOf(page.settings),
    currency: page.settings.currency,
    sheet: sheetOf(query.sheet),
    picture: master && pictureOf(master),
    papers: papers.map(({ id: paperId, name, weight, surface }): PaperAtHand => ({
      id: paperId,
      name,
      weight,
      surface,
      profile: inUse.find((u) => u.paperId === paperId) ?? null,
    })),
    paperId: Number(query.paper) || null,
    /** Profiles of screens that were brought. */
    screens: profiles
      .filter((p) => p.deviceClass === 'mntr' && p.space === 'RGB')
      .map(({ sha256, name }) => ({ sha256, name })),
    rounds: own,
    /** One's own printer, the routes of Prepare, and who printed a proof before. */
    printers: [
      ...new Set([
        ...(routes.some(isHere) ? [] : [OWN_PRINTER]),
        ...routes.filter(isHere).map((r) => r.name),
        ...routes.map((r) => r.name),
        ...proofs.map((p) => p.route),
      ]),
    ],
    out: own.find((p) => p.verdict === null) ?? null,
    reference: picked ? (referenceProof(own, { sizeKey: picked.key })?.id ?? null) : null,
    approvedKeys: [
      ...new Set(proofs.filter((p) => p.verdict === 'approved').map((p) => p.sizeKey)),
    ],
    file: files.find((f) => f.sizeKey === picked?.key)?.name ?? null,
  };
}

export type ProofView = Awaited<ReturnType<typeof loadProof>>;
