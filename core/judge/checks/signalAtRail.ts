import { fixed, say, type Message } from '../../measure/message/index.ts';
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
export function railSaid(
  { volts }: Pick<WireReading, 'volts'>,
  { profile }: Pick<CaseFile, 'profile'>,
): Message {
  const low = volts < profile.circuitLowVolts;
  const limit = low ? profile.circuitLowVolts : profile.circuitHighVolts;
  return say('checks.signal-circuit-limit-matter-circuit', {
    volts: fixed(volts, 2, 'V'),
    rail: low ? 'low' : 'high',
    limit: fixed(limit, 2, 'V'),
  });
}
