import { isPlain, type AnyEvidence } from '@lettura/core/record/evidence';
import type { ObservationMade } from '@lettura/core/record/observation';
import { ambientFrom } from '@lettura/core/measure/quantity';
import type { CaseFile } from '@lettura/core/judge/checks';
import {
  judge,
  missingProof,
  weigherFor,
  type Candidate,
  type Judgement,
} from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { exampleCase } from '../core/judge/checks/exampleCase.ts';
import {
  barometerDisplay,
  BRILL_P4,
  CASE_LETTERS,
  gaugeDisplay,
  liveData,
  looksRight,
  meterDisplay,
  practiceMachine,
  type CaseLetter,
  type SimulatedMachine,
} from './index.ts';

/** What each letter hides on the pump engine, as a class of verdict. */
const CLASS_OF: Record<CaseLetter, string> = {
  A: 'wire',
  B: 'nothing',
  C: 'sensor',
  D: 'wire',
  E: 'physical',
  F: 'wire',
  G: 'sensor',
  H: 'wire',
};
const SEED = 1;
const WIRES = BRILL_P4.wiring.wires.map(({ wire }) => wire);

interface Worked {
  judgement: Judgement;
  caseFile: CaseFile;
  /** Every judgement on the way, with what was on record then. */
  path: { judgement: Judgement; caseFile: CaseFile }[];
}
const worked = new Map<string, Worked>();

/** Takes just the readings that the weighing asks for, from the simulated machine, until it decides. */
function workTheCase(letter: CaseLetter): Worked {
  const known = worked.get(letter);
  if (known) return known;
  const machine = practiceMachine(BRILL_P4, letter, SEED);
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: barometerDisplay(machine) });
  if (!ambient.ok) throw new Error(ambient.problem.code);
  const taken: AnyEvidence[] = [];
  const observations: ObservationMade[] = [];
  const path: Worked['path'] = [];
  for (;;) {
    const caseFile = exampleCase(taken.filter(isPlain), {
      profile: BRILL_P4.sensor.profile,
      ambient: ambient.value,
      isolation: taken.filter((reading) => !isPlain(reading)),
      observations: [...observations],
    });
    const judgement = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
    path.push({ judgement, caseFile });
    const next = judgement.suggestions[0]?.candidate;
    if (judgement.verdict !== 'open' || !next || path.length > 25) {
      const result = { judgement, caseFile, path };
      worked.set(letter, result);
      return result;
    }
    const id = String(path.length);
    if (next.target.kind === 'observation') {
      const { observation } = next.target;
      observations.push({ id, observation, holds: looksRight(machine, observation) });
    } else taken.push(take(machine, next, id));
  }
}

function take(machine: SimulatedMachine, { target, state }: Candidate, id: string): AnyEvidence {
  const shown = (volts: number) => meterDisplay(volts, SEED, 1).volts;
  switch (target.kind) {
    case 'wire':
      return { ...target, id, state, volts: shown(machine.voltsBetween(target, 'battery-negative', state)) };
    case 'between':
      return {
        ...target,
        kind: 'between',
        id,
        state,
        volts: shown(machine.voltsBetween(target.from, target.to, state)),
      };
    case 'ohms': {
      const ohms = machine.ohmsBetween(target.from, target.to, state);
      return { ...target, kind: 'ohms', id, state, ohms: ohms === Infinity ? null : ohms };
    }
    case 'gauge':
      return {
        ...target,
        id,
        state,
        basis: 'vacuum',
        pressureKpa: gaugeDisplay(machine, state, target.tap, SEED)!.pressureKpa,
      };
    case 'scan':
      return {
        kind: 'scan',
        id,
        state,
        measures: 'absolute-pressure',
        value: liveData(machine, state)!.value,
      };
    case 'live-volts':
    case 'engine-flow':
    case 'observation':
    case 'sweep':
    case 'capture':
    case 'frequency':
    case 'duty':
      throw new Error(`A ${target.kind} is no reading.`);
  }
}

function withOneMore(caseFile: CaseFile, machine: SimulatedMachine, candidate: Candidate): CaseFile {
  if (candidate.target.kind === 'observation') {
    const { observation } = candidate.target;
    const made = { id: 'more', observation, holds: looksRight(machine, observation) };
    return { ...caseFile, observations: [...caseFile.observations, made] };
  }
  const reading = take(machine, candidate, 'more');
  return isPlain(reading)
    ? { ...caseFile, readings: [...caseFile.readings, reading] }
    : { ...caseFile, isolation: [...caseFile.isolation, reading] };
}

test.each(CASE_LETTERS)(
  'in case %s, following the next reading leads to the right class of verdict',
  (letter) => {
    const { judgement, path } = workTheCase(letter);
    expect(judgement.verdict, judgement.ranked[0]!.decision.id).toBe('decided');
    expect(judgement.ranked[0]!.decision.class).toBe(CLASS_OF[letter]);
    expect(path.length - 1).toBeLessThanOrEqual(14);
  },
);

test.each(CASE_LETTERS)(
  'in case %s, no part is condemned before its supply and return are read good',
  (letter) => {
    for (const { judgement, caseFile } of workTheCase(letter).path) {
      const { decision } = judgement.ranked[0]!;
      if (decision.class !== 'sensor') continue;
      const atPlug = (lane: string) =>
        caseFile.readings.flatMap((r) =>
          r.kind === 'wire' && r.lane === lane && r.place === 'plug' && r.state.plug === 'connected'
            ? [r.volts]
            : [],
        );
      const proven =
        atPlug('reference').some((volts) => volts > 4.85) &&
        atPlug('return').some((volts) => Math.abs(volts) < 0.06) &&
        atPlug('signal').length > 0;
      if (!proven) {
        expect(judgement.verdict).not.toBe('decided');
        expect(missingProof('sensor', caseFile, WIRES)).toBeDefined();
      }
    }
  },
);

test.each(CASE_LETTERS)('in case %s, one more reading of the same machine takes no proof away', (letter) => {
  const { judgement, caseFile } = workTheCase(letter);
  const machine = practiceMachine(BRILL_P4, letter, SEED);
  for (const { candidate } of judgement.suggestions) {
    if (candidate.target.kind === 'sweep') continue;
    const grown = withOneMore(caseFile, machine, candidate);
    const after = judge(weigherFor(grown, WIRES), grown, WIRES);
    // Now and then another reading shows that all hangs on one: then that one is asked for again, and nothing else; or what was
    // just sure enough is just not so any more.
    const missing = after.gate.filter(({ state }) => state !== 'proven').map(({ label }) => label.code);
    if (after.verdict !== 'decided' && missing.length > 0)
      expect(missing, JSON.stringify(candidate)).toEqual(['gate.read-again']);
    expect(after.ranked[0]!.decision.class).toBe(CLASS_OF[letter]);
    const ofClass = after.ranked.filter(({ decision }) => decision.class === CLASS_OF[letter]);
    expect(
      ofClass.reduce((sum, { share }) => sum + share, 0),
      JSON.stringify(candidate),
    ).toBeGreaterThan(0.9);
  }
});

test('what the screen decides, the keeper of the record finds proven', () => {
  for (const letter of CASE_LETTERS) {
    const { judgement, caseFile } = workTheCase(letter);
    expect(missingProof(judgement.ranked[0]!.decision.id, caseFile, WIRES)).toBeUndefined();
  }
});
