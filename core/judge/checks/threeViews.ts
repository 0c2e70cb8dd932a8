import { latest, latestWire, type ScanReading } from '../../record/evidence/index.ts';
import { keyOn, sameState, type MachineState } from '../../machine/places/index.ts';
import type { CaseFile } from './caseFile.ts';
import { liveAgainstWire } from './liveAgainstWire.ts';
import { valueOfSignal } from './sensorValue.ts';
import { signalArrives } from './signalArrives.ts';
import { signalAtRail } from './signalAtRail.ts';

export const VIEW_NAMES = ['plug', 'unit', 'live'] as const;
export type ViewName = (typeof VIEW_NAMES)[number];

/** One value of the signal as three see it. */
export interface ThreeViews {
  /** Volts at plug and unit, and what they stand for in the sensor's unit; live data has no volts. */
  views: { name: ViewName; volts?: number; value?: number; readingId?: string }[];
  /** The first neighbouring pair that disagrees; `between` says where to look. */
  disagreement?: { between: 'plug-unit' | 'unit-live' | 'plug-live' };
  /** The pairs that were compared and agree. */
  agree: ('plug-unit' | 'unit-live' | 'plug-live')[];
}

/** The signal at the sensor, at the control unit and in live data, in one state of the machine. */
export function threeViews(caseFile: CaseFile, state: MachineState): ThreeViews {
  const { readings, profile } = caseFile;
  const inState = (other: MachineState) => sameState(other, state);
  const plug = latestWire(readings, 'signal', 'plug', inState);
  const unit = latestWire(readings, 'signal', 'unit', inState);
  const live = latest(
    readings,
    (reading): reading is ScanReading =>
      reading.kind === 'scan' && reading.measures === profile.measures && inState(reading.state),
  );
  const valueOf = (reading: typeof plug): number | undefined => {
    if (!reading || !keyOn(state) || signalAtRail(reading, caseFile)) return undefined;
    const sensor = valueOfSignal(caseFile, reading);
    return sensor.ok ? sensor.value.asSeen.value : undefined;
  };
  const agree: ThreeViews['agree'] = [];
  let disagreement: ThreeViews['disagreement'];
  const compare = (between: ThreeViews['agree'][number], same: boolean) => {
    if (same) agree.push(between);
    else disagreement ??= { between };
  };
  if (plug && unit) compare('plug-unit', signalArrives(plug, unit, caseFile));
  const seen = unit ?? plug;
  if (seen && live) {
    const between = unit ? 'unit-live' : 'plug-live';
    // Past a limit the unit shows what it likes: nothing can be compared.
    const compared = signalAtRail(seen, caseFile) ? undefined : liveAgainstWire(caseFile, seen, live);
    if (compared) compare(between, !compared.differs);
  }
  const wireView = (name: 'plug' | 'unit', reading: typeof plug) => {
    const value = valueOf(reading);
    return {
      name,
      ...(reading ? { volts: reading.volts, readingId: reading.id } : {}),
      ...(value === undefined ? {} : { value }),
    };
  };
  return {
    views: [
      wireView('plug', plug),
      wireView('unit', unit),
      { name: 'live', ...(live ? { value: live.value, readingId: live.id } : {}) },
    ],
    ...(disagreement ? { disagreement } : {}),
    agree,
  };
}
