import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import type { MachineState } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { goodSupply, IDLE, KOEO, looked, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { causeTitle, costOfGuessing, NO_WHAT_IF, weighInStages, weighJob, type WhatIf } from '../index.ts';
import { coded } from '../../../measure/message/coded.ts';

type Reading = ReturnType<typeof wire>;
const weighed = (readings: readonly Reading[], over: Partial<CaseFile> = {}, whatIf: Partial<WhatIf> = {}) =>
  coded(weighJob(exampleCase([...readings], over), WIRES, { ...NO_WHAT_IF, ...whatIf }));
const shareOf = ({ causes }: ReturnType<typeof weighed>, cause: string) =>
  causes.find((one) => one.cause === cause)?.share ?? 0;

test('nothing read: no ranking, but a first reading with its reason, its answers and its caution', () => {
  const { causes, verdict, next, gate } = weighed([]);
  expect(causes).toEqual([]);
  expect(gate).toEqual([]);
  expect(verdict).toEqual({ decided: false, sentence: 'proof.nothing-read' });
  expect(next).toHaveLength(3);
  for (const { title, how, answers, minutes } of next) {
    expect(title).not.toEqual(how);
    expect(minutes).toBeGreaterThan(0);
    expect(answers.length).toBeGreaterThan(0);
    for (const { probability } of answers) expect(probability).toBeGreaterThan(0.02);
  }
});

test('the stages come in order: ranking, what to read next, reasons', () => {
  const stages = [...weighInStages(exampleCase([wire('signal', 'plug', 4.6)]), WIRES)].filter(
    (stage) => stage !== undefined,
  );
  expect(stages.map(({ stage }) => stage)).toEqual(['ranked', 'ranked', 'next', 'reasons']);
  expect(stages[0]!.next).toEqual([]);
  expect(stages[1]!.next.length).toBeGreaterThan(0);
  expect(stages[2]!.causes[0]!.speaksFor).toEqual([]);
  expect(stages[3]!.causes[0]!.speaksFor.length).toBeGreaterThan(0);
  // Only words are added: the weights stand from the first.
  expect(stages[3]!.causes.map(({ share }) => share)).toEqual(stages[0]!.causes.map(({ share }) => share));
});

test('what speaks for a cause and against its rivals is said with what each would show', () => {
  const { causes } = weighed([
    wire('signal', 'plug', 0.02),
    wire('reference', 'plug', 0.02),
    wire('reference', 'unit', 4.99),
    wire('return', 'plug', 0.006),
  ]);
  const [leader] = causes;
  expect(leader!.lanes).toContain('reference');
  expect(leader!.speaksFor.map(({ sentence }) => sentence).join(' ')).toContain(
    '{reading: weighing.reading{target: target.wire{lane: lane.reference, place: place.plug}, value: 0.02 V, state: [engine.koeo, plug.connected]}, ',
  );
  expect(leader!.speaksFor[0]!.strength).not.toBe('some');
  for (const { speaksFor, speaksAgainst } of causes) {
    expect(speaksFor.every(({ factor }) => factor > 1)).toBe(true);
    expect(speaksAgainst.every(({ factor }) => factor < 1)).toBe(true);
  }
});

test('where nothing would change the mind, what is still to be shown is asked for, not nothing', () => {
  const scan = (value: number, state: MachineState) =>
    ({ kind: 'scan', id: `s${value}`, state, measures: 'absolute-pressure', value }) as const;
  const PUMPED: MachineState = { ...KOEO, stimulus: { kind: 'pump', kpaAboveAmbient: -65 } };
  // Sound in all that was read, and the reference never was.
  const job = exampleCase(
    [
      wire('signal', 'plug', 4.039),
      wire('signal', 'plug', 1.244, IDLE),
      scan(29, IDLE),
      wire('return', 'plug', 0.0061),
      scan(101, KOEO),
      wire('signal', 'plug', 0.008, PLUG_OFF),
      wire('signal', 'plug', 1.505, PUMPED),
    ],
    { ambient: { pressureKpaAbs: 100.9, expandedUncertaintyKpa: 0.3, source: 'barometer' } },
  );
  const { verdict, gate, next } = weighJob(job, WIRES);
  expect(verdict.decided).toBe(false);
  expect(gate.filter(({ state }) => state !== 'proven')).toHaveLength(1);
  expect(next[0]?.target).toEqual({ kind: 'wire', lane: 'reference', place: 'plug' });
});

// Common practice: said aloud, “the return cannot be open: the signal would sit high”.
test('why a supposed cause cannot be is said, whatever its weight', () => {
  const readings = [...goodSupply(), wire('signal', 'plug', 4), wire('signal', 'plug', 1.35, IDLE)];
  const supposed = weighed(readings, {}, { suppose: 'wire return:first' });
  const cause = supposed.causes.find((one) => one.cause === 'wire return:first');
  expect(cause!.share).toBeLessThan(0.05);
  expect(weighed(readings).causes.some((one) => one.cause === 'wire return:first')).toBe(cause!.share > 0.01);
  expect(cause!.speaksAgainst.map(({ sentence }) => sentence).join(' ')).toContain(
    'weighing.with-this-it-would-be',
  );
});

test('one reading against the others is named, and asked for again', () => {
  const odd = wire('return', 'plug', 4.1);
  const { doubtful, verdict } = weighed([
    odd,
    wire('reference', 'plug', 4.99),
    wire('signal', 'plug', 4),
    wire('signal', 'unit', 4),
    wire('signal', 'plug', 1.35, IDLE),
  ]);
  expect(doubtful.map(({ readingId }) => readingId)).toEqual([odd.id]);
  expect(doubtful[0]!.sentence).toMatch(
    /^weighing\.does-not-go-other-take\{reading: weighing\.reading\{target: target\.wire\{lane: lane\.return, place: place\.plug\}, value: 4\.1 V, .*others: 4, kind: wire\}$/u,
  );
  expect(verdict.decided).toBe(false);
});

test('a reading struck out, a circumstance and a supposed fault move the weights; the record is untouched', () => {
  const against = wire('reference', 'plug', 4.99);
  const readings = [wire('signal', 'plug', 4.6), against];
  const before = weighed(readings);
  expect(weighed(readings, {}, { without: [against.id] })).not.toEqual(before);
  const replaced = weighed(readings, {}, { starting: { circumstances: ['sensor-replaced'], priors: {} } });
  expect(shareOf(replaced, 'sensor')).toBeLessThan(shareOf(before, 'sensor'));
  const damaged = weighed(
    [wire('signal', 'plug', 0.02)],
    {},
    { starting: { circumstances: ['loom-damaged'], priors: {} } },
  );
  const wires = (view: ReturnType<typeof weighed>) =>
    view.causes.filter((one) => one.class === 'wire').reduce((sum, { share }) => sum + share, 0);
  expect(wires(damaged)).toBeGreaterThan(wires(weighed([wire('signal', 'plug', 0.02)])));
  expect(weighed(readings)).toEqual(before);
});

test('a look counts: a green plug speaks for the contact, a sound hose against the hose', () => {
  const unsure = [...goodSupply(), wire('signal', 'plug', 0.02), wire('signal', 'plug', 0.02, PLUG_OFF)];
  const contact = (holds: boolean) =>
    shareOf(
      weighed(unsure, { observations: [looked('plug-contacts', holds)] }, { suppose: 'wire signal:plug' }),
      'wire signal:plug',
    );
  expect(contact(false)).toBeGreaterThan(5 * contact(true));
  const low = [...goodSupply(), wire('signal', 'plug', 4), wire('signal', 'plug', 2.6, IDLE)];
  const hose = (holds: boolean) =>
    shareOf(weighed(low, { observations: [looked('hose', holds)] }, { suppose: 'hose' }), 'hose');
  expect(hose(false)).toBeGreaterThan(3 * hose(true));
});

test('a reading on a wire that the body does not have, twice the same, or none that is possible: no crash, no certainty', () => {
  const strange = [
    wire('battery-feed', 'plug', 12.4),
    wire('signal', 'plug', 60),
    wire('signal', 'plug', 60),
    wire('reference', 'plug', -25),
  ];
  const { causes } = weighed(strange);
  expect(causes.every(({ share }) => Number.isFinite(share))).toBe(true);
  expect(causes[0]!.share).toBeLessThan(0.9);
});

test('where the bias of the input is not known, neither level with the plug off accuses anybody', () => {
  const unknown = { profile: { ...exampleCase([]).profile, bias: 'unknown' as const } };
  const sound = [...goodSupply(), wire('signal', 'plug', 4), wire('signal', 'plug', 1.35, IDLE)];
  for (const volts of [0.01, 4.9]) {
    const { causes } = weighed([...sound, wire('signal', 'plug', volts, PLUG_OFF)], unknown);
    expect(causes[0]!.cause).toBe('nothing');
  }
});

test('readings with something attached are weighed with it: a known voltage that arrives clears the wire', () => {
  const fed = {
    ...PLUG_OFF,
    harness: {
      attachments: [{ kind: 'voltage-source', at: { lane: 'signal', place: 'plug' }, volts: 1.6 } as const],
      neighboursOff: [],
      wiggled: false,
    },
  };
  // Common practice: once it makes live data follow, wire, input and unit are proven.
  const dead = [...goodSupply(), wire('signal', 'plug', 0.02)];
  const followed = { kind: 'scan', id: 's1', measures: 'absolute-pressure', value: 38, state: fed } as const;
  const before = weighed(dead);
  const after = weighed(dead, { isolation: [followed] });
  expect(shareOf(after, 'sensor')).toBeGreaterThan(shareOf(before, 'sensor'));
  expect(shareOf(after, 'wire-to-ground signal')).toBeLessThan(
    0.2 * shareOf(before, 'wire-to-ground signal'),
  );
});

test('causes recorded before the circuit was reasoned with keep their titles', () => {
  expect(coded(causeTitle('reference-open'))).toBe('earlier-cause.reference-open.title');
  expect(coded(causeTitle('wire reference:second'))).toBe(
    'cause.wire.title{wires: [lane.reference], joint: joint.second}',
  );
  expect(causeTitle('gremlins')).toBeUndefined();
  expect(causeTitle('wire gremlin:first')).toBeUndefined();
});

// By hand: 30 % of (200 + half an hour at 80) is 72; five minutes at 80 are 6.67.
test('the cost of guessing against one more reading', () => {
  const guess = { share: 0.7, partCost: 200, hourCost: 80, fittingMinutes: 30, readingMinutes: 5 };
  expect(costOfGuessing(guess).lostByGuessing).toBeCloseTo(72, 9);
  expect(costOfGuessing(guess).readingCost).toBeCloseTo(6.667, 2);
  expect(costOfGuessing(guess).readFirst).toBe(true);
  expect(costOfGuessing({ ...guess, share: 0.99, readingMinutes: 60 }).readFirst).toBe(false);
});
