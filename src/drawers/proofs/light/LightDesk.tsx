'use client';
import { illuminanceOf, judgeLight, luminanceOf } from '@/core/proof';
import { Button, ButtonLink, useAction, useActionForm, useLiveRead } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Problem } from '@/shell/said';
import { Figures, FormPart, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { keepLight, readMeter } from './actions';
import { lightForm } from './lightForm';
import { TestPatches } from './TestPatches';
import { findingWords } from './words';
import type { LightView } from './view';

const typed = (v: number | null | undefined) =>
  v === null || v === undefined ? '' : String(v);

/** Screen and light: how they are set up where prints are judged, and what is to be put right. */
export function LightDesk({ light, today, rules }: LightView) {
  const format = useFormat();
  const form = useActionForm(
    keepLight,
    {
      lux: typed(light?.lux ?? 500),
      reflectance: typed((light?.reflectance ?? 0.9) * 100),
      luminance: typed(light?.luminance),
      lightKelvin: typed(light?.lightKelvin ?? 5000),
      screenKelvin: typed(light?.screenKelvin),
      surround: light?.surround ?? 'neutral grey',
      calibratedOn: light?.calibratedOn ?? '',
    },
    { done: 'Kept: proofs are judged under it from now on.' },
  );
  const now = useLiveRead(form.form, lightForm);
  const meter = useAction(readMeter, undefined, (read) => {
    form.form.setValue('lux', String(read.lux), { shouldDirty: true });
    form.form.setValue('lightKelvin', String(read.kelvin), { shouldDirty: true });
  });
  const found = now ? judgeLight(now, today, rules) : [];
  return (
    <>
      <DrawerHead title="Screen and light" sum="where proofs are judged">
        <ButtonLink $plain href="/proofs">
          Back to the proofs
        </ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          <TestPatches />
          <SectionLabel>How it stands</SectionLabel>
          {found.map((f) => (
            <Sentence key={f.what} $tone={f.tone === 'good' ? 'plain' : f.tone}>
              {findingWords(f, (d) => format.day(d))}
            </Sentence>
          ))}
          <Small>
            Limits are rules of thumb, changed under Settings:{' '}
            {format.number(rules.luxLeast)} to {format.number(rules.luxMost)} lx,{' '}
            {format.number(rules.usualKelvin)} K, whites within{' '}
            {format.number(rules.kelvinApart)} K, luminance within{' '}
            {format.number(rules.near * 100)} %; a calibration lasts {rules.calibrationDays}{' '}
            days.
          </Small>
        </Surface>
        <Slip label="Screen and light">
          <SlipTitle>The set-up</SlipTitle>
          <SlipSub>{light ? `as kept on ${format.day(light.at)}` : 'not said yet'}</SlipSub>
          {now && (
            <Figures
              figures={[
                {
                  value: format.number(luminanceOf(now.lux, now.reflectance)),
                  unit: 'cd/m²',
                  label: 'the screen should have',
                },
                {
                  value:
                    now.luminance === null
                      ? '–'
                      : format.number(illuminanceOf(now.luminance, now.reflectance)),
                  unit: 'lx',
                  label: 'would suit this screen',
                },
              ]}
            />
          )}
          <FormPart form={form} verb="Keep it">
            <FormFields form={form.form} of={lightForm} />
            <Button $plain $small isDisabled={meter.sending} onPress={() => meter.run({})}>
              Read the meter
            </Button>
          </FormPart>
          <Problem>{meter.problem}</Problem>
        </Slip>
      </Bench>
    </>
  );
}
