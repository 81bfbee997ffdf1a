'use client';
import { useCallback, useMemo, useState } from 'react';
import { Bench, Surface } from '@/shell/bench';
import { Strips } from '@/shell/fields';
import { Empty } from '@/shell/said';
import { FamilyPicker } from '../FamilyPicker';
import { SizeSlip } from '../SizeSlip';
import type { SheetProps } from '../useSizing';
import { DecideBar } from './DecideBar';
import { DistanceChart } from './DistanceChart';
import { LadderTable } from './LadderTable';
import { WallOfSizes } from './WallOfSizes';

type Lower = 'figures' | 'distances';
const LOWER: [Lower, string][] = [
  ['figures', 'Figures'],
  ['distances', 'Distances'],
];

/** The ladder: all sizes to one scale, with their figures; offered and withdrawn here. */
export function LadderSheet({ view, master, sizing, head }: SheetProps) {
  const { steps, here, pick } = sizing;
  const [lower, setLower] = useState<Lower>('figures');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const offered = useMemo(
    () => new Set(view.decided.filter((d) => d.kind === 'offered').map((d) => d.sizeKey)),
    [view.decided],
  );
  const onChoose = useCallback(
    (key: string) =>
      setChosen((now) => {
        const next = new Set(now);
        if (!next.delete(key)) next.add(key);
        return next;
      }),
    [],
  );
  const small = view.tiles && `/api/tiles/${view.tiles.sha256}/8/0_0.jpg`;
  return (
    <Bench>
      <Surface>
        {head}
        <FamilyPicker
          families={sizing.families}
          setFamilies={sizing.setFamilies}
          ratio={sizing.ratio}
          setRatio={sizing.setRatio}
          ratios={sizing.ratios}
          pick={pick}
        />
        {steps.length === 0 || !here ? (
          <Empty
            title={
              sizing.eaten > 0
                ? 'This border leaves nothing to print on'
                : 'No size of your own yet'
            }
          >
            <p>
              {sizing.eaten > 0
                ? 'Make it narrower, or choose another family of sizes.'
                : 'Add one in any unit, such as 42 x 60 cm or 9 x 12 in, or choose a family.'}
            </p>
          </Empty>
        ) : (
          <>
            <WallOfSizes
              rungs={steps}
              picture={master.preview}
              small={master.preview && small}
              picked={here.key}
              offered={offered}
              tallest={170}
              onPick={pick}
            />
            <div style={{ display: 'flex', gap: 14, alignItems: 'center' }}>
              <div style={{ width: 170, flex: 'none' }}>
                <Strips
                  label="What is shown of each size"
                  value={lower}
                  options={LOWER}
                  onChange={setLower}
                />
              </div>
              <DecideBar
                workId={view.work.id}
                sizing={sizing}
                chosen={chosen}
                onDone={() => setChosen(new Set())}
              />
            </div>
            {lower === 'figures' ? (
              <LadderTable
                steps={steps}
                rules={sizing.rules}
                picked={here.key}
                chosen={chosen}
                onPick={pick}
                onChoose={onChoose}
              />
            ) : (
              <DistanceChart rungs={steps} picked={here.key} onPick={pick} />
            )}
          </>
        )}
      </Surface>
      <SizeSlip view={view} master={master} sizing={sizing} />
    </Bench>
  );
}
