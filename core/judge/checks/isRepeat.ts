import { sameDrive, sameTarget } from '../../machine/places/index.ts';
import type { Evidence } from '../../record/evidence/index.ts';

/** The same point in the same state of the machine. */
export const isRepeat = (a: Evidence, b: Evidence): boolean =>
  sameTarget(a, b) &&
  a.state.plug === b.state.plug &&
  sameDrive(a.state, b.state) &&
  (a.kind !== 'gauge' || b.kind !== 'gauge' || a.basis === b.basis);
