import { FAULT_KINDS, type FaultSubject } from '../../../machine/fault/index.ts';
import type { Hypothesis } from './hypothesis.ts';

/*
 * A unit stands some hundredths of a volt above battery negative on every machine that draws current: all its wires are lifted
 * alike, also with the plug off. Within what a return may show that is no fault, and a meter that is off by as much on
 * everything looks the same.
 */

/** Of all sound machines, by ohms under the half ampere of a unit: about 20, 35 and 50 mV. */
const LIFTED: readonly { ohms: number; share: number }[] = [
  { ohms: 0.04, share: 0.12 },
  { ohms: 0.07, share: 0.08 },
  { ohms: 0.1, share: 0.05 },
];

/** Nothing wrong, on a unit at battery negative and on one that stands a little higher: one decision, and one prior in parts. */
export function liftedAmong(nothing: Hypothesis, subject: FaultSubject): Hypothesis[] {
  const kind = FAULT_KINDS.find(({ id }) => id === 'unit-ground-raised');
  const [site] = kind?.sites(subject) ?? [];
  if (!kind || !site) return [nothing];
  const level = 1 - LIFTED.reduce((sum, { share }) => sum + share, 0);
  const lifted = LIFTED.map(({ ohms, share }): Hypothesis => ({
    ...nothing,
    id: `lifted:${ohms}`,
    prior: share * nothing.prior,
    sizes: [{ kind, site, size: ohms }],
  }));
  return [{ ...nothing, prior: level * nothing.prior }, ...lifted];
}
