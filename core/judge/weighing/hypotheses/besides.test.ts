import { expect, test } from 'vitest';
import { EXAMPLE_PROFILE, exampleCase, THROTTLE_PROFILE } from '../../checks/exampleCase.ts';
import { usualPriors } from '../../priors/index.ts';
import { wiringFor } from '../../../machine/wiring/index.ts';
import { WIRES } from '../exampleWeighing.ts';
import { Weigher } from '../index.ts';
import { hypothesesFor, underStartingWeights } from './hypotheses.ts';
import { changingAmong } from './unlisted.ts';

const family = 'manifold-pressure';
const chip = hypothesesFor({ family, wiring: wiringFor({ profile: EXAMPLE_PROFILE, wires: WIRES }) });
const track = hypothesesFor({
  family: 'throttle',
  wiring: wiringFor({ profile: THROTTLE_PROFILE, wires: WIRES }),
});
const weigher = new Weigher(exampleCase([]), WIRES);
const { hypotheses, answers } = weigher;

test('a stage whose supply is open in its plug may stay anywhere; a track without supply does not', () => {
  const starved = chip.filter(({ id }) => id.startsWith('starved:'));
  expect(starved.map(({ site }) => site!.at)).toEqual([{ in: 'joint', wire: 'reference', joint: 'plug' }]);
  const open = chip.find(({ id }) => id === 'wire-open reference:plug')!;
  expect(starved[0]).toMatchObject({ class: 'wire', kind: open.kind, site: open.site });
  expect(starved[0]!.prior).toBeLessThan(open.prior);
  expect(track.filter(({ id }) => id.startsWith('starved:'))).toHaveLength(
    wiringFor({ profile: THROTTLE_PROFILE, wires: WIRES }).sensor.kind === 'stage' ? 1 : 0,
  );
});

test('what is on no list has less weight than any class that is, and goes with it', () => {
  const priorOf = (all: typeof chip, id: string) => all.find((one) => one.id.startsWith(id))!.prior;
  for (const all of [chip, track]) {
    expect(priorOf(all, 'unlisted:')).toBeLessThan(priorOf(all, 'sensor-stuck'));
    const circuit = all.filter(({ class: sort }) => sort === 'wire' || sort === 'control-unit');
    expect(priorOf(all, 'unlisted-circuit')).toBeLessThan(
      0.05 * circuit.reduce((sum, { prior }) => sum + prior, 0),
    );
  }
  const usual = usualPriors(family);
  const under = (change: Partial<Parameters<typeof underStartingWeights>[2]>) =>
    underStartingWeights(chip, usual, { circumstances: [], priors: {}, ...change }) as typeof chip;
  // Who rules out a sensor that is stuck rules out one of any curve; a new part is seldom it.
  expect(priorOf(under({ priors: { 'sensor-stuck': 0 } }), 'unlisted:')).toBe(0);
  expect(priorOf(under({ circumstances: ['sensor-replaced'] }), 'unlisted:')).toBeLessThan(
    0.5 * priorOf(chip, 'unlisted:'),
  );
  expect(under({}).reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 12);
});

test('borrowed sizes have the answers of whom they are borrowed from, and sum to one', () => {
  hypotheses.forEach(({ id, like }, h) => {
    if (like === undefined) return;
    const own = answers.sized.filter(({ hypothesis }) => hypothesis === h);
    expect(
      own.reduce((sum, { weight }) => sum + weight, 0),
      id,
    ).toBeCloseTo(1, 12);
    const lender = answers.sized.filter(({ hypothesis }) => hypothesis === like);
    const solved = ({ solvedBelow, solvedAbove, past }: (typeof own)[number]) =>
      `${solvedBelow} ${solvedAbove} ${past}`;
    const lent = new Set(lender.map(solved));
    for (const one of own) if (one.fault) expect(lent.has(solved(one)), id).toBe(true);
  });
});

test('what changes from state to state has one size at a time, on one bias of the input', () => {
  const changing = changingAmong(hypotheses, answers.sized);
  expect(changing.length).toBeGreaterThan(0);
  for (const { members, often, weight } of changing) {
    expect(often.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    expect(weight).toBeGreaterThan(0);
    const [first] = members;
    for (const s of members) {
      expect(answers.sized[s]!.hypothesis).toBe(answers.sized[first!]!.hypothesis);
      expect(answers.sized[s]!.sound).toBe(answers.sized[first!]!.sound);
    }
  }
});
