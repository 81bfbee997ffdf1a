import { proposePieces } from '@/core/prepare';
import type { PieceTest } from '@/core/prepare';
import { getMaster } from '@/data';
import { runAtOnce, storePaths } from '@/engine';
import { IN_ADDRESSES, decimal, defineForm } from '@/core/input';
import { studio } from '../open/open';

const share = (title: string) => decimal(title, { above: 0, max: 1 });
const asked = defineForm({ width: share('Width'), height: share('Height') });

/** A proposed piece: its middle, as shares of the picture, what it tests and the figure for it. */
export interface ProposedPlace {
  x: number;
  y: number;
  tests: PieceTest;
  figure: number;
}

/** Pieces of a master's picture that show most of a print; null while there is no preview. */
export async function proposals(
  masterId: number,
  query: Record<string, string>,
  signal: AbortSignal,
): Promise<ProposedPlace[] | null> {
  const read = asked.read(query, IN_ADDRESSES);
  if (!read.ok) return null;
  const open = await studio();
  const master = await getMaster(open.db.read, masterId);
  if (!master) return null;
  const path = storePaths(open.home).preview(master.picture);
  const light = await runAtOnce('lightness', { path }, () => undefined, signal).catch(
    () => null,
  );
  if (!light) return null;
  const { width, height } = light;
  const pieces = proposePieces(light, read.value.width * width, read.value.height * height);
  return pieces.map((p) => ({
    x: (p.left + p.width / 2) / width,
    y: (p.top + p.height / 2) / height,
    tests: p.tests,
    figure: p.figure,
  }));
}
