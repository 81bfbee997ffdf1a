/** Plans of sheets and rolls: against every way of cutting, the area, and the packing library. */
import { everyWay, smallJob } from '../e2e/support/cutJobs';
import { cutPlan, isFault, planFault } from '@/core/cut';
import type { CutJob, CutPlan } from '@/core/cut';
import { openPacking } from '@/core/cut/openPacking';
import { chance } from '@/core/image/chance';

const SMALL = 2000;
const EACH = 5;
/** Name, sides of pieces from and to, side of the sheet: pieces even over their range. */
const FAMILIES = [
  ['1 to 10 in 10', 1, 10, 10],
  ['1 to 10 in 30', 1, 10, 30],
  ['1 to 35 in 40', 1, 35, 40],
  ['1 to 35 in 100', 1, 35, 100],
  ['1 to 100 in 100', 1, 100, 100],
  ['1 to 100 in 300', 1, 100, 300],
  ['10 to 40 in 100', 10, 40, 100],
] as const;

function planned(job: CutJob): { plan: CutPlan; seconds: number } {
  const from = performance.now();
  const plan = cutPlan(job);
  const seconds = (performance.now() - from) / 1000;
  if (isFault(plan)) throw new Error(`${plan.what} ${plan.of}`);
  const fault = planFault(job, plan);
  if (fault) throw new Error(fault);
  return { plan, seconds };
}

const even = (seed: number, n: number, [least, most]: readonly [number, number]) => {
  const r = chance(seed);
  const side = () => least + Math.floor(r() * (most - least + 1));
  return Array.from({ length: n }, (_, i) => ({
    id: `p${i}`,
    width: side(),
    height: side(),
    count: 1,
    mayTurn: true,
  }));
};

const jobOf = (pieces: CutJob['pieces'], stock: CutJob['stock']): CutJob => ({
  pieces,
  stock,
  margin: { left: 0, right: 0, top: 0, bottom: 0 },
  gutter: 0,
  trim: 0,
  school: 'printThenCut',
});

function small(): void {
  let equal = 0;
  for (let seed = 1; seed <= SMALL; seed += 1) {
    const job = smallJob(seed);
    const { plan } = planned(job);
    const every = everyWay(job);
    if (plan.sheets.length === every.sheets && plan.unplaced.length === every.left)
      equal += 1;
  }
  console.log(`  up to 7 pieces, 2 sheets: ${equal} of ${SMALL} as every way of cutting`);
}

function sheets(n: number): void {
  for (const [name, least, most, side] of FAMILIES) {
    const sum = { ours: 0, area: 0, proved: 0, open: 0, behind: 0, longest: 0 };
    for (let seed = 1; seed <= EACH; seed += 1) {
      const pieces = even(1000 * n + seed, n, [least, most]);
      const { plan, seconds } = planned(
        jobOf(pieces, [{ id: 's', kind: 'sheet', width: side, height: side, count: n }]),
      );
      const blocks = pieces.map((p) => ({ ...p, weight: 1 }));
      const open = openPacking(blocks, { width: side, height: side });
      sum.ours += plan.sheets.length;
      sum.area += Math.ceil(
        pieces.reduce((a, p) => a + p.width * p.height, 0) / side ** 2 - 1e-9,
      );
      sum.proved += plan.bound!;
      sum.open += open;
      sum.behind += plan.sheets.length > open ? 1 : 0;
      sum.longest = Math.max(sum.longest, seconds);
    }
    console.log(
      `  ${String(n).padStart(3)} of ${name.padEnd(16)} ${sum.ours} sheets: ${(sum.ours / sum.area).toFixed(3)} x area, ${(sum.ours / sum.proved).toFixed(3)} x proved least, ${(sum.ours / sum.open).toFixed(3)} x open packing (behind ${sum.behind} of ${EACH}); ${sum.longest.toFixed(2)} s at most`,
    );
  }
}

function rolls(n: number): void {
  let [ratio, longest] = [0, 0];
  for (let seed = 1; seed <= EACH; seed += 1) {
    const pieces = even(2000 * n + seed, n, [60, 300]);
    const { plan, seconds } = planned(
      jobOf(pieces, [{ id: 'r', kind: 'roll', width: 1118, length: 100_000 }]),
    );
    const area = pieces.reduce((a, p) => a + p.width * p.height, 0);
    ratio += (plan.sheets[0]!.length * 1118) / area / EACH;
    longest = Math.max(longest, seconds);
  }
  console.log(
    `  ${String(n).padStart(3)} of 60 to 300 mm on a roll of 1118: ${ratio.toFixed(3)} x area; ${longest.toFixed(2)} s at most`,
  );
}

export function measureCut(): void {
  console.log('\nSheets to cut');
  for (const n of [20, 60, 200]) sheets(n);
  for (const n of [20, 60, 200]) rolls(n);
  small();
}
