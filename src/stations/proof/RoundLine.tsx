'use client';
import { EYE_ASPECTS } from '@/core/proof';
import { useFormat } from '@/shell/figures';
import { Small } from '@/shell/words';
import { INTENT_NAMES } from '@/studio/words/recipeWords';
import type { SheetId } from './sheetNames';
import type { ProofView } from './view';
import { VERDICTS, eyeWords } from './words';

type Round = ProofView['rounds'][number];

/** By what it was printed, as far as it is said. */
const madeBy = ({ profile, intent, setting, lot, inkSet }: Round): string =>
  [
    profile && `${profile}${intent ? `, ${INTENT_NAMES[intent]}` : ''}`,
    setting && `setting “${setting}”`,
    lot && `lot ${lot}`,
    inkSet && `ink ${inkSet}`,
  ]
    .filter(Boolean)
    .join(', ');

/** One round: what was sent, when it came back, what was seen, and what was said of it. */
export function RoundLine({ round: r, view }: { round: Round; view: ProofView }) {
  const format = useFormat();
  const { work, reference, read, customers, picked } = view;
  const size = picked ? `&size=${encodeURIComponent(picked.key)}` : '';
  const said = customers.filter((c) => c.roundId === r.id);
  const eye = EYE_ASPECTS.filter((a) => r.byEye?.[a] !== undefined);
  const by = madeBy(r);
  const measurable = r.sheetId !== null && view.withStrip.includes(r.sheetId);
  const href = (sheet: SheetId) =>
    `/works/${work.id}/proof?sheet=${sheet}&round=${r.id}${size}`;
  return (
    <li>
      <strong>
        {r.round}
        <small>round</small>
      </strong>
      <div>
        <h3>
          {r.paper}: {r.verdict ? VERDICTS[r.verdict] : 'out'}
          {r.id === reference && ' ✓ reference'}
        </h3>
        <Small>
          {r.route}, sent {format.day(r.sentAt)}
          {r.backAt
            ? `, back ${format.day(r.backAt)}`
            : r.dueOn && `, due back ${format.day(r.dueOn)}`}
          , {format.money(r.cost)}
          {r.file && `; ${r.file}`}
          {by && `; ${by}`}
        </Small>
        {r.remarks && <p>Tried: {r.remarks}</p>}
        {r.seen && <p>Seen: {r.seen}</p>}
        {eye.length > 0 && (
          <p>
            By eye: {eye.map((a) => eyeWords(a, r.byEye![a]!)).join(', ')}
            {r.light?.lux && ` (at ${r.light.lux} lx`}
            {r.light?.lux && (r.light.kelvin ? `, ${r.light.kelvin} K)` : ')')}
          </p>
        )}
        {r.toChange && <p>To change: {r.toChange}</p>}
        {said.map((c) => (
          <p key={c.id}>
            Customer, {format.day(c.sentOn)}: {c.agreed ? 'agrees' : 'does not agree'}
            {c.said && `, “${c.said}”`}
          </p>
        ))}
        {(measurable || r.masterId !== null) && (
          <Small>
            {measurable && (
              <a href={href('measured')}>
                {read.includes(r.id) ? 'What was measured' : 'Measure it'}
              </a>
            )}
            {measurable && r.masterId !== null && ', '}
            {r.masterId !== null && <a href={href('photographed')}>Photographs of it</a>}
          </Small>
        )}
      </div>
    </li>
  );
}
