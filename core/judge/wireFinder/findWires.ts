import type { TerminalCount } from './bodies.ts';
import { PLUG_TESTS, TEST_MINUTES, type PlugReading, type PlugTest, type Role, ROLES } from './plugTest.ts';
import type { Bias } from '../../measure/transfer/index.ts';
import { agrees } from './agreement.ts';
import { MOST_ANSWERS, scenariosFor, type Scenario } from './scenarios.ts';
import { unlikeSound, type Unlike } from './unlikeSound.ts';

export interface TerminalFinding {
  terminal: number;
  /** `certain`: everything that agrees with the readings, sound or with any single fault, says so. */
  confidence: 'certain' | 'likely' | 'open';
  /** The likeliest, with its share; left out while nothing speaks for one. */
  role?: Role;
  share: number;
  /** What else it could still be, likeliest first. */
  couldBe: readonly { role: Role; share: number }[];
  /** A name is no verdict: what was measured here that no sound wire of that name would show. */
  unlike?: Unlike;
}

export interface WireFinding {
  terminals: readonly TerminalFinding[];
  /** The measurement that tells most for its minutes; none left where no measurement would tell more. */
  next?: { terminal: number; test: PlugTest };
  /** Nothing known agrees with the readings: more than one fault, a slipped probe, or a body that is not known. */
  contradictory: boolean;
}

/** Enough to act on with care, and to be proven by the next reading. */
const LIKELY_SHARE = 0.8;

/**
 * Names the terminals of a plug from what was measured there. Every body of that many terminals, sound and with every
 * single fault, is laid over the plug in every order; what disagrees with a reading falls away.
 *
 * @param allowed tests that can be made now, since a plug may have to stay on, or off
 * @param bias which way the unit pulls its inputs, as far as that is known of this sensor
 */
export function findWires(
  terminals: TerminalCount,
  readings: readonly PlugReading[],
  allowed: readonly PlugTest[] = PLUG_TESTS,
  bias: Bias = 'unknown',
): WireFinding {
  const byTerminal = Array.from({ length: terminals }, (_, terminal) =>
    readings.filter((reading) => reading.terminal === terminal),
  );
  const tally = new Tally(terminals);
  for (const scenario of scenariosFor(terminals)) tally.add(scenario, byTerminal);
  const contradictory = tally.total === 0;
  const found = byTerminal.map((own, terminal) => {
    const finding = findingFor(terminal, tally, own);
    const unlike =
      finding.role && finding.confidence !== 'open' && unlikeSound(terminals, finding.role, own, bias);
    return unlike ? { ...finding, unlike } : finding;
  });
  const next = contradictory ? undefined : nextTest(terminals, tally, readings, found, allowed);
  return { terminals: found, contradictory, ...(next ? { next } : {}) };
}

function findingFor(terminal: number, tally: Tally, own: readonly PlugReading[]): TerminalFinding {
  const shares = ROLES.map((role) => ({ role, share: tally.shareOf(terminal, role) }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share);
  const [first, ...others] = shares;
  if (!first) return { terminal, confidence: 'open', share: 0, couldBe: [] };
  const alone = others.length === 0;
  const confidence =
    alone && !hasOnlyOhms(own) ? 'certain' : alone || first.share >= LIKELY_SHARE ? 'likely' : 'open';
  return {
    terminal,
    confidence: own.length === 0 && confidence !== 'certain' ? 'open' : confidence,
    role: first.role,
    share: first.share,
    couldBe: others,
  };
}

/** Ohms to ground say where a wire ends, not what is on it: no name is certain by them alone. */
const hasOnlyOhms = (own: readonly PlugReading[]): boolean =>
  own.length > 0 && own.every(({ test }) => test === 'open-ohms');

/** Weights of roles by terminal, and of what they would show in each test, over all that agrees with the readings. */
class Tally {
  total = 0;
  readonly #byRole: Float64Array[];
  /** By terminal: test, answer and role, in one row. */
  readonly #byAnswer: Float64Array[];

  constructor(terminals: number) {
    this.#byRole = Array.from({ length: terminals }, () => new Float64Array(ROLES.length));
    this.#byAnswer = Array.from(
      { length: terminals },
      () => new Float64Array(PLUG_TESTS.length * MOST_ANSWERS * ROLES.length),
    );
  }

  shareOf(terminal: number, role: Role): number {
    return this.total === 0 ? 0 : this.#byRole[terminal]![ROLES.indexOf(role)]! / this.total;
  }

  /** Counts the orders in which the wires of a scenario fit the terminals, by the permanent of who fits whom. */
  add({ weight, roles, shows, answers }: Scenario, byTerminal: readonly (readonly PlugReading[])[]): void {
    const size = roles.length;
    const fits = byTerminal.map((readings) =>
      shows.map((wire) => readings.every(({ test, value }) => agrees(value, wire[test], test))),
    );
    const full = (1 << size) - 1;
    // Ways to place the wires of a set on the first terminals, and the others on the last ones.
    const before = new Float64Array(full + 1);
    before[0] = 1;
    for (let set = 0; set < full; set++) {
      if (before[set] === 0) continue;
      const terminal = bitCount(set);
      for (let wire = 0; wire < size; wire++)
        if (!(set & (1 << wire)) && fits[terminal]![wire])
          before[set | (1 << wire)] = before[set | (1 << wire)]! + before[set]!;
    }
    const orders = before[full]!;
    if (orders === 0) return;
    const after = new Float64Array(full + 1);
    after[full] = 1;
    for (let set = full - 1; set >= 0; set--) {
      const terminal = bitCount(set);
      for (let wire = 0; wire < size; wire++)
        if (!(set & (1 << wire)) && fits[terminal]![wire])
          after[set] = after[set]! + after[set | (1 << wire)]!;
    }
    const every = factorial(size);
    this.total += (weight * orders) / every;
    for (let set = 0; set < full; set++) {
      const terminal = bitCount(set);
      for (let wire = 0; wire < size; wire++) {
        if (set & (1 << wire) || !fits[terminal]![wire]) continue;
        const ways = before[set]! * after[set | (1 << wire)]!;
        if (ways === 0) continue;
        this.#count(terminal, ROLES.indexOf(roles[wire]!), (weight * ways) / every, answers[wire]!);
      }
    }
  }

  #count(terminal: number, role: number, weight: number, answers: Scenario['answers'][number]): void {
    const byRole = this.#byRole[terminal]!;
    byRole[role] = byRole[role]! + weight;
    const byAnswer = this.#byAnswer[terminal]!;
    for (let test = 0; test < PLUG_TESTS.length; test++) {
      const [first, last] = answers[test]!;
      const share = weight / (last - first + 1);
      for (let answer = first; answer <= last; answer++) {
        const at = (test * MOST_ANSWERS + answer) * ROLES.length + role;
        byAnswer[at] = byAnswer[at]! + share;
      }
    }
  }

  /** Bits that the answer to a test is expected to take off the doubt about a terminal's role. */
  information(terminal: number, test: PlugTest): number {
    const rows = this.#byAnswer[terminal]!;
    let after = 0;
    for (let answer = 0; answer < MOST_ANSWERS; answer++) {
      const from = (PLUG_TESTS.indexOf(test) * MOST_ANSWERS + answer) * ROLES.length;
      const roles = rows.subarray(from, from + ROLES.length);
      after += (sumOf(roles) / this.total) * bitsOf(roles);
    }
    return bitsOf(this.#byRole[terminal]!) - after;
  }
}

const sumOf = (weights: Float64Array): number => weights.reduce((sum, weight) => sum + weight, 0);

function bitsOf(weights: Float64Array): number {
  const total = sumOf(weights);
  return weights.reduce(
    (bits, weight) => (weight > 0 ? bits - (weight / total) * Math.log2(weight / total) : bits),
    0,
  );
}

/** The measurement whose answers leave the roles of its terminal least uncertain, for its minutes. */
function nextTest(
  terminals: number,
  tally: Tally,
  readings: readonly PlugReading[],
  found: readonly TerminalFinding[],
  allowed: readonly PlugTest[],
): { terminal: number; test: PlugTest } | undefined {
  let best: { terminal: number; test: PlugTest } | undefined;
  let bestGain = LEAST_GAIN;
  for (let terminal = 0; terminal < terminals; terminal++) {
    if (found[terminal]!.confidence === 'certain') continue;
    for (const test of allowed) {
      if (test === 'fed' && !isSignalOfSomeKind(terminal, tally)) continue;
      // No name stands on ohms alone, so that volts come first.
      if (test === 'open-ohms' && !seenUnderVoltage(terminal, readings) && allowed.some(isVolts)) continue;
      if (readings.some((reading) => reading.terminal === terminal && reading.test === test)) continue;
      const gain = tally.information(terminal, test) / TEST_MINUTES[test];
      if (gain > bestGain) {
        bestGain = gain;
        best = { terminal, test };
      }
    }
  }
  return best ?? voltsStillToSee(readings, found, allowed);
}

/** A voltage is fed into what can only be a signal: never into a supply. */
const isSignalOfSomeKind = (terminal: number, tally: Tally): boolean =>
  tally.shareOf(terminal, 'signal') + tally.shareOf(terminal, 'temperature') > SURELY_A_SIGNAL;
const SURELY_A_SIGNAL = 0.999;

const isVolts = (test: PlugTest): boolean => test === 'open-volts' || test === 'connected-volts';
const seenUnderVoltage = (terminal: number, readings: readonly PlugReading[]): boolean =>
  readings.some((reading) => reading.terminal === terminal && isVolts(reading.test));

/** A terminal named by its ohms alone is still to be seen under voltage, though no other name is left for it. */
function voltsStillToSee(
  readings: readonly PlugReading[],
  found: readonly TerminalFinding[],
  allowed: readonly PlugTest[],
): { terminal: number; test: PlugTest } | undefined {
  const test = allowed.find(isVolts);
  const seenOnlyInOhms = found.find(({ terminal }) =>
    hasOnlyOhms(readings.filter((reading) => reading.terminal === terminal)),
  );
  return test && seenOnlyInOhms && { terminal: seenOnlyInOhms.terminal, test };
}

/** Bits a minute: less than this is not worth a probe. */
const LEAST_GAIN = 0.002;

function bitCount(set: number): number {
  let count = 0;
  for (let rest = set; rest; rest &= rest - 1) count++;
  return count;
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
