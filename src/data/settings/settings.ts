import { CAPTURE_RULES } from '@/core/capture/plan';
import type { CaptureRules, HireInput } from '@/core/capture/plan';
import type { ClosedSpan } from '@/core/days';
import type { PackRules } from '@/core/pack';
import { PACK_RULES } from '@/core/pack';
import type { TaxRule } from '@/core/price';
import { NO_TAX } from '@/core/price';
import type { SizeRules } from '@/core/size';
import { SIZE_RULES } from '@/core/size';
import type { ProofRules } from '@/core/proof';
import { PROOF_RULES } from '@/core/proof';
import type { TodayRules } from '@/core/today';
import { TODAY_RULES } from '@/core/today';
import { minor } from '@/core/units';
import type { UnitMode } from '@/core/units';
import type { Reading, Writing } from '../reading';
import { settings } from '../schema';

export type Tone = 'light' | 'middle' | 'dark';

/** How the bench is set: the reader's units and the rules of thumb in force. */
export interface BenchSettings {
  units: UnitMode;
  tone: Tone;
  /** Whether single keys do something; some hands and voices press them unwillingly. */
  singleKeys: boolean;
  currency: string;
  locale: string;
  studio: string;
  /** Where the studio is: an IANA time zone, and an ISO 3166 country; empty where it was not said. */
  timeZone: string;
  country: string;
  /** When the studio is closed, beside weekends and the holidays of its country. */
  closedDays: ClosedSpan[];
  handlingDays: number;
  /** Whether the studio was looked over on its first day. */
  settled: boolean;
  /** Whether this studio is a sample, which goes when it is left. */
  sample: boolean;
  /** Keys of sizes that are the studio's own. */
  ownSizes: string[];
  /** Where backups go; empty for a folder beside the data. */
  backupFolder: string;
  capture: CaptureRules;
  /** What hiring a capture out and doing it oneself cost, in the currency it was said in. */
  hire: HireInput & { currency: string | null };
  size: SizeRules;
  pack: PackRules;
  today: TodayRules;
  /** A local tax on what is sold, shown apart from every figure. */
  tax: TaxRule;
  proof: ProofRules;
}

export const DEFAULT_SETTINGS: BenchSettings = {
  units: 'metric',
  tone: 'middle',
  singleKeys: true,
  currency: 'EUR',
  locale: 'en-GB',
  studio: '',
  // Until somebody says where it is, it is where its machine is.
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  country: '',
  closedDays: [],
  handlingDays: 3,
  settled: false,
  sample: false,
  ownSizes: [],
  backupFolder: '',
  capture: CAPTURE_RULES,
  hire: {
    feePerWork: minor(0),
    equipment: minor(0),
    hoursPerWork: 1,
    hourlyRate: minor(0),
    works: 10,
    currency: null,
  },
  size: SIZE_RULES,
  pack: PACK_RULES,
  today: TODAY_RULES,
  tax: NO_TAX,
  proof: PROOF_RULES,
};

/** The settings, defaults where nothing was chosen. */
export async function readSettings(db: Reading): Promise<BenchSettings> {
  const rows = await db.select().from(settings);
  const chosen = Object.fromEntries(
    rows.map((r) => [r.key, r.value]),
  ) as Partial<BenchSettings>;
  return {
    ...DEFAULT_SETTINGS,
    ...chosen,
    capture: { ...CAPTURE_RULES, ...chosen.capture },
    size: { ...SIZE_RULES, ...chosen.size },
    pack: { ...PACK_RULES, ...chosen.pack },
    today: { ...TODAY_RULES, ...chosen.today },
    tax: { ...NO_TAX, ...chosen.tax },
    proof: {
      ...PROOF_RULES,
      ...chosen.proof,
      light: { ...PROOF_RULES.light, ...chosen.proof?.light },
    },
  };
}

/** What is stored for the given keys; undefined where the default holds. */
export async function storedSettings(
  db: Reading,
  keys: string[],
): Promise<Record<string, unknown>> {
  const rows = await db.select().from(settings);
  const stored = new Map(rows.map((r) => [r.key, r.value]));
  return Object.fromEntries(
    keys.filter((k) => stored.has(k)).map((k) => [k, stored.get(k)]),
  );
}

/** Keeps the given settings, leaving the others as they are. */
export async function saveSettings(
  tx: Writing,
  chosen: Partial<BenchSettings>,
): Promise<void> {
  for (const [key, value] of Object.entries(chosen))
    await tx
      .insert(settings)
      .values({ key, value })
      .onConflictDoUpdate({ target: settings.key, set: { value } });
}
