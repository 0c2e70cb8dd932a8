import { expect, test } from 'vitest';
import type { Lane } from '../../machine/places/index.ts';
import type { Evidence } from '../../record/evidence/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import { EXAMPLE_PROFILE, exampleCase } from './exampleCase.ts';
import { siblingsThatFit, type Sibling } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

/** 20 kPa over the range, from so many volts at rest. */
const orifice = (restVolts: number): SensorProfile => ({
  ...EXAMPLE_PROFILE,
  measures: 'differential-pressure',
  transfer: {
    form: 'linear',
    low: { volts: restVolts, value: 0 },
    high: { volts: 4.5, value: 20 },
  },
  lowest: 0,
  highest: 20,
  tolerance: { form: 'plus-minus', plusMinus: 0.3 },
  differenceThatMatters: 1,
});
const family = 'exhaust-flow-differential';
const part = (name: string, restVolts: number): Sibling => ({ name, family, profile: orifice(restVolts) });
const HALF = part('offset 0.5 V', 0.5);
const LIBRARY = [HALF, part('offset 0.8 V', 0.8)];

let id = 0;
const plug = (lane: Lane, volts: number): Evidence => ({
  id: `r${id++}`,
  kind: 'wire',
  lane,
  place: 'plug',
  volts,
  state: { engine: 'koeo', plug: 'connected' },
});
const told = (readings: Evidence[], library: readonly Sibling[] = LIBRARY) =>
  siblingsThatFit(exampleCase(readings, { family, profile: orifice(1) }), library);

test('a sensor whose offset is half a volt where one volt is expected fits its sibling, which is named', () => {
  const remarks = told([plug('reference', 5), plug('return', 0.01), plug('signal', 0.51)]);
  expect(remarks).toHaveLength(1);
  expect(coded(remarks[0]!).sentence).toBe(
    'checks.fits-another-part{signals: 1, names: [sweep.named{name: “offset 0.5 V”}], more: 0}',
  );
  expect(remarks[0]!.readingIds).toHaveLength(1);
});

test('what fits its own entry, or no other one, names nobody', () => {
  expect(told([plug('signal', 1)])).toEqual([]);
  expect(told([plug('signal', 3.9)])).toEqual([]);
  // Two signals at rest that no one part could give.
  expect(told([plug('signal', 0.51), plug('signal', 0.8)])).toEqual([]);
  expect(told([plug('signal', 0.51)], [{ ...HALF, family: 'filter-differential' }])).toEqual([]);
});

test('with a supply that is off nobody is named: it moves every signal', () => {
  expect(told([plug('reference', 4.2), plug('signal', 0.51)])).toEqual([]);
  expect(told([plug('return', 0.4), plug('signal', 0.51)])).toEqual([]);
});

test('three are named, and how many more there are', () => {
  const many = Array.from({ length: 5 }, (_, i) => part(`variant ${i + 1}`, 0.5));
  expect(coded(told([plug('signal', 0.51)], many)[0]!).sentence).toBe(
    'checks.fits-another-part{signals: 1, names: [sweep.named{name: “variant 1”}, sweep.named{name: “variant 2”}, sweep.named{name: “variant 3”}], more: 2}',
  );
});

const SENDER: Sibling = {
  name: 'sends telegrams',
  family,
  profile: {
    ...orifice(0.5),
    transfer: { form: 'telegrams', low: { step: 193, value: 0 }, high: { step: 3896, value: 20 } },
  },
};

test('telegrams that arrive name the parts that send them; a voltage never does', () => {
  const finding = {
    kind: 'telegrams',
    weight: 'note',
    sentence: { code: 'sweep.the-signal' },
    channel: 0,
    fromSeconds: 0,
    untilSeconds: 0.03,
  } as const;
  const sweeps = [{ name: 'Fast', uses: ['signal'], findings: [finding] }] as const;
  const captured = (profile: SensorProfile, library: readonly Sibling[]) =>
    siblingsThatFit(exampleCase([], { family, profile, sweeps }), library).map(({ sentence }) =>
      coded(sentence),
    );
  const [one] = captured(orifice(1), [...LIBRARY, SENDER]);
  expect(one).toContain('checks.sends-as-another-part');
  expect(one).toContain('sends telegrams');
  expect(one).not.toContain(HALF.name);
  expect(captured(orifice(1), LIBRARY)).toEqual([]);
  expect(captured(SENDER.profile, [...LIBRARY, SENDER])).toEqual([]);
  // Half a volt at rest is no average of telegrams, and two and a half are one of any sender.
  expect(told([plug('signal', 2.5)], [SENDER])).toEqual([]);
});
