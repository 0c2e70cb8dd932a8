/** It drives its own voltage, behind the resistor of its range. */
export const TEST_VOLTS = 1;
const RANGES_OHMS = [1e3, 1e5, 1e7] as const;
/** Past this many times its range the meter takes the next one, and after the last it shows OL. */
const RANGE_REACH = 20;

/**
 * What an ohmmeter shows between two points that nothing else drives.
 *
 * @param voltsWith what stands across the points while its test voltage is behind so many ohms
 * @returns ohms, never less than none; Infinity for OL, also where a live wire drives it past its own voltage
 */
export function ohmsShown(voltsWith: (rangeOhms: number) => number): number {
  for (const range of RANGES_OHMS) {
    const volts = voltsWith(range);
    const ohms = (volts * range) / (TEST_VOLTS - volts);
    // What leaks beside the test current may take a whisker off nothing.
    if (volts < TEST_VOLTS && ohms <= RANGE_REACH * range) return Math.max(0, ohms);
  }
  return Infinity;
}
