import {
  fullPulses,
  sendsPulses,
  valueAtNominal,
  valueLimitVolts,
  type SensorProfile,
} from '../../../measure/transfer/index.ts';
import { isPulses, type Spot } from '../../../machine/places/index.ts';
import type { AnswerTable } from './circuitAnswers.ts';
import type { Places } from './places.ts';
import { METER_SCALE, OHMS_SCALE, pulsesScale, valueScale, type Scale } from './scales.ts';
import { type ShownSteps, VALUE_STEP_SHARE, shownSteps, ANYTHING } from './shownSteps.ts';

/** Of whatever the circuit answers for. */
export function stepsOfAnswers(
  kind: Exclude<Spot['kind'], 'gauge'>,
  table: AnswerTable,
  places: Places,
  profile: SensorProfile,
): ShownSteps {
  if (isPulses({ kind }) && sendsPulses(profile)) {
    const { nominalReferenceVolts: nominal, transfer } = profile;
    const scale = pulsesScale(transfer);
    const perVolt = fullPulses(transfer) / nominal;
    return shownSteps(scale, table, places, (volts) => scale.stepOf(volts * perVolt));
  }
  const scale =
    kind === 'scan' ? valueScale(profile, VALUE_STEP_SHARE) : kind === 'ohms' ? OHMS_SCALE : METER_SCALE;
  const stepOf = kind === 'scan' ? liveSteps(profile, scale) : scale.stepOf;
  return shownSteps(scale, table, places, stepOf);
}

/** Closer than any unit converts a voltage. */
const CONVERTED_VOLTS = 0.001;

/** What live data shows by the voltage, looked up: a curve takes many times as long, and some ten thousand voltages are asked for. */
function liveSteps(profile: SensorProfile, scale: Scale): (volts: number) => number {
  const [low, high] = valueLimitVolts(profile);
  const stepAt = Int16Array.from({ length: Math.ceil((high - low) / CONVERTED_VOLTS) + 1 }, (_, i) =>
    scale.stepOf(valueAtNominal(Math.min(high, low + i * CONVERTED_VOLTS), profile)),
  );
  return (volts) =>
    volts >= low && volts <= high ? stepAt[Math.round((volts - low) / CONVERTED_VOLTS)]! : ANYTHING;
}
