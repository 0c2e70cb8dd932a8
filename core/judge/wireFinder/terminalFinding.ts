import { type PlugReading, type Role } from './plugTest.ts';
import { type Unlike } from './unlikeSound.ts';

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

/** Ohms to ground say where a wire ends, not what is on it: no name is certain by them alone. */
export const hasOnlyOhms = (own: readonly PlugReading[]): boolean =>
  own.length > 0 && own.every(({ test }) => test === 'open-ohms');
