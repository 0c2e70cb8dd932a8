import { expect, test } from 'vitest';
import {
  isCodeLook,
  OBSERVATION_IDS,
  observationOf,
  observationsFor,
} from '../../record/observation/index.ts';
import { FAMILY_IDS } from '../../machine/family/index.ts';
import { exampleCase } from '../checks/exampleCase.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import { hypothesesFor } from './index.ts';
import { Answers } from './prediction/circuitAnswers.ts';
import { noticedWeights } from './prediction/noticed.ts';
import { observationLikelihood } from './likelihood/observationLikelihood.ts';
import { SWEEP_OUTCOMES, sweepLikelihood, sweepOutcome } from './likelihood/sweepLikelihood.ts';

const { profile } = exampleCase([]);
const pedal = { ...profile, measures: 'position', lowest: 0, highest: 100 } as const;
const wires = ['reference', 'signal', 'return'] as const;
const hypotheses = hypothesesFor({ family: 'pedal', wiring: wiringFor({ profile: pedal, wires }) });
const answers = new Answers({ family: 'pedal', profile: pedal, wires }, hypotheses, 0);

test('every look has two answers and takes its time, for some family', () => {
  for (const id of OBSERVATION_IDS) {
    const { yes, no, minutes } = observationOf(id);
    expect(yes).not.toEqual(no);
    expect(minutes).toBeGreaterThan(0);
    expect(FAMILY_IDS.some((family) => observationsFor(family).some((one) => one.id === id))).toBe(true);
  }
});

test('both answers of a look are certain together, and only what it is for is likelier found than imagined', () => {
  for (const hypothesis of hypotheses)
    for (const id of OBSERVATION_IDS.filter((id) => !isCodeLook(id)))
      expect(
        observationLikelihood(id, true, hypothesis) + observationLikelihood(id, false, hypothesis),
      ).toBeCloseTo(1, 12);
  const of = (id: string) => hypotheses.find((one) => one.id === id)!;
  expect(observationLikelihood('arm', false, of('linkage linkage'))).toBeGreaterThan(0.9);
  expect(observationLikelihood('arm', false, of('nothing'))).toBeLessThan(0.05);
  expect(observationLikelihood('plug-contacts', false, of('wire-open signal:plug'))).toBeGreaterThan(0.8);
  expect(observationLikelihood('plug-contacts', false, of('wire-open signal:first'))).toBeLessThan(0.1);
});

test('a recording shows which tracks drop out; one in which nothing moved shows nothing', () => {
  const of = (
    kinds: readonly { kind: 'dropout' | 'still' | 'travel'; channel: number; position?: number }[],
  ) =>
    sweepOutcome({
      profile: pedal,
      sweeps: [
        {
          name: 'Slow',
          uses: ['signal', 'second-signal'],
          findings: kinds.map(({ kind, channel, position }) => ({
            kind,
            ...(position === undefined ? {} : { position }),
            weight: kind === 'dropout' ? 'fault' : 'note',
            sentence: { code: 'sweep.the-signal' },
            channel,
            fromSeconds: 0,
            untilSeconds: 1,
          })),
        },
      ],
    });
  expect(sweepOutcome({ sweeps: [], profile: pedal })).toBeUndefined();
  expect(of([{ kind: 'still', channel: 0 }])).toBeUndefined();
  expect(of([{ kind: 'travel', channel: 0 }])).toMatchObject({ outcome: '' });
  expect(of([{ kind: 'dropout', channel: 1 }])).toMatchObject({ outcome: '2' });
  expect(
    of([
      { kind: 'dropout', channel: 1 },
      { kind: 'dropout', channel: 0 },
      { kind: 'dropout', channel: 0 },
    ]),
  ).toMatchObject({ outcome: '1 2' });
  // Anywhere: a contact or a wire, which is no word against the track.
  expect(of([10, 70].map((position) => ({ kind: 'dropout', channel: 0, position }) as const))).toMatchObject({
    outcome: '',
  });
  expect(of([41, 42].map((position) => ({ kind: 'dropout', channel: 0, position }) as const))).toMatchObject({
    outcome: '1',
  });
});

test('the outcomes of a recording are all that can be, and a dropout speaks for the dead spot', () => {
  const dead = answers.sized.find(({ hypothesis }) => hypotheses[hypothesis]!.id.startsWith('dead-spot'))!;
  const sound = answers.sized[0]!;
  for (const one of [dead, sound])
    expect(SWEEP_OUTCOMES.reduce((sum, outcome) => sum + sweepLikelihood(outcome, one), 0)).toBeCloseTo(
      1,
      12,
    );
  expect(sweepLikelihood('1', dead) / sweepLikelihood('1', sound)).toBeGreaterThan(30);
  expect(sweepLikelihood('', dead) / sweepLikelihood('', sound)).toBeLessThan(0.1);
});

test('a recording in which it jumps speaks for a sensor that sticks, and for none that stops', () => {
  const of = (id: string) =>
    answers.sized.find(({ hypothesis }) => hypotheses[hypothesis]!.id.startsWith(id))!;
  const sticks = of('sensor-sticks');
  for (const other of [answers.sized[0]!, of('sensor-stops'), of('dead-spot')]) {
    expect(sweepLikelihood('+jumps', sticks) / sweepLikelihood('+jumps', other)).toBeGreaterThan(30);
    expect(sweepLikelihood('', sticks) / sweepLikelihood('', other)).toBeLessThan(8);
  }
  expect(sweepLikelihood('', sticks)).toBeLessThan(0.2 * sweepLikelihood('', answers.sized[0]!));
  const jump = {
    kind: 'jump',
    weight: 'fault',
    sentence: { code: 'sweep.the-signal' },
    channel: 0,
    fromSeconds: 0,
    untilSeconds: 1,
  } as const;
  const sweeps = [{ name: 'Slow', uses: ['signal', 'second-signal'] as const, findings: [jump] }];
  expect(sweepOutcome({ profile: pedal, sweeps })).toMatchObject({ outcome: '+jumps' });
});

test('a recording of one track says nothing of the other', () => {
  const sweeps = [{ name: 'track 1 alone', uses: ['signal'] as const, findings: [] }];
  expect(sweepOutcome({ profile: pedal, sweeps })).toEqual({ outcome: '', tracks: [1] });
  const dead = answers.sized.find(({ hypothesis }) => hypotheses[hypothesis]!.id.startsWith('dead-spot'))!;
  const sound = answers.sized[0]!;
  expect(sweepLikelihood('', dead, [2])).toBe(sweepLikelihood('', sound, [2]));
  expect(sweepLikelihood('', dead, [1])).toBeLessThan(0.1 * sweepLikelihood('', sound, [1]));
});

test('sizes that the unit never notices count little; a break, a dead spot and a loose linkage count in full', () => {
  const weights = noticedWeights(answers, hypotheses, pedal.nominalReferenceVolts, undefined);
  const sumOf = (id: string) =>
    answers.sized.reduce(
      (sum, { hypothesis }, s) => (hypotheses[hypothesis]!.id === id ? sum + weights[s]! : sum),
      0,
    );
  for (const id of ['nothing', 'wire-open signal:first', 'linkage linkage'])
    expect(sumOf(id)).toBeCloseTo(1, 9);
  expect(hypotheses.filter(({ id }) => id.startsWith('dead-spot')).every(({ id }) => sumOf(id) > 0.99)).toBe(
    true,
  );
  expect(sumOf('wire-high-resistance signal:first')).toBeLessThan(0.5);
});

test('sizes lie as close as a meter tells them apart, and those of a hypothesis sum to one', () => {
  const sums = new Map<number, number>();
  for (const { hypothesis, weight } of answers.sized)
    sums.set(hypothesis, (sums.get(hypothesis) ?? 0) + weight);
  for (const sum of sums.values()) expect(sum).toBeCloseTo(1, 9);
  const table = answers.at(
    { kind: 'wire', lane: 'signal', place: 'plug' },
    { engine: 'koeo', plug: 'connected' },
  );
  const stuck = answers.sized.flatMap(({ hypothesis }, s) =>
    hypotheses[hypothesis]!.id.startsWith('sensor-stuck') ? [table.rows[table.rowOf[s]!]!.reads[0]!] : [],
  );
  for (let i = 1; i < stuck.length; i++) expect(Math.abs(stuck[i]! - stuck[i - 1]!)).toBeLessThan(0.11);
});

test('an input of unknown bias is looked at both ways, each as likely', () => {
  const unknown = { ...profile, bias: 'unknown' as const };
  const own = hypothesesFor({ family: 'manifold-pressure', wiring: wiringFor({ profile: unknown, wires }) });
  const both = new Answers({ family: 'manifold-pressure', profile: unknown, wires }, own, 100);
  const sound = both.sized.filter(({ hypothesis }) => hypothesis === 0);
  expect(sound.map(({ weight }) => weight)).toEqual([0.5, 0.5]);
  const { rows, rowOf } = both.at(
    { kind: 'wire', lane: 'signal', place: 'plug' },
    { engine: 'koeo', plug: 'unplugged' },
  );
  const [down, up] = both.sized.flatMap(({ hypothesis }, s) =>
    hypothesis === 0 ? [rows[rowOf[s]!]!.reads[0]!] : [],
  );
  expect(down).toBeLessThan(0.2);
  expect(up).toBeGreaterThan(4.5);
});
