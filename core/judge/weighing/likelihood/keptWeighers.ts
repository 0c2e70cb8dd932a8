import type { Lane } from '../../../machine/places/index.ts';
import type { CaseFile } from '../../checks/index.ts';
import { Weigher } from './weigher.ts';

/** Weighers of the jobs last worked on: what the circuit would show stays worked out. */
const kept = new Map<string, Weigher>();
const MOST_KEPT = 4;

/**
 * The weigher of a circuit: kept from before where the circuit is the same, since making one takes most of the
 * time.
 */
export function weigherFor(caseFile: CaseFile, wires: readonly Lane[]): Weigher {
  const { family, profile, companion, ambient } = caseFile;
  const key = JSON.stringify([family, profile, companion, wires, Math.round(ambient?.pressureKpaAbs ?? 0)]);
  const known = kept.get(key);
  if (known) return known;
  const weigher = new Weigher(caseFile, wires);
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, weigher);
  return weigher;
}
