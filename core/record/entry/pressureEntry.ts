import { say } from '../../measure/message/index.ts';
import type { GaugeTap } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { type Measurand, type PressureBasis, type ReadingWarning } from '../../measure/quantity/index.ts';
import { type Entry, type EntryFault } from './entry.ts';

/** A pressure from a gauge, in kPa; fails where its sign and its basis exclude each other. */
export function gaugeEntry(
  tap: GaugeTap,
  pressureKpa: number,
  {
    basis,
    measures,
    warnings,
  }: { basis: PressureBasis | undefined; measures: Measurand; warnings: ReadingWarning[] },
): Result<Entry, EntryFault> {
  if (basis === 'vacuum' && pressureKpa < 0) {
    return fail(
      'wrong-basis',
      say('entry.vacuum-counted-downwards-already'),
      say('entry.type-without-minus-sign'),
    );
  }
  if (basis === 'absolute' && pressureKpa < 0) {
    return fail('wrong-basis', say('entry.absolute-pressure-never-negative'), say('entry.check-sign-basis'));
  }
  // A manifold's gauge counts vacuum unless it shows a minus: −0.5 bar is 0.5 bar of vacuum. Elsewhere gauges count up.
  const countsDown = measures === 'absolute-pressure' && tap !== 'service-port';
  const assumed = countsDown && pressureKpa >= 0 ? 'vacuum' : 'gauge';
  return ok({ kind: 'gauge', tap, pressureKpa, basis: basis ?? assumed, warnings });
}

/** Live data or ambient in kPa, absolute; fails where another basis is named. */
export function absoluteEntry(
  kind: 'scan' | 'ambient',
  pressureKpa: number,
  basis: PressureBasis | undefined,
  warnings: ReadingWarning[],
): Result<Entry, EntryFault> {
  if ((basis && basis !== 'absolute') || pressureKpa < 0) {
    return fail(
      'wrong-basis',
      kind === 'scan'
        ? say('entry.live-data-shows-manifold-pressure')
        : say('entry.barometer-reads-absolute-pressure'),
      say('entry.type-absolute-value-without-vac'),
    );
  }
  return ok(
    kind === 'scan'
      ? { kind, measures: 'absolute-pressure', value: pressureKpa, warnings }
      : { kind, stationKpaAbs: pressureKpa, warnings },
  );
}
