import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState } from '../../machine/places/index.ts';
import { exampleCase, FLOW_PROFILE, THROTTLE_PROFILE } from '../checks/exampleCase.ts';
import type { CaseFile } from '../checks/index.ts';
import { goodSupply, IDLE, KOEO, looked, PLUG_OFF, wire, WIRES } from './exampleWeighing.ts';
import { judge, posterior, weigherFor, weighJob } from './index.ts';

// Cases of the trade, worked by hand (common practice): volts as a technician would note them, and what they come to.

const FULL: MachineState = { ...KOEO, stimulus: { kind: 'full-travel' } };
const HELD: MachineState = { ...KOEO, stimulus: { kind: 'held', percent: 50 } };
const throttle: Partial<CaseFile> = { family: 'throttle', profile: THROTTLE_PROFILE };
const paired: Partial<CaseFile> = {
  ...throttle,
  companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
};
const flow: Partial<CaseFile> = { family: 'air-flow', displacementLitres: 6.8, profile: FLOW_PROFILE };

function sharesOf(readings: readonly AnyEvidence[], over: Partial<CaseFile>, wires: readonly Lane[] = WIRES) {
  const caseFile = exampleCase(readings as CaseFile['readings'][number][], over);
  const { ranked, classes } = judge(weigherFor(caseFile, wires), caseFile, wires);
  return {
    leader: ranked[0]!.decision.id,
    of: (...starts: string[]) =>
      ranked
        .filter(({ decision }) => starts.some((start) => decision.id.startsWith(start)))
        .reduce((sum, { share }) => sum + share, 0),
    classOf: (wanted: string) => classes.find((one) => one.class === wanted)?.share ?? 0,
  };
}

test('two tracks dead together: what they share, not two tracks', () => {
  const wires = [...WIRES, 'second-signal'] as const;
  const dead = [
    wire('signal', 'plug', 0.01),
    wire('second-signal', 'plug', 0.01),
    wire('reference', 'plug', 4.99),
    wire('return', 'plug', 0.006),
  ];
  const found = sharesOf(dead, paired, wires);
  // The feed that both share: at the plug’s contact or behind it, inside the housing.
  expect(found.of('wire reference', 'sensor')).toBeGreaterThan(0.9);
  const { causes } = weighJob(exampleCase(dead, paired), wires);
  expect(causes.flatMap(({ kinds }) => kinds.map(({ name }) => name.code)).join()).not.toMatch(
    /wiper|track/u,
  );
});

test('worked as usual the percent lags, moved by hand at the arm it follows: the linkage', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', 0.92),
    wire('signal', 'plug', 1.6, FULL),
    wire('signal', 'plug', 2.4, HELD),
  ];
  const found = sharesOf(readings, throttle);
  expect(found.leader).toBe('linkage');
  expect(found.of('linkage')).toBeGreaterThan(0.8);
  // Without the hand at the arm it may as well be the sensor.
  expect(sharesOf(readings.slice(0, 4), throttle).classOf('sensor')).toBeGreaterThan(found.classOf('sensor'));
});

test('airflow low with the housing not on its seal: the physical cause first', () => {
  const wires = ['battery-feed', 'signal', 'return'] as const;
  // 3.4 g/s at idle on 6.8 L, where 6.8 to 10.2 would be usual; still air reads right.
  const readings = [
    wire('battery-feed', 'plug', 12.5),
    wire('return', 'plug', 0.006),
    wire('signal', 'plug', 0.95),
    wire('signal', 'plug', 1.64, IDLE),
  ];
  const before = sharesOf(readings, flow, wires);
  const unsealed = sharesOf(readings, { ...flow, observations: [looked('duct', false)] }, wires);
  const sealed = sharesOf(readings, { ...flow, observations: [looked('duct', true)] }, wires);
  expect(unsealed.leader).toBe('unmetered-air');
  expect(unsealed.of('unmetered-air')).toBeGreaterThan(0.5);
  expect(sealed.of('unmetered-air')).toBeLessThan(before.of('unmetered-air'));
});

test('full supply on the signal of a throttle: no return, or the signal touches the reference', () => {
  const found = sharesOf([wire('signal', 'plug', 4.98), wire('reference', 'plug', 4.99)], throttle);
  expect(
    found.of(
      'wire return',
      'wires-together reference+signal',
      'sensor',
      'unit-pin-open return',
      'two-wires-open',
    ),
  ).toBeGreaterThan(0.9);
  expect(found.of('wire signal', 'wire-to-ground')).toBeLessThan(0.05);
  // Still at 5 V with the plug off: it touches. Down to the bias: it was the return.
  const off = (volts: number) =>
    sharesOf(
      [
        wire('signal', 'plug', 4.98),
        wire('reference', 'plug', 4.99),
        wire('signal', 'plug', volts, PLUG_OFF),
      ],
      throttle,
    );
  expect(off(4.98).of('wires-together reference+signal')).toBeGreaterThan(0.6);
  expect(off(0.01).of('wires-together reference+signal')).toBeLessThan(0.05);
});

test('a return that floats lifts everything: the signal would sit high, so a low one speaks against it', () => {
  const high = sharesOf([wire('signal', 'plug', 4.95), wire('return', 'plug', 4.9)], {});
  expect(high.of('wire return', 'unit-pin-open return', 'two-wires-open')).toBeGreaterThan(0.8);
  const low = sharesOf([wire('signal', 'plug', 0.02), wire('reference', 'plug', 4.99)], {});
  expect(low.of('wire return')).toBeLessThan(0.05);
});

test('whatever is read, in whatever order, the shares are the same, lie between 0 and 1 and sum to one', () => {
  const reading = fc.record({
    lane: fc.constantFrom(...WIRES),
    place: fc.constantFrom('unit', 'connector', 'plug'),
    volts: fc.double({ min: -30, max: 60, noNaN: true }),
    state: fc.constantFrom(KOEO, IDLE, PLUG_OFF),
  });
  const weigher = weigherFor(exampleCase([]), WIRES);
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 8 }), (rows) => {
      const readings = rows.map(({ lane, place, volts, state }) => wire(lane, place, volts, state));
      const { shares } = posterior(weigher.caseOf(exampleCase(readings)));
      const { shares: reversed } = posterior(weigher.caseOf(exampleCase(readings.toReversed())));
      const total = shares.reduce((sum, share) => sum + share, 0);
      return (
        Math.abs(total - 1) < 1e-9 &&
        shares.every((share, h) => share >= 0 && share <= 1 && Math.abs(share - reversed[h]!) < 1e-9)
      );
    }),
    { numRuns: 25 },
  );
});
