'use client';
import { Button } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { useCrop } from '../useCrop';
import type { SheetProps } from '../useSizing';
import { FITS, lossWords } from '../words';
import { CropTable } from './CropTable';
import { NearestRatios, KeptArea, lossOf } from './CropParts';

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
