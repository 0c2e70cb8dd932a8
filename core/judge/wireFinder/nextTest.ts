import { TEST_MINUTES, type PlugReading, type PlugTest } from './plugTest.ts';
import type { Tally } from './tally.ts';
import { hasOnlyOhms, type TerminalFinding } from './terminalFinding.ts';

/** The measurement whose answers leave the roles of its terminal least uncertain, for its minutes. */
export function nextTest(
  terminals: number,
  tally: Tally,
  readings: readonly PlugReading[],
  found: readonly TerminalFinding[],
  allowed: readonly PlugTest[],
): { terminal: number; test: PlugTest } | undefined {
  let best: { terminal: number; test: PlugTest } | undefined;
  let bestGain = LEAST_GAIN;
  for (let terminal = 0; terminal < terminals; terminal++) {
    if (found[terminal]!.confidence === 'certain') continue;
    for (const test of allowed) {
      if (test === 'fed' && !isSignalOfSomeKind(terminal, tally)) continue;
      // No name stands on ohms alone, so that volts come first.
      if (test === 'open-ohms' && !seenUnderVoltage(terminal, readings) && allowed.some(isVolts)) continue;
      if (readings.some((reading) => reading.terminal === terminal && reading.test === test)) continue;
      const gain = tally.information(terminal, test) / TEST_MINUTES[test];
      if (gain > bestGain) {
        bestGain = gain;
        best = { terminal, test };
      }
    }
  }
  return best ?? voltsStillToSee(readings, found, allowed);
}

/** A voltage is fed into what can only be a signal: never into a supply. */
const isSignalOfSomeKind = (terminal: number, tally: Tally): boolean =>
  tally.shareOf(terminal, 'signal') + tally.shareOf(terminal, 'temperature') > SURELY_A_SIGNAL;
const SURELY_A_SIGNAL = 0.999;

const isVolts = (test: PlugTest): boolean => test === 'open-volts' || test === 'connected-volts';
const seenUnderVoltage = (terminal: number, readings: readonly PlugReading[]): boolean =>
  readings.some((reading) => reading.terminal === terminal && isVolts(reading.test));

/** A terminal named by its ohms alone is still to be seen under voltage, though no other name is left for it. */
function voltsStillToSee(
  readings: readonly PlugReading[],
  found: readonly TerminalFinding[],
  allowed: readonly PlugTest[],
): { terminal: number; test: PlugTest } | undefined {
  const test = allowed.find(isVolts);
  const seenOnlyInOhms = found.find(({ terminal }) =>
    hasOnlyOhms(readings.filter((reading) => reading.terminal === terminal)),
  );
  return test && seenOnlyInOhms && { terminal: seenOnlyInOhms.terminal, test };
}

/** Bits a minute: less than this is not worth a probe. */
const LEAST_GAIN = 0.002;
