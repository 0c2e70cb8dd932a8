import { PLUG_TESTS, type PlugReading, type PlugTest, type Role, ROLES } from './plugTest.ts';
import { agrees } from './agreement.ts';
import { MOST_ANSWERS, type Scenario } from './scenarios.ts';

/** Weights of roles by terminal, and of what they would show in each test, over all that agrees with the readings. */
export class Tally {
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

function bitCount(set: number): number {
  let count = 0;
  for (let rest = set; rest; rest &= rest - 1) count++;
  return count;
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
