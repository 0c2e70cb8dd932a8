import { familyOf } from '../../machine/family/index.ts';
import { say, type Message } from '../../measure/message/index.ts';
import { latest, type GaugeReading, type ScanReading } from '../../record/evidence/index.ts';
import { GAUGE_TAPS, sameDrive, type Drive } from '../../machine/places/index.ts';
import { isPressure } from '../../measure/quantity/index.ts';
import { type MeasuredValue } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { ambientPressure, gaugeAgainstSensor } from './gaugePressure.ts';

export type SourceName =
  'sensor' | 'as-seen' | `gauge-at-${'hose' | 'manifold' | 'service-port'}` | 'live-data' | 'ambient';

/** What a source of a value is called. */
export const sourceSaid = (name: SourceName): Message => say(`source.${name}`);

export interface Source {
  name: SourceName;
  measured: MeasuredValue;
}

/** What gauges show in this drive, on the scale of the sensor; none where it measures no pressure. */
export function gaugeSources({ ambient, gauge, readings, profile }: CaseFile, drive: Drive): Source[] {
  if (!isPressure(profile.measures)) return [];
  return GAUGE_TAPS.flatMap((tap) => {
    const reading = latest(
      readings,
      (one): one is GaugeReading => one.kind === 'gauge' && one.tap === tap && sameDrive(one.state, drive),
    );
    const measured = reading && gaugeAgainstSensor(reading, profile.measures, ambient, gauge);
    const name = `gauge-at-${tap === 'sensor-hose' ? 'hose' : tap}` as const;
    return measured?.ok ? [{ name, measured: measured.value } as const] : [];
  });
}

/** The newest live data of what the sensor measures, in this drive. */
export const scanIn = ({ readings, profile }: CaseFile, drive: Drive): ScanReading | undefined =>
  latest(
    readings,
    (one): one is ScanReading =>
      one.kind === 'scan' && one.measures === profile.measures && sameDrive(one.state, drive),
  );

/** With the engine stopped, what is open to the air is at ambient pressure. */
export function ambientSource({ ambient, family, profile }: CaseFile, drive: Drive): Source[] {
  const { openToAir } = familyOf(family);
  const stopped = drive.engine === 'koeo' || drive.engine === 'key-off';
  const open = openToAir === 'always' || (openToAir === 'stopped' && stopped);
  return ambient && open && !drive.stimulus && profile.measures === 'absolute-pressure'
    ? [{ name: 'ambient', measured: ambientPressure(ambient) }]
    : [];
}
