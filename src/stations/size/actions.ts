'use server';
import { judgedNow, leavesRoom, nominalSize, rung } from '@/core/size';
import type { JudgedThen, Layout, NominalSize } from '@/core/size';
import { addSizeEvent, currentMaster, sizeStands } from '@/data';
import type { SizeEvent, UndoStep } from '@/data';
import { act, refuse } from '@/studio';
import type { Answer } from '@/core/input';
import type { ActionTools } from '@/studio';
import { defineForm, whole } from '@/core/input';
import { LAYOUT_FIELDS, layoutOf } from './layoutForm';
import { sizeKeys, withdrawForm } from './sizeForms';

const offer = defineForm({
  workId: whole('Work', { min: 1 }),
  sizeKey: sizeKeys,
  ...LAYOUT_FIELDS,
});

/** The sizes that keys name, separated by commas; or why they name none. */
function sizesNamed(keys: string): NominalSize[] | Answer<never> {
  const found = keys.split(',').map((key) => [key, nominalSize(key)] as const);
  const unknown = found.find(([, nominal]) => !nominal);
  if (!unknown) return found.flatMap(([, nominal]) => nominal ?? []);
  const message = `Size: “${unknown[0]}” is no size that can be printed. Choose one of the ladder, or add your own.`;
  return refuse(message, { sizeKey: message });
}

const named = (sizes: readonly { label: string }[]) =>
  sizes.length === 1 ? sizes[0]!.label : `${sizes.length} sizes`;

type Before = Extract<UndoStep, { kind: 'sizes' }>['before'][number];

/** Adds one word on each size, in one write that can be taken back. */
async function decide(
  { write, undoable, at }: ActionTools,
  workId: number,
  events: (Pick<SizeEvent, 'sizeKey' | 'kind' | 'layout' | 'judged' | 'reason'> & {
    label: string;
  })[],
): Promise<null> {
  return write(async (tx) => {
    const before: Before[] = [];
    for (const { label: _, ...event } of events) {
      const stood = await sizeStands(tx, workId, event.sizeKey);
      before.push(stood ?? { ...event, kind: 'withdrawn' });
      await addSizeEvent(tx, { ...event, workId, at });
    }
    const verb = events[0]?.kind === 'withdrawn' ? 'withdrawing' : 'offering';
    await undoable(tx, `${verb} ${named(events)}`, { kind: 'sizes', workId, before });
    return null;
  });
}

/** What is judged of a size as it is laid out, with the master of now. */
async function judgements(
  { studio, settings }: ActionTools,
  workId: number,
): Promise<(nominal: NominalSize, layout: Layout) => JudgedThen | null> {
  const master = await currentMaster(studio.db.read, workId);
  return (nominal, layout) => {
    const found = master && rung(nominal, master.facts, layout, settings.size);
    return found ? judgedNow(found.judgement, master.id) : null;
  };
}

/** Puts sizes on offer as they are laid out now. */
export async function offerSize(typed: unknown): Promise<Answer<null>> {
  return act(offer, typed, {}, async ({ workId, sizeKey, ...said }, tools) => {
    const sizes = sizesNamed(sizeKey);
    if (!Array.isArray(sizes)) return sizes;
    const layout = layoutOf(said);
    const eaten = sizes.find(
      (s) =>
        !leavesRoom(s, layout) || !leavesRoom({ width: s.height, height: s.width }, layout),
    );
    if (eaten) {
      const message = `Border: two of them leave nothing of ${eaten.label} to print on. Make it narrower.`;
      return refuse(message, { border: message });
    }
    const judged = await judgements(tools, workId);
    return decide(
      tools,
      workId,
      sizes.map((s) => ({
        sizeKey: s.key,
        label: s.label,
        kind: 'offered',
        layout,
        judged: judged(s, layout),
        reason: null,
      })),
    );
  });
}

/** Withdraws sizes from sale, with the reason. */
export async function withdrawSize(typed: unknown): Promise<Answer<null>> {
  return act(withdrawForm, typed, {}, async ({ workId, sizeKey, reason }, tools) => {
    const sizes = sizesNamed(sizeKey);
    if (!Array.isArray(sizes)) return sizes;
    const judged = await judgements(tools, workId);
    const events = [];
    for (const s of sizes) {
      const stands = await sizeStands(tools.studio.db.read, workId, s.key);
      if (stands?.kind !== 'offered')
        return refuse(
          sizes.length === 1
            ? 'This size is not on offer, so there is nothing to withdraw.'
            : `${s.label} is not on offer any more. Look again, and withdraw what is left.`,
        );
      const { layout } = stands;
      const kind = 'withdrawn' as const;
      const now = judged(s, layout);
      events.push({ sizeKey: s.key, label: s.label, kind, layout, judged: now, reason });
    }
    return decide(tools, workId, events);
  });
}
