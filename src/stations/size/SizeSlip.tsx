'use client';
import type { Sent } from '@/core/input';
import { useState } from 'react';
import { largestCrisp, largestEnlarged, sameLayout, signPlan } from '@/core/size';
import { Button, ButtonLink, useAction } from '@/shell/actions';
import { Field, Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { SIGN_WORDS } from '@/studio/words/signWords';
import { offerSize } from './actions';
import { layoutSent, sizeAsked } from './layoutForm';
import { removeOwnSize } from './ruleActions';
import { WithdrawForm } from './sheets/DecideBar';
import { StandingRule } from './sheets/StandingRule';
import type { SheetProps } from './useSizing';
import { FITS, largestWords } from './words';
import { Verdict } from './Verdict';
import { LAYOUT_FORM } from './layoutForm';

type SlipProps = Omit<SheetProps, 'head'>;

/** The next action on a size: offer it, offer it otherwise, withdraw it, prepare it. */
export function SizeActions({ view, sizing }: SlipProps) {
  const { here, desk } = sizing;
  const offering = useAction(offerSize, 'On offer.');
  const [leaving, setLeaving] = useState<string | null>(null);
  if (!here) return null;
  const { work } = view;
  const on = here.decided?.kind === 'offered';
  const same =
    on && here.decided !== undefined && sameLayout(here.decided.layout, desk.layout);
  const standing = same && !here.reopened;
  if (leaving === here.key)
    return (
      <WithdrawForm
        workId={work.id}
        steps={[here]}
        reason={here.judgement.advice === 'withdraw' ? 'falls short' : 'no longer wanted'}
        onDone={() => setLeaving(null)}
      />
    );
  const offer = (typed: Sent | null) =>
    typed && offering.run({ ...sizeAsked(work.id, [here]), ...typed });
  const again = on && here.reopened && here.decided;
  return (
    <>
      {again && (
        <Button
          onPress={() => offer(layoutSent(again.layout))}
          isDisabled={offering.sending}
          $plain={here.judgement.advice === 'withdraw'}
        >
          Offer it again
        </Button>
      )}
      {!(again && same) && (
        <Button
          onPress={() => offer(desk.typed)}
          isDisabled={standing || offering.sending || desk.typed === null}
          $plain={Boolean(again) || here.judgement.advice === 'withdraw'}
        >
          {standing ? 'On offer' : on ? 'Offer it like this' : 'Offer this size'}
        </Button>
      )}
      {on && (
        <Button $plain onPress={() => setLeaving(here.key)}>
          Withdraw
        </Button>
      )}
      {standing && (
        <ButtonLink
          href={`/works/${work.id}/prepare?size=${encodeURIComponent(here.key)}`}
          $plain
        >
          Prepare
        </ButtonLink>
      )}
      {on && !same && here.decided && (
        <Button $plain onPress={() => desk.take(here.decided!.layout)}>
          As it is offered
        </Button>
      )}
      <Problem>
        {offering.problem ??
          (desk.typed === null
            ? 'A length of the layout cannot be read. Mend it here or under Sheet first.'
            : null)}
      </Problem>
    </>
  );
}

/** The slip of the ladder: the size that is picked, how far this master goes, and the rules. */
export function SizeSlip(props: SlipProps) {
  const { view, sizing } = props;
  const { here, rules, facts, desk } = sizing;
  const format = useFormat();
  const removing = useAction(removeOwnSize, 'Off the ladder.');
  const part = here?.fit.crop;
  return (
    <Slip label="The size" actions={<SizeActions {...props} />}>
      {here && (
        <>
          <SlipTitle>{here.label}</SlipTitle>
          <SlipSub>
            image {format.size(here.fit.image)} on {format.size(here.fit.sheet)}
          </SlipSub>
          <Verdict step={here} sizing={sizing} />
        </>
      )}
      {facts && part && (
        <FactList
          facts={[
            [
              'Crisp in the hand up to',
              largestWords(largestCrisp('inHand', facts, rules, part), format),
            ],
            [
              'Where people stand, up to',
              largestWords(largestCrisp('whereStand', facts, rules, part), format),
            ],
            [
              `Held by resampling (${format.number(rules.resamplerHolds, 1)} ×) up to`,
              format.size(largestEnlarged('resamplerHolds', facts, rules, part)),
            ],
            [
              `With a proof first (${format.number(rules.proofFirst, 1)} ×) up to`,
              format.size(largestEnlarged('proofFirst', facts, rules, part)),
            ],
            [
              'Room to sign below',
              here
                ? `${format.length(here.fit.below)} ${SIGN_WORDS[signPlan(here.judgement.roomToSign, view.signature)]}`
                : '',
            ],
          ]}
        />
      )}
      <SectionLabel>How it meets the sheet</SectionLabel>
      <Strips
        label="How it meets the sheet"
        value={desk.fit}
        options={FITS}
        onChange={desk.setFit}
      />
      <Field
        form={desk.form}
        of={LAYOUT_FORM}
        name="border"
        label={`Border, ${desk.place} the size`}
      />
      {!here && sizing.eaten > 0 && (
        <Problem>
          Border: two of them leave nothing of any of these sizes to print on. Make it
          narrower, or lay it outside.
        </Problem>
      )}
      <SectionLabel>Where people stand</SectionLabel>
      <StandingRule sizing={sizing} />
      <Small>
        Rules of thumb: {rules.printPpi} ppi native; labs ask {rules.askSmallPpi} for small,{' '}
        {rules.askLargePpi} for large prints, and many refuse below {rules.refusePpi}.
        Change them in the bench settings.
      </Small>
      {here?.key.startsWith('own-') && (
        <Button $small $plain onPress={() => removing.run({ key: here.key })}>
          Take {here.label} off the ladder
        </Button>
      )}
      <Problem>{removing.problem}</Problem>
    </Slip>
  );
}
