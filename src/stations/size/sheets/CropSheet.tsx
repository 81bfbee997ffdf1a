'use client';
import { useMemo } from 'react';
import { STANDARD_SIZES, lyingLabel, nearestRatios } from '@/core/size';
import { turnedLike } from '@/core/units';
import { Button } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Strips, Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { useCrop } from '../useCrop';
import type { CropDesk } from '../useCrop';
import type { SheetProps } from '../useSizing';
import { FITS, lossWords } from '../words';
import { CropTable } from './CropTable';

const NEAREST = 6;

/** Standard ratios by how near they come, with what each would cost of the picture or the sheet. */
function NearestRatios({ view, sizing, crop }: SheetProps & { crop: CropDesk }) {
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

const lossOf = (
  crop: CropDesk,
  share: number,
  words: string,
  percent: (n: number) => string,
) =>
  `Crop to ${crop.ratio}: ${percent(share)} of the picture lost; ${words}. Arrow keys slide it, plus and minus scale it, Home sets it in the middle, Enter keeps it.`;

/** What must stay, marked on the picture; and the lock that holds it in. */
function KeptArea({ crop, hasArea }: { crop: CropDesk; hasArea: boolean }) {
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
        <label style={{ fontSize: 13 }}>
          <Tick checked={crop.locked} onChange={(e) => crop.setLocked(e.target.checked)} />{' '}
          Hold it inside
        </label>
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

/** Crop: which part of the picture fills a ratio, chosen once for all sizes of it. */
export function CropSheet(props: SheetProps) {
  const { view, master, sizing, head } = props;
  const { here, desk, steps } = sizing;
  const format = useFormat();
  const crop = useCrop(props);
  if (!here || !crop.part || !crop.seen)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="No size is picked">
            <p>Choose one on the ladder; its ratio is what the picture is cropped to.</p>
          </Empty>
        </Surface>
      </Bench>
    );
  const filled = desk.fit === 'fill';
  const loss = here.judgement.figures.cropShare;
  const words = lossWords(crop.seen, format);
  const sameRatio = steps.filter((s) => s.ratio === crop.ratio).map((s) => s.label);
  return (
    <Bench>
      <Surface>
        {head}
        <CropTable
          picture={master.preview}
          proportion={crop.picture}
          part={crop.part}
          seen={here.fit.beyond > 0 ? crop.seen : crop.part}
          area={crop.area}
          drawing={crop.drawing}
          label={lossOf(crop, loss, words, (n) => format.percent(n, 1))}
          onSlide={(across, down, from) => filled && crop.slide(across, down, from)}
          onScale={(factor, from) => filled && crop.scale(factor, from)}
          onArea={crop.setMarked}
          onKeep={crop.keep}
          onMiddle={() => filled && crop.middle()}
        />
        <span className="sr" role="status">
          {crop.moved && `${format.percent(loss, 1)} lost; ${words}`}
        </span>
      </Surface>
      <Slip
        label="The crop"
        actions={
          filled ? (
            <>
              <Button onPress={crop.keep} isDisabled={!crop.moved || crop.sending}>
                {crop.moved || !crop.kept ? 'Keep this crop' : 'Kept'}
              </Button>
              {crop.moved && (
                <Button $plain onPress={() => sizing.setDraft(null)}>
                  Leave it as it was
                </Button>
              )}
              {!crop.moved && crop.kept && (
                <Button $plain onPress={crop.drop} isDisabled={crop.sending}>
                  Give it up
                </Button>
              )}
            </>
          ) : (
            <Button onPress={() => desk.setFit('fill')}>Crop to fill</Button>
          )
        }
      >
        <SlipTitle>
          {filled ? `Cropped to ${crop.ratio}` : `The whole picture on ${crop.ratio}`}
        </SlipTitle>
        <SlipSub>
          {here.label}, image {format.size(here.fit.image)}
        </SlipSub>
        <Figures
          figures={[
            { ...splitUnit(format.percent(loss, 1)), label: 'of the picture lost' },
            {
              value: format.number(here.judgement.figures.ppi),
              unit: '',
              label: 'ppi on paper',
            },
            { ...splitUnit(format.length(here.fit.below)), label: 'white below' },
          ]}
        />
        <Sentence $tone={crop.loses ? 'caution' : 'plain'}>
          {crop.tooWide
            ? `No crop to ${crop.ratio} holds what must stay: choose a nearer ratio, or keep the whole picture.`
            : crop.loses
              ? 'What must stay is cut. Hold it inside, or slide the crop.'
              : filled
                ? `Lost: ${words}.`
                : 'Nothing is cropped; margins are as the sheet leaves them.'}
        </Sentence>
        {crop.stale && (
          <Sentence $tone="caution">
            The picture had another shape when this crop was chosen: look at it again, and
            keep it.
          </Sentence>
        )}
        <Strips
          label="How it meets the sheet"
          value={desk.fit}
          options={FITS}
          onChange={desk.setFit}
        />
        <Small>
          One crop for every size of {crop.ratio}
          {sameRatio.length > 0 && `: ${sameRatio.join(', ')}`}.
        </Small>
        <SectionLabel>What must stay</SectionLabel>
        <KeptArea crop={crop} hasArea={view.area !== null} />
        <SectionLabel>Nearest standard ratios</SectionLabel>
        <NearestRatios {...props} crop={crop} />
        <Problem>{crop.problem}</Problem>
      </Slip>
    </Bench>
  );
}
