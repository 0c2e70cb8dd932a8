import { expect, test } from 'vitest';
import { FAULT_KINDS } from '../../../machine/fault/index.ts';
import { exampleCase, EXAMPLE_PROFILE } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { poweredByItself } from '../../isolation/index.ts';
import { wiringFor } from '../../../machine/wiring/index.ts';
import type { AnyEvidence } from '../../../record/evidence/index.ts';
import type { MachineState } from '../../../machine/places/index.ts';
import { goodSupply, IDLE, KOEO, looked, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import {
  candidatesFor,
  decisionsFor,
  decisionShares,
  hypothesesFor,
  judge,
  minutesFor,
  missingProof,
  titleOf,
  weigherFor,
  type Candidate,
} from '../index.ts';
import { NEIGHBOURS_OFF, toGround } from '../outlook/candidates.ts';
import { gateItems } from './gate.ts';
import { worthOf } from '../outlook/foresight.ts';
import { METER_SCALE, OHMS_SCALE } from '../prediction/scales.ts';
import { coded } from '../../../measure/message/coded.ts';

type Reading = ReturnType<typeof wire>;
const judged = (readings: readonly Reading[], over: Partial<CaseFile> = {}, reaches = {}) => {
  const caseFile = exampleCase([...readings], over);
  return judge(weigherFor(caseFile, WIRES), caseFile, WIRES, reaches);
};
const wordsOf = ({ target, state }: Candidate) =>
  `${target.kind === 'wire' ? `${target.lane} ${target.place}` : target.kind} ${state.engine} ${state.plug}${state.stimulus ? ` ${state.stimulus.kind}` : ''}`;

test('hypotheses that lead to the same work at the same place are one decision; every one leads to one', () => {
  const wiring = wiringFor({ profile: exampleCase([]).profile, wires: WIRES });
  const hypotheses = hypothesesFor({ family: 'manifold-pressure', wiring });
  const { all, of } = decisionsFor(hypotheses);
  expect(all.flatMap(({ members }) => [...members]).sort((a, b) => a - b)).toEqual(
    hypotheses.map((_, h) => h),
  );
  const decisionOf = (id: string) => all[of[hypotheses.findIndex((one) => one.id === id)]!]!.id;
  expect(decisionOf('wire-open signal:first')).toBe(decisionOf('wire-high-resistance signal:first'));
  expect(decisionOf('wire-open signal:first')).not.toBe(decisionOf('wire-open signal:second'));
  expect(decisionOf('sensor-stuck element')).toBe(decisionOf('sensor-shifted up'));
  expect(decisionOf('wires-together signal+return')).toBe(decisionOf('wire-to-ground signal'));
  expect(decisionOf('unit-pin-open reference')).toBe(decisionOf('unit-gives-no-reference rail:0'));
  expect(new Set(all.map(({ id }) => coded(titleOf(id)))).size).toBe(all.length);
  const shares = decisionShares(
    { all, of },
    Float64Array.from(hypotheses, ({ prior }) => prior),
  );
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
});

test('a sensor is not decided on before its supply and return are read good at the plug, loaded', () => {
  const shifted = [wire('signal', 'plug', 4.6), wire('signal', 'plug', 1.95, IDLE)];
  const early = judged(shifted);
  expect(early.ranked[0]!.decision.id).toBe('sensor');
  expect(early.verdict).toBe('open');
  expect(early.gate.slice(0, 3).map(({ state }) => state)).toEqual(['missing', 'missing', 'proven']);
  const proven = judged([...shifted, ...goodSupply()], { observations: [looked('part-number', true)] });
  expect(proven.ranked[0]!.decision.id).toBe('sensor');
  expect(proven.gate.every(({ state }) => state === 'proven')).toBe(true);
  // What stands between the leader and its verdict is asked for first, once it leads clearly.
  expect(missingProof('sensor', exampleCase(shifted), WIRES)).toMatchObject({ code: 'proof.too-little' });
});

test('a supply that is bad refutes the gate; one that comes back with the plug off is pulled down by the sensor', () => {
  const low = [wire('reference', 'plug', 1.2), wire('return', 'plug', 0.006), wire('signal', 'plug', 0.8)];
  const gateOf = (readings: readonly Reading[]) =>
    judged(readings).gate.map(({ label, state }) => `${coded(label)}: ${state}`);
  const loaded = judged([...low, wire('reference', 'plug', 4.99, PLUG_OFF), wire('reference', 'unit', 1.3)]);
  expect(loaded.ranked[0]!.decision.id).toBe('sensor');
  expect(loaded.gate.map(({ state }) => state)).toEqual(['proven', 'proven', 'proven']);
  const raised = [...goodSupply().slice(0, 1), wire('return', 'plug', 0.4), wire('signal', 'plug', 4.9)];
  expect(gateOf(raised)).toContain('gate.good-at-plug{lane: lane.return}: refuted');
});

// Low at the unit's own terminal with everything else off: a dead supply, or a wire that is held down.
test('a unit is not blamed for its reference before an ohmmeter found nothing that holds the wire down', () => {
  const readings = [
    wire('reference', 'plug', 1.6),
    wire('reference', 'plug', 1.62, PLUG_OFF),
    wire('reference', 'unit', 1.61),
  ];
  const othersOff = wire('reference', 'plug', 1.61, NEIGHBOURS_OFF);
  const { target, state } = toGround('reference');
  const with_ = (...ohms: number[]) =>
    judged(readings, {
      isolation: [
        othersOff,
        ...ohms.map((value) => ({ ...target, id: 'ohms', state, ohms: value }) as AnyEvidence),
      ],
    });
  const before = with_();
  expect(before.ranked[0]!.decision.id).toBe('unit-gives-no-reference rail:0');
  expect(before.verdict).toBe('open');
  expect(before.suggestions[0]!.candidate).toEqual(toGround('reference'));
  const dead = with_(2200);
  expect(dead.ranked[0]!.decision.id).toBe('unit-gives-no-reference rail:0');
  expect(dead.gate.map(({ state: is }) => is)).toEqual(['proven', 'proven', 'proven']);
  expect(with_(12).classes[0]!.class).toBe('wire');
});

// Sound units are found with 4.86 V: a number that is a little off is no reason to open one.
test.each([4.86, 5.15])('no unit is condemned for a supply of %d V', (volts) => {
  const { target, state } = toGround('reference');
  const found = judged(
    [
      wire('reference', 'plug', volts),
      wire('reference', 'plug', volts, PLUG_OFF),
      wire('reference', 'unit', volts),
    ],
    {
      isolation: [
        wire('reference', 'plug', volts, NEIGHBOURS_OFF),
        { ...target, id: 'ohms', state, ohms: 2200 } as AnyEvidence,
      ],
    },
  );
  const unit = found.ranked.find(({ decision }) => decision.id === 'unit-gives-no-reference rail:0')!;
  expect(found.verdict === 'decided' && found.ranked[0] === unit).toBe(false);
  const items = gateItems(unit.decision, exampleCase([wire('reference', 'unit', volts)]), WIRES);
  expect(items.map(({ label, state: is }) => `${coded(label)}: ${is}`)).toContain(
    'gate.supply-well-off{lane: lane.reference}: refuted',
  );
});

test('no wire touches ground before an ohmmeter said so', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', 0.02),
    wire('signal', 'unit', 0.02),
    wire('signal', 'plug', 0.02, IDLE),
  ];
  const alone = poweredByItself({ family: 'manifold-pressure', profile: EXAMPLE_PROFILE, wires: WIRES })!;
  const byItself = { kind: 'between', id: 'alone', ...alone, volts: 3.98 } as const;
  const { target, state } = toGround('signal');
  const with_ = (...ohms: number[]) =>
    judged(readings, {
      observations: [looked('plug-contacts', true)],
      isolation: [
        byItself,
        { ...byItself, id: 'again' },
        ...ohms.map((value, i) => ({ ...target, id: `ohms ${i}`, state, ohms: value }) as AnyEvidence),
      ],
    });
  const touching = with_(3, 3);
  expect(touching.ranked[0]!.decision.id).toBe('wire-to-ground signal');
  expect(touching.verdict).toBe('decided');
  const unread = with_();
  expect(unread.verdict).not.toBe('decided');
  expect(unread.suggestions.map(({ candidate }) => candidate)).toContainEqual(toGround('signal'));
});

test('a wire is decided on between two readings of it, and the connector halves it', () => {
  const lost = [
    wire('signal', 'plug', 0.01),
    wire('reference', 'plug', 0.02),
    wire('reference', 'unit', 4.99),
    wire('return', 'plug', 0.006),
  ];
  const before = judged(lost);
  expect(before.verdict).toBe('open');
  expect(before.suggestions.slice(0, 3).map(({ candidate }) => wordsOf(candidate))).toContain(
    'reference connector koeo connected',
  );
  const found = judged([...lost, wire('reference', 'connector', 4.98)]);
  expect(found.ranked[0]!.decision.id).toBe('wire reference:second');
  expect(
    missingProof(
      'wire reference:second',
      exampleCase([...lost, wire('reference', 'connector', 4.98)]),
      WIRES,
    ),
  ).toBeUndefined();
});

test('nothing is called wrong-free while a recording shows a fault, and no cause is proven from nothing', () => {
  const scan = (value: number, state: MachineState) =>
    ({ kind: 'scan', id: `s${value}`, state, measures: 'absolute-pressure', value }) as const;
  const all = [
    ...goodSupply(),
    wire('signal', 'plug', 4),
    wire('signal', 'plug', 1.35, IDLE),
    wire('signal', 'plug', 0.008, PLUG_OFF),
    // Two places of the pump: what sticks on its way shows at one of them.
    wire('signal', 'plug', 2.44, { ...KOEO, stimulus: { kind: 'pump', kpaAboveAmbient: -40 } }),
    wire('signal', 'plug', 1.66, { ...KOEO, stimulus: { kind: 'pump', kpaAboveAmbient: -60 } }),
    scan(100, KOEO),
    scan(32, IDLE),
    { kind: 'gauge', id: 'g', tap: 'manifold', pressureKpa: 67.5, basis: 'vacuum', state: IDLE } as const,
  ];
  expect(missingProof('nothing', exampleCase(all), WIRES)).toBeUndefined();
  const fault = {
    kind: 'dropout',
    weight: 'fault',
    sentence: { code: 'sweep.the-signal' },
    channel: 0,
    fromSeconds: 1,
    untilSeconds: 2,
  } as const;
  const sweeps = [{ name: 'Slow', uses: ['signal'], findings: [fault] }] as const;
  expect(coded(missingProof('nothing', exampleCase(all, { sweeps }), WIRES))).toBe(
    'proof.something-wrong{remark: checks.recorded-in{names: [sweep.named{name: “Slow”}], sentence: sweep.the-signal}}',
  );
  expect(coded(missingProof('nothing', exampleCase([]), WIRES))).toBe('proof.nothing-read');
  expect(coded(missingProof('gremlins', exampleCase(all), WIRES))).toBe(
    'proof.no-cause{title: cause.unknown{name: “gremlins”}}',
  );
});

test('what was read is not asked for again, nor what is out of reach', () => {
  const [first] = judged([]).suggestions;
  expect(wordsOf(first!.candidate)).toMatch(/plug/u);
  const readings = [wire('signal', 'plug', 4)];
  const asked = judged(readings, {}, { unit: 'out-of-reach', connector: 'out-of-reach' }).suggestions.map(
    ({ candidate }) => wordsOf(candidate),
  );
  expect(asked).not.toContain('signal plug koeo connected');
  expect(asked.filter((one) => /unit|connector/u.test(one))).toEqual([]);
});

test('information is never less than nothing, nor more than the doubt', () => {
  const { suggestions, ranked } = judged([wire('signal', 'plug', 0.02)]);
  const doubt = ranked.reduce((sum, { share }) => (share > 0 ? sum - share * Math.log2(share) : sum), 0);
  for (const { bits, mayChangeTheMind, foresight } of suggestions) {
    expect(bits).toBeGreaterThan(-1e-9);
    expect(bits).toBeLessThan(doubt);
    expect(mayChangeTheMind).toBeGreaterThanOrEqual(0);
    expect(mayChangeTheMind).toBeLessThanOrEqual(1 + 1e-9);
    const sum = foresight.joint.reduce((total, row) => total + row.reduce((a, b) => a + b, 0), 0);
    expect(sum).toBeGreaterThan(0.99);
    expect(sum).toBeLessThan(1.0001);
  }
});

// By hand: two even causes, and an answer that tells them apart without fail is one bit; one that is the same for both, none.
test('worth by hand', () => {
  const scale = { steps: 2, stepOf: (step: number) => step, readAt: (step: number) => step };
  const row = (...weights: number[]) => Float64Array.from(weights);
  expect(worthOf({ scale, joint: [row(0.5, 0), row(0, 0.5)] }).bits).toBeCloseTo(1, 12);
  expect(worthOf({ scale, joint: [row(0.25, 0.25), row(0.25, 0.25)] }).bits).toBeCloseTo(0, 12);
  const leaning = worthOf({ scale, joint: [row(0.6, 0.1), row(0.05, 0.25)] });
  expect(leaning.mayChangeTheMind).toBeCloseTo(0.35, 12);
});

test('minutes count set-up once, and what is awkward more', () => {
  const at = (lane: 'signal', place: 'unit' | 'plug', state = KOEO): Candidate => ({
    target: { kind: 'wire', lane, place },
    state,
  });
  const taken = [wire('signal', 'plug', 4)];
  expect(minutesFor(at('signal', 'unit'), [])).toBeGreaterThan(minutesFor(at('signal', 'plug'), []));
  expect(minutesFor(at('signal', 'plug', IDLE), taken)).toBeGreaterThan(
    minutesFor(at('signal', 'plug'), taken),
  );
  expect(minutesFor(at('signal', 'unit'), [...taken, wire('signal', 'unit', 4)])).toBe(1);
  expect(minutesFor(at('signal', 'unit'), taken, { unit: 'awkward' })).toBeGreaterThan(15);
});

test('each family is asked only what it has', () => {
  const { profile } = exampleCase([]);
  const kinds = (family: Parameters<typeof candidatesFor>[0]['family']) =>
    candidatesFor({ family, profile }, WIRES).map(({ target }) =>
      target.kind === 'observation' ? target.observation : target.kind,
    );
  expect(kinds('manifold-pressure')).toEqual(expect.arrayContaining(['gauge', 'hose', 'plug-contacts']));
  expect(kinds('pedal')).toEqual(expect.arrayContaining(['sweep', 'arm', 'ohms']));
  expect(kinds('pedal')).not.toContain('hose');
  expect(kinds('air-flow')).toContain('duct');
  expect(kinds('exhaust-flow-differential')).toEqual(
    expect.arrayContaining(['stumbles', 'valve-holds', 'solenoid']),
  );
});

test('scales give back what they are given, to the step that an instrument tells apart', () => {
  for (const volts of [-0.3, 0, 0.004, 0.05, 1.66, 4.99, 12.4])
    expect(Math.abs(METER_SCALE.readAt(METER_SCALE.stepOf(volts)) - volts)).toBeLessThan(
      0.012 + 0.006 * Math.abs(volts),
    );
  for (const ohms of [0, 1, 47, 5000, 2e6])
    expect(OHMS_SCALE.readAt(OHMS_SCALE.stepOf(ohms))).toBeCloseTo(ohms, -Math.log10(0.15 * ohms + 1));
  expect(OHMS_SCALE.readAt(OHMS_SCALE.stepOf(Infinity))).toBe(Infinity);
});

test('every kind of fault has a decision with words and a remedy', () => {
  const wiring = wiringFor({ profile: exampleCase([]).profile, wires: WIRES });
  const ids = decisionsFor(hypothesesFor({ family: 'manifold-pressure', wiring })).all.map(({ id }) => id);
  for (const id of ids) expect(titleOf(id).code).not.toBe('cause.unknown');
  expect(FAULT_KINDS.length).toBeGreaterThan(20);
});
