/** A scale of millivolts goes to this. */
const SMALL_VOLTS = 0.6;
const SENSOR_VOLTS = 5.5;
const BATTERY_VOLTS = 15;
const TWO_BATTERIES_VOLTS = 30;

/** From where to where a scale goes that is to hold these voltages: millivolts, a sensor's volts, one battery's or two in a row. */
export function scaleEnds(volts: readonly number[]): readonly [lowest: number, highest: number] {
  const most = volts.reduce((a, b) => Math.max(a, Math.abs(b)), 0);
  const ends = [SMALL_VOLTS, SENSOR_VOLTS, BATTERY_VOLTS];
  return [0, ends.find((end) => most <= end) ?? TWO_BATTERIES_VOLTS];
}

/** Round numbers along it. */
export function ticksOf(lowest: number, highest: number): { at: number; label: string }[] {
  const step = highest <= SMALL_VOLTS ? 0.1 : highest <= SENSOR_VOLTS ? 1 : highest / 5;
  const count = Math.floor((highest - lowest) / step + 1e-9);
  return Array.from({ length: count + 1 }, (_, i) => {
    const at = lowest + i * step;
    const isLast = i === count;
    const number = highest <= SMALL_VOLTS ? String(Math.round(1000 * at)) : String(at);
    return { at, label: isLast ? `${number} ${highest <= SMALL_VOLTS ? 'mV' : 'V'}` : number };
  });
}
