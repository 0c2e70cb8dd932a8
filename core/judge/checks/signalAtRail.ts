import type { WireReading } from '../../record/evidence/index.ts';
import type { CaseFile } from './caseFile.ts';

/** Whether the unit would call this signal a circuit fault, and so show a substituted value. */
export function signalAtRail(
  { volts }: Pick<WireReading, 'volts'>,
  { profile }: Pick<CaseFile, 'profile'>,
): 'low' | 'high' | undefined {
  if (volts < profile.circuitLowVolts) return 'low';
  return volts > profile.circuitHighVolts ? 'high' : undefined;
}

/** Why nothing is compared with a signal past a limit of its circuit. */
export function railInWords(
  { volts }: Pick<WireReading, 'volts'>,
  { profile }: Pick<CaseFile, 'profile'>,
): string {
  const low = volts < profile.circuitLowVolts;
  const limit = low ? profile.circuitLowVolts : profile.circuitHighVolts;
  return `The signal is ${volts.toFixed(2)} V, ${low ? 'below' : 'above'} the circuit-${low ? 'low' : 'high'} limit of ${limit.toFixed(2)} V: a matter of the circuit, and no value to compare.`;
}
