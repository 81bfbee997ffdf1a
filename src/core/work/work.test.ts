import { STATIONS, markStations, nextStation } from '.';
import type { WorkFacts } from '.';

const nothing: WorkFacts = {
  masterRead: 'none',
  untagged: false,
  offered: 0,
  offeredFallingShort: 0,
  offeredReopened: 0,
  printFiles: 0,
  printFilesFailed: 0,
  proofsOut: 0,
  proofsApproved: 0,
  referencesLapsed: 0,
  editions: 0,
  numbersLeft: 0,
  priced: 0,
  finished: 0,
  ordersOpen: 0,
  ordersLate: 0,
  ordersShipped: 0,
};

it('starts with nothing done and capture next', () => {
  const marks = markStations(nothing);
  expect(STATIONS.every((s) => marks[s] === 'notYet')).toBe(true);
  expect(nextStation(marks)).toBe('capture');
});

it('calls for attention before it calls for the next step', () => {
  const marks = markStations({
    ...nothing,
    masterRead: 'ready',
    offered: 2,
    offeredFallingShort: 1,
    ordersOpen: 1,
  });
  expect(marks).toMatchObject({
    capture: 'done',
    size: 'attention',
    prepare: 'notYet',
    pack: 'attention',
  });
  expect(nextStation(marks)).toBe('size');
  expect(markStations({ ...nothing, editions: 1, numbersLeft: 0 }).edition).toBe(
    'attention',
  );
  const approved = { ...nothing, proofsApproved: 1 };
  expect(markStations(approved).proof).toBe('done');
  expect(markStations({ ...approved, referencesLapsed: 1 }).proof).toBe('attention');
  expect(markStations({ ...nothing, masterRead: 'ready', untagged: true }).capture).toBe(
    'attention',
  );
});
