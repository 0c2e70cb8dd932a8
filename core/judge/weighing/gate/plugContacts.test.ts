import { expect, test } from 'vitest';
import { coded } from '../../../measure/message/coded.ts';
import { exampleCase, EXAMPLE_PROFILE } from '../../checks/exampleCase.ts';
import { poweredByItself } from '../../isolation/index.ts';
import type { AnyEvidence } from '../../../record/evidence/index.ts';
import { goodSupply, IDLE, looked, wire, WIRES } from '../exampleWeighing.ts';
import { nextReading } from '../explanation/nextReading.ts';
import { candidatesFor, causeTitle, judge, missingProof, weigherFor, weighJob } from '../index.ts';

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

test('feeding it past its plug is thought of where an ohmmeter tells nothing, and for no track', () => {
  const candidate = { target: { kind: 'between', from: alone.from, to: alone.to }, state: alone.state };
  expect(candidatesFor(sensor, WIRES)).toContainEqual(candidate);
  expect(
    candidatesFor({ ...sensor, family: 'pedal' }, WIRES).some(
      ({ state }) => state.harness?.attachments.length,
    ),
  ).toBe(false);
  const caseFile = exampleCase(silent);
  const judgement = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  const suggestion = judgement.suggestions.find(
    ({ candidate: one }) => one.state.harness?.attachments.length,
  )!;
  const shown = nextReading(suggestion, judgement.decisions, caseFile);
  expect(coded(shown.how)).toBe('weighing.feed-sensor-past-its-plug');
  expect(coded(shown.cautions)).toContain('isolation.by-itself-caution');
});
