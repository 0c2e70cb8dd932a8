import { arePulses, fullPulses, sendsPulses, type SensorProfile } from '../../../measure/transfer/index.ts';
import { numberOf, type PulsesReading } from '../../../record/evidence/index.ts';
import { counterLimit, fromLimits } from '../../../measure/uncertainty/index.ts';
import { mixed, MISTAKEN_SHARE, usual } from './readingLikelihood.ts';
import type { Likely } from './seenBefore.ts';

/*
 * Hertz and percent of a meter, on a line that its sensor sends pulses on. What the circuit answers is laid out in volts, as shares of
 * all hertz or of all the time.
 */

/** A sensor is not quite what its profile says, as a share of the whole scale. */
const MODEL_SHARE = 0.003;
/** So often a meter finds no edge on a line that has them, and edges on a line that only runs beside one that has (our own judgement). */
const NOT_FOUND = 0.04;
const PICKED_UP = 0.02;
/** Some meters count for what share the line is down. */
const COUNTED_DOWN = 0.04;
/** Where anything may be wrong it stands about as often as not. */
const ANYTHING_VOLTS = 1;
const EITHER = 0.5;

/** How well a counter fits, per hertz or percent; undefined where no pulse of this sensor would say anything. */
export function pulsesLikelihood(
  reading: PulsesReading,
  profile: SensorProfile,
): { floor: number; likely: Likely } | undefined {
  if (!sendsPulses(profile)) return undefined;
  const { transfer, nominalReferenceVolts: nominal } = profile;
  const shown = numberOf(reading);
  const goes = arePulses(reading.kind, shown);
  if (!goes || reading.kind !== transfer.form) {
    const floor = MISTAKEN_SHARE * EITHER;
    // The other setting of the meter tells no value, and that there is one.
    const likely: Likely = (volts, spread) => {
      const toggles = spread > ANYTHING_VOLTS ? EITHER : volts > 0 ? 1 - NOT_FOUND : PICKED_UP;
      return mixed(goes ? toggles : 1 - toggles, EITHER);
    };
    return { floor, likely };
  }
  const full = fullPulses(transfer);
  const perVolt = full / nominal;
  const certain = fromLimits(counterLimit(reading.kind, shown)) ** 2 + (MODEL_SHARE * full) ** 2;
  const anything = 1 / full;
  const likely: Likely = (volts, spread) => {
    const sigma = Math.sqrt(certain + (perVolt * spread) ** 2);
    const fits = usual(shown - volts * perVolt, sigma);
    if (volts <= 0) return mixed(spread > ANYTHING_VOLTS ? EITHER * fits : PICKED_UP * anything, anything);
    const down = reading.kind === 'duty' ? usual(full - shown - volts * perVolt, sigma) : fits;
    return mixed((1 - NOT_FOUND) * ((1 - COUNTED_DOWN) * fits + COUNTED_DOWN * down), anything);
  };
  return { floor: MISTAKEN_SHARE * anything, likely };
}
