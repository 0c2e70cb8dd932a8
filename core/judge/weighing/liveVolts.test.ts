import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState } from '../../machine/places/index.ts';
import { exampleCase, THROTTLE_PROFILE } from '../checks/exampleCase.ts';
import type { CaseFile } from '../checks/index.ts';
import { goodSupply, KOEO, PLUG_OFF, wire } from './exampleWeighing.ts';
import { gateItems } from './gate/gate.ts';
import { judge, weigherFor, type Reaches } from './index.ts';
import { liveVoltsLikelihood } from './likelihood/readingLikelihood.ts';

// Live data of the second signal in volts: what nothing but the unit itself can say of its own input.

const PAIR: readonly Lane[] = ['reference', 'signal', 'return', 'second-signal'];
const FULL: MachineState = { ...KOEO, stimulus: { kind: 'full-travel' } };
const mirrored: Partial<CaseFile> = {
  family: 'throttle',
  profile: THROTTLE_PROFILE,
  companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
};
let count = 0;
const live = (volts: number, state: MachineState = KOEO) =>
  ({
    kind: 'live-volts',
    id: `v${++count}`,
    lane: 'second-signal',
    volts,
    state,
  }) as const satisfies AnyEvidence;

/** All wires as they should be, at rest and moved, as far as a meter and the first signal's live data go. */
const sound = [
  ...goodSupply(),
  wire('signal', 'plug', 0.92),
  wire('signal', 'plug', 3.88, FULL),
  wire('second-signal', 'plug', 4.08),
  wire('second-signal', 'plug', 1.12, FULL),
  wire('second-signal', 'unit', 4.08),
];

function judged(readings: readonly AnyEvidence[], reaches: Reaches = {}) {
  const caseFile = exampleCase(readings as CaseFile['readings'][number][], mirrored);
  const { classes, suggestions, ranked, verdict } = judge(
    weigherFor(caseFile, PAIR),
    caseFile,
    PAIR,
    reaches,
  );
  return {
    of: (wanted: string) => classes.find((one) => one.class === wanted)?.share ?? 0,
    leader: ranked[0]!.decision.id,
    verdict,
    asked: suggestions.map(({ candidate }) => candidate.target.kind),
  };
}

test('the volts of the second signal in live data are asked for, and as they should be speak for a unit that reads them', () => {
  const before = judged(sound);
  expect(before.asked).toContain('live-volts');
  // Not of a tool that has none.
  const without = judged(sound, { 'live-volts': 'out-of-reach' }).asked;
  expect(without).not.toContain('live-volts');
  expect(without).toContain('scan');
  const after = judged([...sound, live(4.08), live(1.12, FULL)]);
  expect(after.of('control-unit')).toBeLessThan(before.of('control-unit'));
  expect(after.of('nothing')).toBeGreaterThan(before.of('nothing'));
});

test('whole on the wire at the unit, and nothing in live data, in two positions: the unit does not read it', () => {
  const twice = wire('second-signal', 'unit', 1.12, FULL);
  const found = judged([...sound, twice, live(0), live(0, FULL)]);
  expect(found.leader).toContain('unit');
  expect(found.of('control-unit')).toBeGreaterThan(0.9);
});

test('live data that agrees with a wire that is off tells of the wire, and not of the unit', () => {
  const off = [
    ...goodSupply(),
    wire('signal', 'plug', 0.92),
    wire('second-signal', 'plug', 4.08),
    wire('second-signal', 'unit', 0.02),
    live(0.02),
  ];
  const found = judged(off);
  expect(found.of('wire')).toBeGreaterThan(0.8);
  expect(found.of('control-unit')).toBeLessThan(0.15);
});

test('with the key off nothing is said, and with the plug off only of what is left of the wire', () => {
  const keyOff = live(0, { engine: 'key-off', plug: 'connected' });
  expect(judged([...sound, keyOff]).of('nothing')).toBeCloseTo(judged(sound).of('nothing'), 9);
  const pulledUp = judged([...sound, wire('second-signal', 'unit', 4.98, PLUG_OFF), live(4.98, PLUG_OFF)]);
  expect(pulledUp.of('nothing')).toBeGreaterThan(0.3);
});

test('live data is given up where its own input is: a temperature at other volts than a track', () => {
  const companion = {
    kind: 'temperature',
    thermistor: { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 },
    pullUpOhms: 4700,
  } as const;
  const { circuitHighVolts: high } = THROTTLE_PROFILE;
  const replaced = (lane: 'signal' | 'second-signal', volts: number) =>
    liveVoltsLikelihood({ lane, volts: 2.5 }, THROTTLE_PROFILE, companion).likely(volts, 0);
  // Just past what a track may show, a value in the place of the volts is likely for a track alone.
  expect(replaced('signal', high + 0.02)).toBeGreaterThan(3 * replaced('second-signal', high + 0.02));
  expect(replaced('signal', high - 0.02)).toBeCloseTo(replaced('second-signal', high - 0.02), 12);
});

test('a unit is not blamed for what it showed in one state by its terminal in another', () => {
  const shownMoved = [...sound, live(4.94, FULL), { ...live(4.94, FULL), id: 'again' }];
  const caseFile = exampleCase(shownMoved, mirrored);
  const cause = { of: 'unit-does-not-read', wire: 'second-signal' } as const;
  const items = () => gateItems({ class: 'control-unit', cause }, caseFile, PAIR);
  expect(items()).toMatchObject([
    {
      state: 'missing',
      reading: { target: { kind: 'wire', lane: 'second-signal', place: 'unit' }, state: FULL },
    },
  ]);
  caseFile.readings = [...caseFile.readings, wire('second-signal', 'unit', 1.12, FULL)];
  expect(items()).toMatchObject([{ state: 'proven' }]);
});
