import { say } from '../../measure/message/index.ts';
import { isPulses, type MachineState } from '../../machine/places/index.ts';
import { arePulses, sendsPulses, toleranceAt, valueOfPulses } from '../../measure/transfer/index.ts';
import {
  counterLimit,
  fromLimits,
  instrumentSaid,
  measuredValue,
  SENSOR_TOLERANCE,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { PulsesReading } from '../../record/evidence/index.ts';
import { expectedPulses, fitOf, type Fit } from '../expectation/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';

/** What a meter counted, before it has an id. */
export type SeenPulses = PulsesReading extends infer R
  ? R extends PulsesReading
    ? Omit<R, 'id'>
    : never
  : never;

/**
 * The value of what a meter counted, in the unit of what the sensor measures; undefined where it stands, or where this sensor's value
 * is not in it.
 */
export function countedValue(
  { profile, meter }: Pick<CaseFile, 'profile' | 'meter'>,
  reading: SeenPulses,
): MeasuredValue | undefined {
  if (!sendsPulses(profile) || reading.kind !== profile.transfer.form) return undefined;
  const { transfer } = profile;
  const shown = shownOf(reading);
  if (!arePulses(reading.kind, shown)) return undefined;
  const valueAt = (counted: number) => valueOfPulses({ hertz: counted, upShare: counted / 100 }, transfer);
  const value = valueAt(shown);
  const limit = counterLimit(reading.kind, shown);
  const apart = Math.abs(valueAt(shown + limit) - valueAt(shown - limit)) / 2;
  return measuredValue(value, [
    { source: SENSOR_TOLERANCE, standardUncertainty: fromLimits(toleranceAt(value, profile)) },
    {
      source: say('doubt.counted-by', { instrument: instrumentSaid(reading.meter ?? meter) }),
      standardUncertainty: fromLimits(apart),
    },
  ]);
}

/** Where it stands against what a sound machine would show; undefined where nothing can be expected. */
export function fitOfCounted(reading: SeenPulses, caseFile: CaseFile): Fit | undefined {
  const { state } = reading;
  if (state.harness || state.plug !== 'connected') return undefined;
  const expected = expectedPulses(state, expectationContext(caseFile));
  if (expected?.kind !== reading.kind) return undefined;
  const shown = shownOf(reading);
  return fitOf(shown, expected, counterLimit(reading.kind, shown));
}

const shownOf = (reading: SeenPulses): number =>
  reading.kind === 'duty' ? reading.upPercent : reading.hertz;

/**
 * What was counted last at the plug in the states asked for, with everything connected as the vehicle has it: of what this sensor says
 * its value in, since the other setting of the meter tells none.
 */
export const countedAtPlug = (
  { isolation, profile }: Pick<CaseFile, 'isolation' | 'profile'>,
  inState: (state: MachineState) => boolean,
): PulsesReading | undefined =>
  isolation.findLast(
    (one): one is PulsesReading =>
      isPulses(one) &&
      one.kind === profile.transfer.form &&
      one.place === 'plug' &&
      one.state.plug === 'connected' &&
      one.state.harness === undefined &&
      inState(one.state),
  );
