import { lightNow, readSettings } from '@/data';
import { studio, todayOf } from '@/studio';

/** The desk of screen and light: how they are set up now. */
export async function loadLight() {
  const db = (await studio()).db.read;
  const [light, settings] = await Promise.all([lightNow(db), readSettings(db)]);
  return {
    light: light ?? null,
    today: todayOf(settings),
    rules: {
      ...settings.proof.light,
      calibrationDays: settings.today.calibrationDays,
    },
  };
}

export type LightView = Awaited<ReturnType<typeof loadLight>>;
