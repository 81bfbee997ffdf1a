'use client';
import { hueOf, toneOf } from '@/core/colour';
import { WEIGHED_INTENTS } from '@/core/proof';
import type { WeighedIntent } from '@/core/proof';
import type { Place, ProofFigures } from '@/engine';
import { Button, ButtonLink } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { INTENT_RULES, becauseWords, percent } from '@/studio/words/proofWords';
import styled from 'styled-components';
import type { PaperAtHand, ProofView } from '../view';
import type { FiguresBy } from './useFigures';
import { paperSentence, spaceSentence } from './words';

const NAMES: Record<WeighedIntent, string> = {
  relative: 'relative, black point',
  perceptual: 'perceptual',
  absolute: 'absolute',
};

const placeName = ({ lab: [l, a, b] }: Place): string => {
  const hue = hueOf(a, b) ?? 'grey';
  return `${hue}, ${toneOf(l)}`;
};

/** What a paper does to a picture, in figures, and how it is looked at. */
export function PaperSlip({
  view,
  paper,
  figures,
  by,
  intent,
  onIntent,
  lookAt,
  onLook,
}: {
  view: ProofView;
  paper: PaperAtHand;
  figures: ProofFigures | null;
  by: FiguresBy;
  intent: WeighedIntent;
  /** An intent that is chosen; null: the recommended one. */
  onIntent: (intent: WeighedIntent | null) => void;
  lookAt: { x: number; y: number } | null;
  onLook: (at: { x: number; y: number } | null) => void;
}) {
  const format = useFormat();
  const { number } = format;
  const space = spaceSentence(by, number);
  const { profile } = paper;
  const { work, picked } = view;
  const cost = figures?.intents[intent].cost;
  return (
    <Slip
      label="On paper"
      actions={
        <ButtonLink
          href={`/works/${work.id}/proof?sheet=rounds&paper=${paper.id}${picked ? `&size=${encodeURIComponent(picked.key)}` : ''}`}
        >
          Go to its rounds
        </ButtonLink>
      }
    >
      <SlipTitle>
        {paper.name}, {paper.surface}
      </SlipTitle>
      <SlipSub>
        {profile?.printer || 'own printer'}
        {profile?.setting && `, setting “${profile.setting}”`}, profile of{' '}
        {profile && format.day(profile.at)}
      </SlipSub>
      {view.recipe && (
        <Small>
          Shown by the recipe “{view.recipe.name}”; the figures are of the master as it is.{' '}
          <a
            href={`/works/${work.id}/proof?sheet=paper&paper=${paper.id}${picked ? `&size=${encodeURIComponent(picked.key)}` : ''}`}
          >
            Without it
          </a>
        </Small>
      )}
      {figures && cost ? (
        <>
          <Figures
            figures={[
              {
                value: number(figures.reach.beyond[1] * 100, 1),
                unit: '%',
                label: 'out of reach',
              },
              { value: number(cost.mean, 1), unit: '', label: 'mean ΔE00' },
              { value: number(cost.max, 1), unit: '', label: 'the worst' },
            ]}
          />
          <Sentence>{paperSentence(figures, intent, number)}</Sentence>
          <SlipTable>
            <thead>
              <tr>
                <th>intent</th>
                <th>mean</th>
                <th>p95</th>
                <th>max</th>
                <th>merged</th>
              </tr>
            </thead>
            <tbody>
              {WEIGHED_INTENTS.map((i) => {
                const of = figures.intents[i];
                return (
                  <tr key={i} aria-selected={i === intent}>
                    <td>
                      <Pick
                        type="button"
                        onClick={() => onIntent(i)}
                        aria-pressed={i === intent}
                      >
                        {NAMES[i]}
                      </Pick>
                    </td>
                    <td>{number(of.cost.mean, 1)}</td>
                    <td>{number(of.cost.p95, 1)}</td>
                    <td>{number(of.cost.max, 1)}</td>
                    <td>{of.mergedPairs}</td>
                  </tr>
                );
              })}
            </tbody>
          </SlipTable>
          <p style={{ fontSize: 12.5 }}>
            Recommended: {figures.recommended.intent}, since {becauseWords(figures, number)}
            . {INTENT_RULES}
          </p>
          {intent !== figures.recommended.intent && (
            <Button $small onPress={() => onIntent(null)}>
              Take the recommendation
            </Button>
          )}
          <SectionLabel>Where it is out of reach most</SectionLabel>
          {figures.reach.places.length === 0 ? (
            <Small>nowhere by more than ΔE00 1</Small>
          ) : (
            <SlipTable>
              <tbody>
                {figures.reach.places.map((p, i) => (
                  <tr key={i} aria-selected={lookAt?.x === p.x && lookAt.y === p.y}>
                    <td>
                      <Pick type="button" onClick={() => onLook(p)}>
                        {i + 1} {placeName(p)}
                      </Pick>
                    </td>
                    <td>{number(p.most, 1)}</td>
                  </tr>
                ))}
              </tbody>
            </SlipTable>
          )}
          {lookAt && (
            <Button $small $plain onPress={() => onLook(null)}>
              The whole picture
            </Button>
          )}
        </>
      ) : (
        <Sentence>Measuring the picture on this paper …</Sentence>
      )}
      {space && (
        <>
          <SectionLabel>What the hand-over needs</SectionLabel>
          <p style={{ fontSize: 12.5 }}>{space}</p>
        </>
      )}
      {figures && (
        <Small>
          Measured on {format.number(figures.pixels)} pixels
          {figures.stride > 1 && `, one of ${figures.stride} × ${figures.stride}`};{' '}
          {percent(figures.reach.beyond[0], number)} is out of reach by more than 1,{' '}
          {percent(figures.reach.beyond[2], number)} by more than 5.
        </Small>
      )}
    </Slip>
  );
}

const Pick = styled.button`
  appearance: none;
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  color: inherit;
  cursor: pointer;
  text-align: left;
`;
