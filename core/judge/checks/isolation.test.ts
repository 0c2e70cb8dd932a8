import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState, Place } from '../../machine/places/index.ts';
import { exampleCase } from './exampleCase.ts';
import { findingsIn, laneSegments, supplyCheck, threeViews } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const keyOff: MachineState = { engine: 'key-off', plug: 'unplugged' };
let count = 0;
const id = () => `r${count++}`;
const at = (lane: Lane, place: Place) => ({ lane, place });
const drop = (lane: Lane, from: Place, to: Place, volts: number, state = koeo): AnyEvidence => ({
  kind: 'between',
  id: id(),
  state,
  from: at(lane, from),
  to: at(lane, to),
  volts,
});
const ohms = (lane: Lane, from: Place, to: Place, value: number | null, state = keyOff): AnyEvidence => ({
  kind: 'ohms',
  id: id(),
  state,
  from: at(lane, from),
  to: at(lane, to),
  ohms: value,
});
const volts = (lane: Lane, place: Place, value: number, state = koeo) =>
  ({ kind: 'wire', id: id(), state, lane, place, volts: value }) as const;
const scan = (value: number, state = koeo) =>
  ({ kind: 'scan', id: id(), state, measures: 'absolute-pressure', value }) as const;
const states = (lane: Lane, isolation: AnyEvidence[], readings: ReturnType<typeof volts>[] = []) =>
  coded(laneSegments(exampleCase(readings, { isolation }), lane)).map(({ state }) => state);

test('a drop proves or condemns the very stretch it was taken over', () => {
  expect(states('return', [drop('return', 'unit', 'connector', 0.004)])).toEqual(['proven', 'unknown']);
  expect(states('return', [drop('return', 'plug', 'connector', -0.081)])).toEqual(['unknown', 'faulty']);
});

test('few ohms prove nothing, some are suspect, OL is a break; with the key on they are not counted', () => {
  expect(states('return', [ohms('return', 'unit', 'connector', 0.3)])).toEqual(['unknown', 'unknown']);
  expect(states('return', [ohms('return', 'unit', 'connector', 4.8)])).toEqual(['suspect', 'unknown']);
  expect(states('return', [ohms('return', 'unit', 'connector', null)])).toEqual(['faulty', 'unknown']);
  expect(states('return', [ohms('return', 'unit', 'connector', null, koeo)])).toEqual(['unknown', 'unknown']);
});

test('a break that was found takes the suspicion off the rest of the wire', () => {
  const lost = [volts('reference', 'unit', 5), volts('reference', 'plug', 0.02)];
  expect(states('reference', [], lost)).toEqual(['suspect', 'suspect']);
  expect(states('reference', [ohms('reference', 'unit', 'connector', null)], lost)).toEqual([
    'faulty',
    'unknown',
  ]);
});

test('what speaks for a stretch is said with the readings that say it', () => {
  const reading = drop('return', 'unit', 'connector', 0.081);
  const [view] = coded(laneSegments(exampleCase([], { isolation: [reading] }), 'return'));
  expect(view).toMatchObject({
    because: 'checks.lost-over-under-load{volts: 0.081 V}',
    readingIds: [reading.id],
  });
});

test('readings with something attached answer none of the questions of a sound harness', () => {
  const jumped: MachineState = {
    ...koeo,
    harness: {
      attachments: [{ kind: 'jumper', from: at('reference', 'unit'), to: at('reference', 'plug') }],
      neighboursOff: [],
      wiggled: false,
    },
  };
  const isolation = [volts('reference', 'plug', 0.02, jumped)];
  expect(coded(findingsIn(exampleCase([], { isolation }))).findings).toEqual([]);
});

test('the supply in its order: loaded, unloaded, at the unit, and the return twice', () => {
  const steps = supplyCheck(
    exampleCase([volts('reference', 'plug', 4.98), volts('return', 'plug', 0.084)], {
      isolation: [drop('return', 'plug', 'unit', 0.003)],
    }),
    ['reference', 'signal', 'return', 'battery-feed'],
  );
  expect(steps.map(({ outcome }) => outcome)).toEqual(['good', 'open', 'open', 'bad', 'good', 'open']);
  expect(supplyCheck(exampleCase([]), ['second-reference', 'second-return', 'motor-plus'])).toHaveLength(5);
});

test('three views: the first neighbouring pair that disagrees is the one to look between', () => {
  const plug = volts('signal', 'plug', 2.3);
  const views = (...more: (ReturnType<typeof volts> | ReturnType<typeof scan>)[]) =>
    threeViews(exampleCase([plug, ...more]), koeo);
  const shown = Math.round(views().views[0]!.value!);
  expect(views(volts('signal', 'unit', 0.02), scan(shown)).disagreement).toEqual({ between: 'plug-unit' });
  expect(views(volts('signal', 'unit', 2.3), scan(shown + 30)).disagreement).toEqual({
    between: 'unit-live',
  });
  expect(views(scan(shown + 30)).disagreement).toEqual({ between: 'plug-live' });
  expect(views(volts('signal', 'unit', 2.3), scan(shown))).toMatchObject({
    agree: ['plug-unit', 'unit-live'],
  });
  expect(views(scan(shown, idle)).agree).toEqual([]);
});

test('live data that moves while the volts stay points at a digital line; where both move, nothing does', () => {
  const said = (...readings: Parameters<typeof exampleCase>[0]) =>
    coded(findingsIn(exampleCase(readings))).remarks.some(({ sentence }) =>
      sentence.startsWith('checks.live-data-moves-while-signal'),
    );
  expect(
    said(volts('signal', 'plug', 2.4), scan(100), volts('signal', 'plug', 2.42, idle), scan(35, idle)),
  ).toBe(true);
  expect(
    said(volts('signal', 'plug', 4), scan(100), volts('signal', 'plug', 1.2, idle), scan(35, idle)),
  ).toBe(false);
  expect(said(volts('signal', 'plug', 2.4), scan(100), volts('signal', 'plug', 2.42, idle))).toBe(false);
});
