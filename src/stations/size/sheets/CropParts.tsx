'use client';
import { useMemo } from 'react';
import { STANDARD_SIZES, lyingLabel, nearestRatios } from '@/core/size';
import { turnedLike } from '@/core/units';
import { Button } from '@/shell/actions';
import { Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { Small } from '@/shell/words';
import type { CropDesk } from '../useCrop';
import type { SheetProps } from '../useSizing';

const NEAREST = 6;

/** Standard ratios by how near they come, with what each would cost of the picture or the sheet. */
export function NearestRatios({ view, sizing, crop }: SheetProps & { crop: CropDesk }) {
  const format = useFormat();
  const near = useMemo(
    () => nearestRatios(STANDARD_SIZES, crop.picture).slice(0, NEAREST),
    [crop.picture],
  );
  const offered = new Set(
    view.decided.filter((d) => d.kind === 'offered').map((d) => d.sizeKey),
  );
  return (
    <SlipTable aria-label="Nearest standard ratios">
      <thead>
        <tr>
          <th>ratio</th>
          <th>sizes, up to</th>
          <th>lost, %</th>
          <th>or white, %</th>
        </tr>
      </thead>
      <tbody>
        {near.map((n) => {
          const first = n.sizes.find((s) => offered.has(s.key)) ?? n.sizes[0]!;
          const last = n.sizes.at(-1)!;
          return (
            <tr key={n.name} aria-selected={n.name === crop.ratio}>
              <td>
                <Button $small $plain onPress={() => sizing.pick(first.key)}>
                  {n.name}
                </Button>
              </td>
              <td>
                {n.sizes.length}, {lyingLabel(last, turnedLike(last, sizing.facts ?? last))}
              </td>
              <td>{format.number(n.cropShare * 100, 1)}</td>
              <td>{format.number(n.whiteShare * 100, 1)}</td>
            </tr>
          );
        })}
      </tbody>
    </SlipTable>
  );
}

export const lossOf = (
  crop: CropDesk,
  share: number,
  words: string,
  percent: (n: number) => string,
) =>
  `Crop to ${crop.ratio}: ${percent(share)} of the picture lost; ${words}. Arrow keys slide it, plus and minus scale it, Home sets it in the middle, Enter keeps it.`;

/** What must stay, marked on the picture; and the lock that holds it in. */
export function KeptArea({ crop, hasArea }: { crop: CropDesk; hasArea: boolean }) {
  if (crop.drawing)
    return (
      <>
        <Small>
          Draw over what must stay, a face or the signature; or move it with the arrow keys,
          and widen it with Shift.
        </Small>
        <div style={{ display: 'flex', gap: 8 }}>
          <Button $small onPress={crop.mark} isDisabled={!crop.marked || crop.sending}>
            Mark it
          </Button>
          <Button $small $plain onPress={() => crop.setDrawing(false)}>
            Leave it
          </Button>
        </div>
      </>
    );
  return (
    <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap', alignItems: 'center' }}>
      {hasArea && (
        <Tick checked={crop.locked} onChange={crop.setLocked}>
          Hold it inside
        </Tick>
      )}
      <Button $small $plain onPress={() => crop.setDrawing(true)}>
        {hasArea ? 'Mark it anew' : 'Mark what must stay'}
      </Button>
      {hasArea && (
        <Button $small $plain onPress={crop.free} isDisabled={crop.sending}>
          Free it
        </Button>
      )}
    </div>
  );
}
