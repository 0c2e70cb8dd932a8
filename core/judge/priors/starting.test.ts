import { expect, test } from 'vitest';
import { FAMILY_IDS } from '../../machine/family/index.ts';
import { hypothesesFor, underStartingWeights, type Hypothesis } from '../weighing/hypotheses/hypotheses.ts';
import { exampleCase } from '../checks/exampleCase.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import {
  CIRCUMSTANCE_IDS,
  circumstancesFactor,
  circumstanceWords,
  isUsual,
  NOTHING,
  startingInWords,
  USUAL_WEIGHTS,
  usualPriors,
  type StartingWeights,
} from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const family = 'manifold-pressure';
const usual = usualPriors(family);
const hypotheses = hypothesesFor({
  family,
  wiring: wiringFor({ profile: exampleCase([]).profile, wires: ['reference', 'signal', 'return'] }),
});
const under = (over: Partial<StartingWeights>): readonly Hypothesis[] =>
  underStartingWeights(hypotheses, usual, { ...USUAL_WEIGHTS, ...over });
const sumOf = (all: readonly Hypothesis[], of: (one: Hypothesis) => boolean = () => true) =>
  all.filter(of).reduce((sum, { prior }) => sum + prior, 0);
const isOfClass = (sort: Hypothesis['class']) => (one: Hypothesis) => one.class === sort;
/** Odds of some against all the rest that is listed. */
const oddsOf = (all: readonly Hypothesis[], of: (one: Hypothesis) => boolean) =>
  sumOf(all, of) / (1 - sumOf(all, of) - sumOf(all, ({ unlisted }) => unlisted !== undefined));

test('every family has a weight for every kind and for nothing, none of them negative', () => {
  const kinds = Object.keys(usual);
  expect(kinds).toContain(NOTHING);
  for (const id of FAMILY_IDS) {
    const priors = usualPriors(id);
    expect(Object.keys(priors)).toEqual(kinds);
    for (const weight of Object.values(priors)) expect(weight).toBeGreaterThan(0);
  }
});

test('worn parts weigh more in the families that wear them', () => {
  expect(usualPriors('pedal')['dead-spot']).toBeGreaterThan(usual['dead-spot']);
  expect(usualPriors('flap').linkage).toBeGreaterThan(usualPriors('pedal').linkage);
  expect(usualPriors('exhaust-flow-differential').hose).toBeGreaterThan(usual.hose);
});

test('the usual weights change nothing', () => {
  expect(isUsual(USUAL_WEIGHTS)).toBe(true);
  expect(startingInWords(USUAL_WEIGHTS)).toEqual([]);
  under({}).forEach(({ prior }, h) => expect(prior).toBeCloseTo(hypotheses[h]!.prior, 14));
});

test('a weight that is doubled doubles the odds of its kind, and leaves the others among themselves as they were', () => {
  const isOpen = ({ kind }: Hypothesis) => kind?.id === 'wire-open';
  const doubled = under({ priors: { 'wire-open': 2 * usual['wire-open'] } });
  expect(oddsOf(doubled, isOpen)).toBeCloseTo(2 * oddsOf(hypotheses, isOpen), 12);
  const [hose, gain] = ['hose', 'sensor-gain'].map((kind) => (one: Hypothesis) => one.kind?.id === kind);
  expect(sumOf(doubled, hose) / sumOf(doubled, gain)).toBeCloseTo(
    sumOf(hypotheses, hose) / sumOf(hypotheses, gain),
    12,
  );
  expect(sumOf(doubled)).toBeCloseTo(1, 12);
});

test('what is ruled out has no weight; who rules out everything rules out nothing', () => {
  expect(sumOf(under({ priors: { hose: 0 } }), ({ kind }) => kind?.id === 'hose')).toBe(0);
  const nothingLeft = under({ priors: Object.fromEntries(Object.keys(usual).map((id) => [id, 0])) });
  for (const { prior } of nothingLeft) expect(prior).toBeCloseTo(1 / hypotheses.length, 12);
});

// By hand: a new sensor is 0.3 as likely to be it, one of the wrong variant 2.5 times.
test('a sensor that was replaced already is seldom it, but may be the wrong one', () => {
  const replaced = under({ circumstances: ['sensor-replaced'] });
  const ratio = (all: readonly Hypothesis[]) =>
    sumOf(all, isOfClass('wrong-part')) / sumOf(all, isOfClass('sensor'));
  expect(ratio(replaced) / ratio(hypotheses)).toBeCloseTo(2.5 / 0.3, 10);
  expect(sumOf(replaced, isOfClass('wire'))).toBeGreaterThan(sumOf(hypotheses, isOfClass('wire')));
});

test('circumstances multiply, and each has an eye for something', () => {
  const wire = { class: 'wire', site: { at: { in: 'joint', wire: 'signal', joint: 'plug' } } } as const;
  expect(circumstancesFactor([], wire)).toBe(1);
  expect(circumstancesFactor(['loom-damaged', 'worked-on'], wire)).toBeCloseTo(7.5, 12);
  expect(
    circumstancesFactor(['worked-on'], {
      class: 'wire',
      site: { at: { in: 'joint', wire: 'signal', joint: 'first' } },
    }),
  ).toBe(1);
  for (const id of CIRCUMSTANCE_IDS) {
    expect(circumstanceWords(id)).not.toBe('');
    const moved = under({ circumstances: [id] });
    expect(sumOf(moved)).toBeCloseTo(1, 12);
    expect(moved.some(({ prior }, h) => prior > 1.2 * hypotheses[h]!.prior)).toBe(true);
  }
});

test('what was changed is said, circumstances first', () => {
  const changed: StartingWeights = { circumstances: ['old-part'], priors: { hose: 20, [NOTHING]: 0 } };
  expect(isUsual(changed)).toBe(false);
  expect(coded(startingInWords(changed))).toEqual([
    'priors.sensor-older-than-ten-years',
    'priors.weight{kind: faults.hose-blocked-split-off, weight: 20}',
    'priors.weight{kind: priors.nothing-wrong-now, weight: 0}',
  ]);
});
