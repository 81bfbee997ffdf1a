import { refuse } from './action';
import type { Answer } from '@/core/input';

type Values = Record<string, string>;

/**
 * Holds what a form was filled with (`seen`, JSON) against what is stored now. When someone
 * else changed a field meanwhile, the refusal shows both values at the field; sent again, the
 * form knows the stored ones and what was typed is kept. Null when nothing was changed.
 */
export function staleForm(
  seen: string,
  stored: Values,
  typed: Values,
  titles: Values,
): Answer<never> | null {
  let before: Values;
  try {
    before = JSON.parse(seen) as Values;
  } catch {
    before = {};
  }
  const fields: Values = {};
  for (const [name, now] of Object.entries(stored)) {
    if (before[name] === now || typed[name] === now) continue;
    const mine = typed[name] ?? '';
    fields[name] =
      mine === before[name]
        ? `${titles[name] ?? name}: now “${now}”, changed elsewhere since you opened this; you left it at “${mine}”.`
        : `${titles[name] ?? name}: now “${now}”, changed elsewhere since you opened this; you typed “${mine}”.`;
  }
  if (Object.keys(fields).length === 0) return null;
  return refuse(
    'This was changed elsewhere since you opened it. Both are shown; send it again to keep yours.',
    fields,
    { seen: JSON.stringify(stored) },
  );
}
