import { isPlain, type AnyEvidence } from '@lettura/core/record/evidence';
import { type MachineState, type Target } from '@lettura/core/machine/places';
import { expectedReading } from '@lettura/core/judge/expectation';
import { movedState } from '@lettura/core/machine/family';
import { ambientFrom } from '@lettura/core/measure/quantity';
import { comparisonsIn, expectationContext, findingsIn, type CaseFile } from '@lettura/core/judge/checks';
import { soundReturnVolts } from '@lettura/core/machine/limits';
import { standingOf, weigherFor, weighJob, type JobWeighing } from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { exampleCase } from '../core/judge/checks/exampleCase.ts';
import {
  CASE_LETTERS,
  liveData,
  MACHINES,
  meterDisplay,
  practiceMachine,
  type BenchMachine,
} from './index.ts';
import { inWords, type InWords } from '@lettura/words';

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const PLUG_OFF: MachineState = { engine: 'koeo', plug: 'unplugged' };
const HIGHEST_SUPPLY_VOLTS = 16;

/** Supply, return and signal at the plug, at rest, driven and unplugged, and live data: what a technician reads first. */
function onRecord(machine: BenchMachine, letter: (typeof CASE_LETTERS)[number]): CaseFile {
  const simulated = practiceMachine(machine, letter, 1);
  const { sensor, wiring } = machine;
  const moved = movedState(sensor.family);
  const measured = wiring.wires.map(({ wire }) => wire).filter((lane) => !lane.startsWith('motor'));
  const taken: AnyEvidence[] = [];
  const read = (lane: (typeof measured)[number], state: MachineState) => {
    const target = { kind: 'wire', lane, place: 'plug' } as const;
    const volts = simulated.voltsBetween(target, 'battery-negative', state);
    taken.push({ ...target, id: `${taken.length}`, state, volts: meterDisplay(volts, 1, 1).volts });
  };
  for (const lane of measured) read(lane, KOEO);
  if (moved) read('signal', moved);
  read('signal', PLUG_OFF);
  const shown = liveData(simulated, KOEO);
  if (shown)
    taken.push({
      kind: 'scan',
      id: `${taken.length}`,
      state: KOEO,
      measures: sensor.profile.measures,
      value: shown.value,
    });
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: machine.ambientKpaAbs });
  if (!ambient.ok) throw new Error(ambient.problem.code);
  return exampleCase(taken.filter(isPlain), {
    family: sensor.family,
    profile: sensor.profile,
    companion: sensor.companion,
    displacementLitres: machine.litres,
    ambient: ambient.value,
  });
}

/** Every text and number in it, with where it stands. */
function* leaves(of: unknown, path = ''): Generator<[string, unknown]> {
  if (typeof of === 'object' && of !== null)
    for (const [key, value] of Object.entries(of)) yield* leaves(value, `${path}.${key}`);
  else if (of !== undefined) yield [path, of];
}

const UNIT_FACTORS: Record<string, number> = { V: 1, mV: 1e-3 };
const number = (text: string): { value: number; unit: string } | undefined => {
  const read = /^(?:about )?([−-]?[\d,]*\.?\d+) ?([^\s,;:]*)/u.exec(text.trim());
  if (!read) return undefined;
  const unit = read[2] ?? '';
  return {
    value: Number(read[1]!.replace('−', '-').replaceAll(',', '')) * (UNIT_FACTORS[unit] ?? 1),
    unit: unit in UNIT_FACTORS ? 'V' : unit,
  };
};
/** What a reason says was read, and what it says a cause would show. */
function claimOf(sentence: string) {
  const told =
    /(?:^| )(?<read>[−-]?[\d,.]+ [^\s]+)(?: \w+)? \([^)]*\): (?<says>as it would be,|with this it would be|a sound machine would show) (?<low>about [^;.]+[^;]*|.+?)(?: to (?<high>[^;]+?))?(?:;.*)?\.$/u.exec(
      sentence,
    )?.groups;
  if (!told) return undefined;
  const [read, low] = [number(told['read']!), number(told['low']!)];
  const high = told['high'] ? number(told['high']) : low;
  return read && low && high && { read, low, high, agrees: told['says'] === 'as it would be,' };
}

const reasonsOf = ({ causes }: InWords<JobWeighing>) =>
  causes.flatMap(({ speaksFor, speaksAgainst }) => [...speaksFor, ...speaksAgainst]);

/** Two cases on every machine, and every case on three machines or more: four that follow each other have all of them. */
const casesOf = (at: number) => CASE_LETTERS.filter((_, i) => i % 4 === at % 4);

test.each(MACHINES.map((machine, at) => [machine.id, machine, casesOf(at)] as const))(
  '%s: whatever is wrong, every sentence is true by its own numbers',
  (_id, machine, letters) => {
    const wires = machine.wiring.wires.map(({ wire }) => wire);
    for (const letter of letters) {
      const caseFile = onRecord(machine, letter);
      const weighing = inWords(weighJob(caseFile, wires));
      const pairs = comparisonsIn(caseFile, KOEO);
      for (const [path, leaf] of leaves({
        weighing,
        pairs: inWords(pairs),
        findings: inWords(findingsIn(caseFile)),
      })) {
        if (typeof leaf === 'number') expect(Number.isFinite(leaf), `${letter} ${path}`).toBe(true);
        else {
          expect(String(leaf), `${letter} ${path}`).not.toMatch(/NaN|Infinity|undefined|\[object|e\+\d/u);
          // A code whose message cannot be said.
          expect(String(leaf), `${letter} ${path}`).not.toMatch(/(^|[ “(])[a-z-]+\.[a-z][a-z0-9-]+/u);
          // Where two sentences were put together.
          expect(String(leaf), `${letter} ${path}`).not.toMatch(/[?!,;:]\.|\.\.|\.,| {2}| [.,;]/u);
        }
      }
      const { ranked, classes } = standingOf(weigherFor(caseFile, wires).caseOf(caseFile), caseFile, wires);
      for (const shares of [ranked, classes])
        expect(
          shares.reduce((sum, { share }) => sum + share, 0),
          letter,
        ).toBeCloseTo(1, 9);
      const told = weighing.causes.reduce((sum, { share }) => sum + share, 0);
      expect(told, letter).toBeLessThan(1 + 1e-9);
      for (const { sentence, strength } of reasonsOf(weighing)) {
        const claim = claimOf(sentence);
        if (sentence.includes('with nothing wrong')) expect(strength, sentence).toBe('some');
        if (!claim || claim.read.unit !== claim.low.unit) continue;
        const { read, low, high, agrees } = claim;
        const [lowest, highest] = [Math.min(low.value, high.value), Math.max(low.value, high.value)];
        // Printed rounded, and told apart by the steps of an instrument.
        const { profile } = machine.sensor;
        const step = read.unit === 'V' ? 0.04 : 0.015 * (profile.highest - profile.lowest);
        const doubt = 0.05 * Math.max(Math.abs(lowest), Math.abs(highest)) + step;
        const within = lowest - doubt <= read.value && read.value <= highest + doubt;
        if (agrees) expect(within, sentence).toBe(true);
        else expect(lowest < read.value && read.value < highest, sentence).toBe(false);
      }
      // What is said to be worth one more look is what is asked for next.
      const look = /one more look is cheap and may change the mind: (?<look>.*?)\.?$/u.exec(
        weighing.verdict.sentence,
      )?.groups?.['look'];
      if (look) expect(weighing.next[0]?.title.toLowerCase(), letter).toBe(look.toLowerCase());
      for (const { answers, title } of weighing.next) {
        // As many as there are, each with a meaning of its own.
        expect(new Set(answers.map(({ outcome }) => outcome)).size, title).toBe(answers.length);
        for (const { outcome, probability } of answers) {
          expect(probability, title).toBeLessThanOrEqual(1 + 1e-9);
          for (const [volts] of outcome.matchAll(/[\d.]+(?= V\b)/gu))
            expect(Number(volts), `${title}: ${outcome}`).toBeLessThanOrEqual(HIGHEST_SUPPLY_VOLTS);
        }
      }
      const context = expectationContext(caseFile);
      for (const lane of wires)
        for (const state of [KOEO, PLUG_OFF, movedState(machine.sensor.family) ?? KOEO]) {
          const target: Target = { kind: 'wire', lane, place: 'plug' };
          const expected = expectedReading(target, state, context);
          if (!expected) continue;
          expect(expected.lowest, `${lane} ${expected.reason.code}`).toBeGreaterThanOrEqual(
            -soundReturnVolts(machine.sensor.profile.measures),
          );
          expect(expected.highest, `${lane} ${expected.reason.code}`).toBeLessThanOrEqual(
            HIGHEST_SUPPLY_VOLTS,
          );
          expect(expected.lowest).toBeLessThanOrEqual(expected.highest);
        }
    }
  },
  120_000,
);
