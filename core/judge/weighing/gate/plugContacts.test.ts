import { expect, test } from 'vitest';
import { coded } from '../../../measure/message/coded.ts';
import { exampleCase, EXAMPLE_PROFILE } from '../../checks/exampleCase.ts';
import { bridgedPastPlug, poweredByItself } from '../../isolation/index.ts';
import type { AnyEvidence } from '../../../record/evidence/index.ts';
import { goodSupply, IDLE, looked, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { nextReading } from '../explanation/nextReading.ts';
import { candidatesFor, causeTitle, judge, missingProof, posterior, weigherFor, weighJob } from '../index.ts';
import { decisionsFor } from '../posterior/decisions.ts';
import { wholeGate } from './loneWitness.ts';

const sensor = { family: 'manifold-pressure', profile: EXAMPLE_PROFILE, wires: WIRES } as const;
const alone = poweredByItself({ ...sensor, companion: undefined })!;
let count = 0;
const byItself = (volts: number): AnyEvidence => ({
  kind: 'between',
  id: `alone ${++count}`,
  from: alone.from,
  to: alone.to,
  state: alone.state,
  volts,
});
// Supplied as it should be up to its plug, and silent; the contacts were looked at.
const silent = [...goodSupply(), wire('signal', 'plug', 0.006), wire('signal', 'plug', 0.006, IDLE)];
const judged = (isolation: readonly AnyEvidence[], holds: boolean) => {
  const caseFile = exampleCase(silent, { isolation, observations: [looked('plug-contacts', holds)] });
  return { caseFile, ...judge(weigherFor(caseFile, WIRES), caseFile, WIRES) };
};

test('a sensor that speaks once it is fed past its plug is not condemned: one of the contacts is, whichever', () => {
  const { ranked, named, placeShare, classes, caseFile } = judged([byItself(4.03), byItself(4.03)], false);
  expect(ranked[0]!.decision.id).toMatch(/^wire \S+:plug$/u);
  expect(ranked[0]!.share).toBeLessThan(placeShare);
  expect(named.id).toBe('plug-contacts');
  expect(classes[0]).toMatchObject({ class: 'wire' });
  expect(coded(causeTitle('plug-contacts')!)).toBe('cause.plug-contacts.title');
  const { verdict } = weighJob(caseFile, WIRES);
  expect(verdict).toMatchObject({ decided: true, cause: 'plug-contacts' });
  expect(missingProof('plug-contacts', caseFile, WIRES)).toBeUndefined();
  // One of them by name is more than these readings prove.
  expect(coded(missingProof(ranked[0]!.decision.id, caseFile, WIRES))).toContain('proof.too-little');
});

test('silent by itself as well, it is the sensor', () => {
  const { ranked, named } = judged([byItself(0.004), byItself(0.004)], true);
  expect(ranked[0]!.decision.id).toBe('sensor');
  expect(named).toBe(ranked[0]!.decision);
});

// 4.00 V behind 300 kΩ: 3.88 V on a meter of 10 MΩ, and with the 470 kΩ of the input 2.44 V, wherever those 300 kΩ are.
const weak = [
  ...goodSupply(),
  wire('signal', 'plug', 2.44),
  wire('signal', 'plug', 1.01, IDLE),
  wire('signal', 'plug', 0.003, PLUG_OFF),
];
const bridged = bridgedPastPlug({ ...sensor, companion: undefined })!;
const withAll = (volts: number): AnyEvidence => ({
  ...byItself(volts),
  state: bridged.state,
});
const toGround: AnyEvidence = {
  kind: 'ohms',
  id: 'to ground',
  from: { lane: 'signal', place: 'plug' },
  to: 'battery-negative',
  state: { engine: 'key-off', plug: 'unplugged' },
  ohms: 460_000,
};

test('right by itself and low on its wire: with all contacts bridged a weak output stays, and a contact does not', () => {
  const classesWith = (isolation: readonly AnyEvidence[]) => {
    const caseFile = exampleCase(weak, { isolation, observations: [looked('plug-contacts', true)] });
    const { classes } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
    return (wanted: string) => classes.find((one) => one.class === wanted)?.share ?? 0;
  };
  const before = [toGround, byItself(3.88), byItself(3.88)];
  const stays = classesWith([...before, withAll(2.44), withAll(2.44)]);
  const goes = classesWith([toGround, byItself(4.0), byItself(4.0), withAll(4.0), withAll(4.0)]);
  expect(stays('sensor')).toBeGreaterThan(0.85);
  expect(goes('wire')).toBeGreaterThan(0.5);
  expect(goes('sensor')).toBeLessThan(0.05);
});

const missingFor = (id: string, readings: typeof weak, isolation: readonly AnyEvidence[], holds: boolean) => {
  const on = exampleCase(readings, { isolation, observations: [looked('plug-contacts', holds)] });
  const weighed = weigherFor(on, WIRES).caseOf(on);
  const decisions = decisionsFor(weighed.hypotheses);
  const decision = decisions.all.find((one) => one.id === id)!;
  return wholeGate(decision, weighed, posterior(weighed), decisions, on, WIRES)
    .filter(({ state }) => state === 'missing')
    .map(({ label }) => coded(label));
};

test('a contact that was looked at and found good is not named before all of them were bridged', () => {
  const missing = (isolation: readonly AnyEvidence[], holds: boolean) =>
    missingFor('wire return:plug', weak, isolation, holds);
  expect(missing([byItself(3.88)], true)).toContain('gate.contacts-bridged');
  expect(missing([byItself(3.88), withAll(4.0)], true)).not.toContain('gate.contacts-bridged');
  expect(missing([byItself(3.88)], false)).not.toContain('gate.contacts-bridged');
});

test('nor is a sensor that is right past its plug condemned by a look at its contacts', () => {
  // 15 kΩ somewhere before an input that its maker pulls down with 15 kΩ: a meter of 10 MΩ sees nothing of them.
  const halved = [
    ...goodSupply(),
    wire('signal', 'plug', 2.0),
    wire('signal', 'plug', 0.83, IDLE),
    wire('signal', 'plug', 0.003, PLUG_OFF),
  ];
  const missing = (...isolation: AnyEvidence[]) =>
    missingFor('sensor', halved, [{ ...toGround, ohms: 15_000 }, ...isolation], true);
  expect(missing()).toContain('gate.past-its-contacts');
  expect(missing(byItself(3.99), byItself(3.99))).toContain('gate.contacts-bridged');
  expect(missing(byItself(3.99), byItself(3.99), withAll(2), withAll(2))).not.toContain(
    'gate.contacts-bridged',
  );
});

test('feeding it past its plug is thought of where an ohmmeter tells nothing, and for no track', () => {
  const candidate = { target: { kind: 'between', from: alone.from, to: alone.to }, state: alone.state };
  expect(candidatesFor(sensor, WIRES)).toContainEqual(candidate);
  const ofTrack = candidatesFor({ ...sensor, family: 'pedal' }, WIRES);
  expect(ofTrack).not.toContainEqual(candidate);
  // What its contacts do to it, bridging all of them tells of either.
  const all = { target: candidate.target, state: bridged.state };
  for (const candidates of [candidatesFor(sensor, WIRES), ofTrack]) expect(candidates).toContainEqual(all);
  const caseFile = exampleCase(silent);
  const judgement = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  const shown = (leads: number) =>
    nextReading(
      judgement.suggestions.find(({ candidate: one }) => one.state.harness?.attachments.length === leads)!,
      judgement.decisions,
      caseFile,
    );
  expect(coded(shown(2).how)).toBe('weighing.feed-sensor-past-its-plug');
  expect(coded(shown(3).how)).toBe('weighing.bridge-all-contacts');
  for (const leads of [2, 3]) expect(coded(shown(leads).cautions)).toContain('isolation.by-itself-caution');
});
