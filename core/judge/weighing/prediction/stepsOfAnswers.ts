import { signalBand, valueAtNominal, type SensorProfile } from '../../../measure/transfer/index.ts';
import type { Spot } from '../../../machine/places/index.ts';
import type { AnswerTable } from './circuitAnswers.ts';
import type { Places } from './places.ts';
import { METER_SCALE, OHMS_SCALE, valueScale, type Scale } from './scales.ts';
import { type ShownSteps, VALUE_STEP_SHARE, shownSteps, ANYTHING } from './shownSteps.ts';

/** Of whatever the circuit answers for. */
export function stepsOfAnswers(
  kind: Exclude<Spot['kind'], 'gauge'>,
  table: AnswerTable,
  places: Places,
  profile: SensorProfile,
): ShownSteps {
  const scale =
    kind === 'scan' ? valueScale(profile, VALUE_STEP_SHARE) : kind === 'ohms' ? OHMS_SCALE : METER_SCALE;
  const stepOf = kind === 'scan' ? (volts: number) => liveStep(volts, profile, scale) : scale.stepOf;
  return shownSteps(scale, table, places, stepOf);
}

function liveStep(volts: number, profile: SensorProfile, scale: Scale): number {
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  return band === 'circuit-low' || band === 'circuit-high'
    ? ANYTHING
    : scale.stepOf(valueAtNominal(volts, profile));
}
