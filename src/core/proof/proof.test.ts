import { nextRound, referenceProof, verdictFault } from '.';
import type { ProofRound } from '.';

const round = (over: Partial<ProofRound>): ProofRound => ({
  id: 1,
  paperId: 1,
  sizeKey: 'isoA-A3',
  round: 1,
  sentAt: '2026-03-01',
  backAt: '2026-03-05',
  verdict: 'approved',
  ...over,
});

it('counts rounds per paper and size', () => {
  const rounds = [round({}), round({ round: 2 }), round({ paperId: 2 })];
  expect(nextRound(rounds, { paperId: 1, sizeKey: 'isoA-A3' })).toEqual({
    round: 3,
    out: null,
  });
  expect(nextRound(rounds, { paperId: 2, sizeKey: 'isoA-A3' }).round).toBe(2);
  expect(nextRound(rounds, { paperId: 1, sizeKey: 'isoA-A2' }).round).toBe(1);
});

it('knows the round that is still out', () => {
  const out = round({ round: 2, backAt: null, verdict: null });
  expect(nextRound([round({}), out], out).out).toBe(out);
  expect(nextRound([round({})], out).out).toBeNull();
});

it('holds the latest approved round as the reference', () => {
  const older = round({});
  const newer = round({ id: 2, paperId: 2, backAt: '2026-04-01' });
  const failed = round({ id: 3, backAt: '2026-05-01', verdict: 'changeAndRepeat' });
  expect(referenceProof([newer, failed, older], { sizeKey: 'isoA-A3' })).toBe(newer);
  expect(referenceProof([newer, failed, older], { sizeKey: 'isoA-A3', paperId: 1 })).toBe(
    older,
  );
  expect(referenceProof([failed], { sizeKey: 'isoA-A3' })).toBeUndefined();
});

it('is the one approved last, not the one that stands last in the list', () => {
  const judgedLater = round({ id: 1, backAt: '2026-04-02' });
  const sentLater = round({ id: 2, round: 2, backAt: '2026-04-01' });
  const rule = { sizeKey: 'isoA-A3' };
  expect(referenceProof([judgedLater, sentLater], rule)).toBe(judgedLater);
  // Of one day the later round counts, whatever the order of the list.
  const sameDay = round({ id: 3, backAt: '2026-04-02' });
  expect(referenceProof([sameDay, judgedLater], rule)).toBe(sameDay);
  expect(referenceProof([judgedLater, sameDay], rule)).toBe(sameDay);
});

it('a further round must know what it tries', () => {
  expect(verdictFault({ verdict: 'changeAndRepeat', toChange: ' ' })).toBe('toChange');
  expect(verdictFault({ verdict: 'changeAndRepeat', toChange: 'lighter' })).toBeNull();
  expect(verdictFault({ verdict: 'approved', toChange: '' })).toBeNull();
});
