import { expect, test } from 'vitest';
import {
  LANES,
  PLACES,
  THREE_WIRES,
  type Lane,
  type MachineState,
  type Place,
} from '../machine/places/index.ts';
import { wiringFor } from '../machine/wiring/index.ts';
import { soundSupply } from '../machine/limits/index.ts';
import type { WireReading } from '../record/evidence/index.ts';
import { expectationContext, findingsIn, laneSegments, supplyCheck, supplyIsGood } from './checks/index.ts';
import { exampleCase } from './checks/exampleCase.ts';
import { readingLimitVolts } from './checks/readingLimit.ts';
import { expectedReading } from './expectation/index.ts';
import { gateItems } from './weighing/gate/gate.ts';
import { decisionsFor, hypothesesFor } from './weighing/index.ts';

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const STEP_VOLTS = 0.01;
const HIGHEST_VOLTS = 14;
const SUPPLIES: readonly Lane[] = [
  'reference',
  'return',
  'second-reference',
  'second-return',
  'battery-feed',
];

const { family, profile } = exampleCase([]);
const subject = { family, profile, wiring: wiringFor({ profile, wires: THREE_WIRES }) };
const sensorDecision = decisionsFor(hypothesesFor(subject)).all.find((one) => one.class === 'sensor')!;

const caseWith = (lane: Lane, place: Place, volts: number) => {
  const reading: WireReading = { kind: 'wire', id: 'one', lane, place, volts, state: KOEO };
  return { caseFile: exampleCase([reading]), reading };
};

const voltages = Array.from({ length: HIGHEST_VOLTS / STEP_VOLTS + 1 }, (_, i) => i * STEP_VOLTS);

test.each(SUPPLIES)(
  'lane, gate, supply check and expectation agree about every voltage of the %s',
  (lane) => {
    for (const volts of voltages) {
      const { caseFile, reading } = caseWith(lane, 'plug', volts);
      const good = supplyIsGood(lane, reading, caseFile);
      const told = `${lane} ${volts.toFixed(2)} V`;
      const segments = laneSegments(caseFile, lane);
      expect(
        segments.every(({ state }) => state === 'proven'),
        told,
      ).toBe(good);
      expect(
        segments.some(({ state }) => state === 'suspect'),
        told,
      ).toBe(!good);
      const item = gateItems(sensorDecision, caseFile, LANES).find(
        ({ reading: { target } }) => target.kind === 'wire' && target.lane === lane,
      )!;
      expect(item.state === 'proven', told).toBe(good);
      const step = supplyCheck(caseFile, [lane]).find(({ reading: taken }) => taken?.id === 'one')!;
      expect(step.outcome, told).toBe(good ? 'good' : 'bad');
      const band = expectedReading(
        { kind: 'wire', lane, place: 'plug' },
        KOEO,
        expectationContext(caseFile),
      )!;
      const slack = readingLimitVolts(reading, caseFile);
      const within = volts >= band.lowest - slack && volts <= band.highest + slack;
      // What is too high on a battery feed is a matter of the battery, not of the feed.
      const tooHigh = lane === 'battery-feed' && volts > band.highest;
      expect(within || tooHigh, told).toBe(good);
    }
  },
);

test.each(LANES.flatMap((lane) => PLACES.map((place) => [lane, place] as const)))(
  'nothing of one voltage of the %s at the %s is called good in one place and bad in another',
  (lane, place) => {
    for (const volts of voltages) {
      const { caseFile } = caseWith(lane, place, volts);
      const states = laneSegments(caseFile, lane).map(({ state }) => state);
      const band = soundSupply(lane, {
        profile: caseFile.profile,
        battery: 'stopped',
      });
      // One reading finds no fault between two others, and a wire without a fixed voltage is not judged by one.
      expect(states).not.toContain('faulty');
      if (!band) expect(states.every((state) => state === 'unknown')).toBe(true);
      const bad = findingsIn(caseFile).findings.some(({ code }) =>
        /: (?:low|missing|high|raised|floating)$/u.test(code),
      );
      if (bad) expect(states, `${lane} ${place} ${volts.toFixed(2)} V`).not.toContain('proven');
    }
  },
);
