import type { Target } from '@lettura/core/machine/places';
import { usualTap } from '@lettura/core/machine/family';
import { MEASURANDS } from '@lettura/core/measure/quantity';
import { sendsPulses } from '@lettura/core/measure/transfer';
import type { CaseFile } from '@lettura/core/judge/checks';

const LIVE = { kPa: '47 kPa', '%': '12.5', '°': '30', 'g/s': '3.4' } as const;

/** What may be typed, in the quantities of this job: the point in hand first. */
export function quickEntryExample(
  kind: Target['kind'],
  { profile, companion, family }: Pick<CaseFile, 'profile' | 'companion' | 'family'>,
): string {
  const live = LIVE[MEASURANDS[profile.measures].unit];
  const counted = sendsPulses(profile)
    ? { frequency: '107 Hz', duty: '45 %' }[profile.transfer.form]
    : undefined;
  const onPort = usualTap(family) === 'service-port';
  const gauge = onPort ? '930 kPa' : '16.5';
  const own = { wire: counted ?? '2.31', gauge, scan: live, 'live-volts': '0.46' }[kind];
  return [
    own,
    'or: ref ecu 4.98',
    'ret 12mV',
    ...(companion ? ['sig2 4.2'] : []),
    ...(family === 'manifold-pressure' ? ['gauge 16.5 inHg vac'] : []),
    ...(onPort && kind !== 'gauge' ? ['gauge 930 kPa'] : []),
    ...(kind === 'scan' ? [] : [`scan ${live}`]),
    ...(companion?.kind === 'second-track' && kind !== 'live-volts' ? ['scan sig2 0.46'] : []),
  ].join(' · ');
}
