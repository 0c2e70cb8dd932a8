import { expect, test } from 'vitest';
import { exampleCase, EXAMPLE_PROFILE, THROTTLE_PROFILE } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { poweredByItself } from '../../isolation/index.ts';
import type { AnyEvidence } from '../../../record/evidence/index.ts';
import { goodSupply, IDLE, looked, wire, WIRES } from '../exampleWeighing.ts';
import { judge, missingProof, weigherFor, weighJob } from '../index.ts';
import { coded } from '../../../measure/message/coded.ts';

type Readings = CaseFile['readings'][number][];
// A supply lost in the plug’s own contacts may leave the output standing anywhere: they were looked at.
const LOOKS = ['part-number', 'hose', 'plug-contacts', 'code-fed'] as const;
const part = { observations: LOOKS.map((look) => looked(look, true)) };
const sensor = { family: 'manifold-pressure', profile: EXAMPLE_PROFILE, wires: WIRES } as const;
const { from, to, state } = poweredByItself(sensor)!;
/** The same as with the plug on: whatever the contacts do, it is in the sensor. */
const PAST_ITS_CONTACTS: readonly AnyEvidence[] = [
  { kind: 'between', id: 'past its plug', from, to, state, volts: 2.2 },
];
const judged = (readings: Readings, isolation: readonly AnyEvidence[] = []) => {
  const caseFile = exampleCase(readings, { ...part, isolation });
  return judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
};
const missing = (readings: Readings, isolation: readonly AnyEvidence[] = []) =>
  judged(readings, isolation)
    .gate.filter(({ state }) => state !== 'proven')
    .map(({ label }) => coded(label));

// At idle it may be right; at rest it is not, says one reading.
const stuck = [...goodSupply(), wire('signal', 'plug', 2.2), wire('signal', 'plug', 2.2, IDLE)];

const PAST = 'gate.past-its-contacts';
const AGAIN = 'gate.read-again{target: target.wire{lane: lane.signal, place: place.plug}}';

test('what would condemn a sensor alone is read a second time, and asked for first', () => {
  const { ranked, verdict, suggestions } = judged(stuck);
  expect(ranked[0]!.decision.id).toBe('sensor');
  expect(verdict).toBe('open');
  expect(missing(stuck)).toEqual([AGAIN, PAST]);
  expect(suggestions[0]!.candidate).toMatchObject({
    target: { kind: 'wire', lane: 'signal', place: 'plug' },
    state: { engine: 'koeo', plug: 'connected' },
  });
  const caseFile = exampleCase(stuck, part);
  expect(coded(missingProof('sensor', caseFile, WIRES))).toContain(AGAIN);
  const { next, verdict: said } = weighJob(caseFile, WIRES);
  expect(said.decided).toBe(false);
  expect(coded(next[0]!.why)).toBe(`weighing.before-part-named{item: ${AGAIN}}`);
});

test('read twice it stands; read otherwise the second time, neither does', () => {
  const again = [...stuck, wire('signal', 'plug', 2.2)];
  expect(missing(again)).toEqual([PAST]);
  expect(judged(again).classes[0]).toMatchObject({ class: 'sensor' });
  const otherwise = judged([...stuck, wire('signal', 'plug', 4.04)]);
  expect(otherwise.classes.find((one) => one.class === 'sensor')!.share).toBeLessThan(0.5);
});

test('two readings that say the same from two sides need no third', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', 4.4),
    wire('signal', 'unit', 4.4),
    wire('signal', 'plug', 2.1, IDLE),
    wire('signal', 'unit', 2.1, IDLE),
  ];
  expect(missing(readings).join()).not.toContain('gate.read-again');
});

test('a look at its contacts alone clears no sensor of them: it is fed past its plug before it is condemned', () => {
  const again = [...stuck, wire('signal', 'plug', 2.2)];
  expect(missing(again)).toEqual([PAST]);
  const { suggestions, verdict } = judged(again);
  expect(verdict).toBe('open');
  expect(suggestions[0]).toMatchObject({ candidate: { target: { kind: 'between', from, to }, state } });
  expect(missing(again, PAST_ITS_CONTACTS)).toEqual([]);
  expect(judged(again, PAST_ITS_CONTACTS).classes[0]).toMatchObject({ class: 'sensor' });
  // Right by itself, it was not the sensor after all.
  const right = PAST_ITS_CONTACTS.map((one) => ({ ...one, volts: 4.04 }));
  expect(judged(again, right).classes.find((one) => one.class === 'sensor')!.share).toBeLessThan(0.5);
});

test('nor a track: it is not sure enough before the ohms across its own pins are read', () => {
  const FULL = { engine: 'koeo', plug: 'connected', stimulus: { kind: 'full-travel' } } as const;
  const dead = [
    ...goodSupply(),
    wire('signal', 'plug', 0.004),
    wire('signal', 'plug', 0.005),
    wire('signal', 'plug', 0.004, FULL),
    wire('signal', 'unit', 0.004),
  ];
  const across = (ohms: number | null): AnyEvidence => ({
    kind: 'ohms',
    id: `${ohms}`,
    from: { lane: 'reference', place: 'pin' },
    to: { lane: 'signal', place: 'pin' },
    state: { engine: 'key-off', plug: 'unplugged' },
    ohms,
  });
  const on = (isolation: readonly AnyEvidence[]) => {
    const caseFile = exampleCase(dead, { family: 'throttle', profile: THROTTLE_PROFILE, ...part, isolation });
    const { classes, shareToName, suggestions } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
    const sensor = classes.find((one) => one.class === 'sensor')!.share;
    return { sensor, isSure: sensor >= shareToName, suggestions };
  };
  const before = on([]);
  expect(before.isSure).toBe(false);
  expect(before.suggestions.map(({ candidate }) => candidate.target.kind)).toContain('ohms');
  expect(on([across(null)]).isSure).toBe(true);
  // Whole by itself, it was not the sensor after all.
  expect(on([across(1400)]).sensor).toBeLessThan(0.1);
});
