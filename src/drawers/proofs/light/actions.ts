'use server';
import type { Answer } from '@/core/input';
import { addLight } from '@/data';
import { simulatedLightMeter } from '@/standins';
import { act, refuse } from '@/studio';
import { lightForm, meterForm } from './lightForm';

/** Keeps how screen and light are set up. */
export async function keepLight(typed: unknown): Promise<Answer<null>> {
  return act(lightForm, typed, {}, async (v, { write, at, today }) => {
    if (v.calibratedOn && v.calibratedOn > today) {
      const message = 'Screen calibrated on: lies in the future. Take the day it was done.';
      return refuse(message, { calibratedOn: message });
    }
    await write((tx) => addLight(tx, { ...v, at }));
    return null;
  });
}

/** What the meter reads where prints are judged. */
export async function readMeter(
  typed: unknown,
): Promise<Answer<{ lux: number; kelvin: number; name: string }>> {
  return act(meterForm, typed, {}, async (_, { at }) => {
    const meter = simulatedLightMeter(Date.parse(at));
    return { ...(await meter.read()), name: meter.name };
  });
}
