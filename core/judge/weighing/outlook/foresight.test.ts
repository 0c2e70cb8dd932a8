import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import { beforehandOf } from './beforehand.ts';
import { decisionsFor, decisionShares } from '../posterior/decisions.ts';
import { goodSupply, IDLE, KOEO, looked, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { Outlook } from './foresight.ts';
import { candidatesFor, posterior, Weigher } from '../index.ts';

const ON_RECORD = [...goodSupply(), wire('signal', 'plug', 4.6)];
const weigher = new Weigher(exampleCase([]), WIRES);
const decisions = decisionsFor(weigher.hypotheses);

function known(readings: readonly ReturnType<typeof wire>[] = ON_RECORD) {
  const caseFile = exampleCase([...readings]);
  const weighed = weigher.caseOf(caseFile);
  const standing = posterior(weighed);
  return { caseFile, weighed, standing, shares: decisionShares(decisions, standing.shares) };
}

test('over all that a reading may show, the shares come to what they are before it', () => {
  const { caseFile, standing, shares } = known();
  const outlook = new Outlook(weigher, caseFile, standing, decisions);
  for (const candidate of candidatesFor(caseFile, WIRES)) {
    const { joint, scale } = outlook.at(candidate);
    joint.forEach((row, d) => {
      const total = row.reduce((sum, weight) => sum + weight, 0);
      // Only what has next to no share is left out.
      expect(Math.abs(total - shares[d]!)).toBeLessThan(3e-3);
      expect(row).toHaveLength(scale.steps);
    });
  }
});

test('what was foreseen for an answer is what the readings come to once it is given', () => {
  const { caseFile, standing } = known();
  const outlook = new Outlook(weigher, caseFile, standing, decisions);
  for (const [lane, place, state] of [
    ['signal', 'unit', KOEO],
    ['signal', 'plug', PLUG_OFF],
    ['signal', 'plug', IDLE],
  ] as const) {
    const { joint, scale } = outlook.at({ target: { kind: 'wire', lane, place }, state });
    const overall = Array.from({ length: scale.steps }, (_, step) =>
      joint.reduce((sum, row) => sum + row[step]!, 0),
    );
    const likeliest = overall.indexOf(Math.max(...overall));
    const foreseen = joint.map((row) => row[likeliest]! / overall[likeliest]!);
    const { shares } = known([...ON_RECORD, wire(lane, place, scale.readAt(likeliest), state)]);
    // A step is as wide as what the instrument tells apart: near enough to choose by.
    shares.forEach((share, d) => expect(Math.abs(share - foreseen[d]!)).toBeLessThan(0.12));
  }
});

test('a look that nothing hangs on is foreseen as often either way by every cause', () => {
  const { caseFile, standing } = known();
  const outlook = new Outlook(weigher, caseFile, standing, decisions);
  const hose = outlook.at({ target: { kind: 'observation', observation: 'hose' }, state: KOEO });
  const sound = (id: string) => {
    const [holds = 0, not = 0] = hose.joint[decisions.all.findIndex((one) => one.id === id)]!;
    return holds / (holds + not);
  };
  expect(sound('hose')).toBeLessThan(0.4);
  expect(sound('nothing')).toBeGreaterThan(0.8);
  expect(sound('wire signal:first')).toBeCloseTo(sound('nothing'), 6);
});

test('what stands beforehand is kept as long as sensor, air and starting weights are the same', () => {
  const { caseFile, weighed } = known();
  const before = beforehandOf(weigher, caseFile, weighed, decisions);
  const more = exampleCase([...ON_RECORD, wire('signal', 'unit', 4.6)]);
  expect(beforehandOf(weigher, more, weigher.caseOf(more), decisions)).toBe(before);
  const damaged = exampleCase(ON_RECORD, { starting: { circumstances: ['loom-damaged'], priors: {} } });
  const damagedBefore = beforehandOf(weigher, damaged, weigher.caseOf(damaged), decisions);
  expect(damagedBefore).not.toBe(before);
  const wireShare = (shares: Float64Array) =>
    decisions.all.reduce((sum, one, d) => (one.class === 'wire' ? sum + shares[d]! : sum), 0);
  expect(wireShare(damagedBefore.shares)).toBeGreaterThan(wireShare(before.shares) + 0.1);
  const high = exampleCase(ON_RECORD, {
    ambient: { pressureKpaAbs: 84, expandedUncertaintyKpa: 1, source: 'altitude' },
  });
  expect(beforehandOf(weigher, high, weigher.caseOf(high), decisions)).not.toBe(damagedBefore);
});

test('what a reading says alone is what it comes to with no other', () => {
  const { caseFile, weighed } = known();
  const before = beforehandOf(weigher, caseFile, weighed, decisions);
  for (const [i, reading] of weighed.readings.entries()) {
    const alone = before.aloneWith(reading);
    expect(before.aloneWith(reading)).toBe(alone);
    const { shares } = known([ON_RECORD[i]!]);
    alone.forEach((share, d) => expect(share).toBeCloseTo(shares[d]!, 12));
  }
});

test('a hundred and twenty readings are weighed without losing count', () => {
  const many = Array.from({ length: 40 }, (_, i) => [
    wire('signal', 'plug', 4 + (i % 5) / 100),
    wire('signal', 'plug', 1.7, IDLE),
    wire('reference', 'plug', i % 7 === 0 ? 0.1 : 4.99),
  ]).flat();
  const caseFile = exampleCase(many, { observations: [looked('hose', true)] });
  const weighed = weigher.caseOf(caseFile);
  const { shares } = posterior(weighed);
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  for (const share of shares) expect(share).toBeGreaterThanOrEqual(0);
});

/** Of one cause: how much of what it would show lies between two voltages. */
function shareBetween(
  id: string,
  target: { lane: 'reference' | 'signal' },
  low: number,
  high: number,
): number {
  const { caseFile, standing } = known([]);
  const { joint, scale } = new Outlook(weigher, caseFile, standing, decisions).at({
    target: { kind: 'wire', place: 'plug', ...target },
    state: KOEO,
  });
  const row = joint[decisions.all.findIndex((one) => one.id === id)]!;
  let within = 0;
  let all = 0;
  row.forEach((weight, step) => {
    all += weight;
    if (scale.readAt(step) >= low && scale.readAt(step) <= high) within += weight;
  });
  return within / all;
}

test('a sound machine may be at the edge of what is sound, and then nothing says that it would show anything else', () => {
  const reference = { lane: 'reference' } as const;
  expect(shareBetween('nothing', reference, 4.84, 4.94)).toBeGreaterThan(0.05);
  expect(shareBetween('nothing', reference, 4.84, 5.16)).toBeGreaterThan(0.9);
});

test('what an output does without its supply is foreseen as the usual circuit has it half of the time, and else anywhere', () => {
  const signal = { lane: 'signal' } as const;
  const nearNothing = shareBetween('wire reference:first', signal, -0.1, 0.1);
  // A wire with some resistance, which is the same decision, leaves the sensor alive.
  expect(nearNothing).toBeGreaterThan(0.3);
  expect(nearNothing).toBeLessThan(0.75);
  expect(shareBetween('wire reference:first', signal, 0.3, 2.3)).toBeGreaterThan(0.1);
});
