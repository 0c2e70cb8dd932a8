import { sameMessage, type Message } from '../../measure/message/index.ts';
import { sameDrive, type Drive } from '../../machine/places/index.ts';
import { problemSaid } from '../../measure/problem/index.ts';
import {
  compareValues,
  measuredValue,
  SENSOR_TOLERANCE,
  type Comparison,
  type MeasuredValue,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { countedAtPlug, countedValue } from './countedValue.ts';
import { liveValue, liveValueOfQuantity } from './liveValue.ts';
import { signalAtPlug, valueOfSignal } from './sensorValue.ts';
import { railSaid, signalAtRail } from './signalAtRail.ts';
import { type SourceName, type Source, scanIn, gaugeSources, ambientSource } from './comparedSources.ts';

export interface Pair {
  a: SourceName;
  b: SourceName;
  comparison: Comparison;
  /** Whether a difference of this size would change a decision. */
  matters: boolean;
}

/** A return that shifts the reading by less than this share of what matters is not worth a line of its own. */
const WORTH_TELLING_APART_SHARE = 0.075;

export interface Compared {
  sources: Source[];
  pairs: Pair[];
  /** Why the signal that was read is no value to compare: it is past a limit of its circuit, or has no supply. */
  noSensor?: Message | undefined;
}

/**
 * Everything that tells what the sensor measures in one state, on one basis, and each against the sensor; where no signal gives a
 * value, against live data. A signal past a limit of its circuit is judged as that, and compared with nothing.
 */
export function comparisonsIn(caseFile: CaseFile, drive: Drive): Compared {
  const scan = scanIn(caseFile, drive);
  const mechanical = [...gaugeSources(caseFile, drive), ...ambientSource(caseFile, drive)];
  const live: Source[] = scan ? [{ name: 'live-data', measured: liveValue(caseFile, scan) }] : [];
  const signal = signalAtPlug(caseFile.readings, drive);
  const limit = caseFile.profile.differenceThatMatters;
  const against = (a: Source, b: Source): Pair => {
    const comparison = compareValues(a.measured, b.measured, limit);
    return { a: a.name, b: b.name, comparison, matters: Math.abs(comparison.difference) > limit };
  };
  if (signal && signalAtRail(signal, caseFile)) {
    // The unit may show a substituted value meanwhile: that is no witness of anything.
    return { sources: [...mechanical, ...live], pairs: [], noSensor: railSaid(signal, caseFile) };
  }
  const sensor = signal && valueOfSignal(caseFile, signal);
  const others = [...mechanical, ...live];
  const counted = countedAtPlug(caseFile, (state) => sameDrive(state, drive));
  const sent = counted && countedValue(caseFile, counted);
  if (sent) {
    const own: Source = { name: 'sensor', measured: sent };
    const believed = { ...own, measured: withoutTolerance(sent) };
    return {
      sources: [own, ...others],
      pairs: others.map((other) => against(other.name === 'live-data' ? believed : own, other)),
    };
  }
  if (!sensor?.ok) {
    const noSensor = sensor && problemSaid(sensor.problem);
    if (!scan) return { sources: mechanical, pairs: [], noSensor };
    const shown: Source = { name: 'live-data', measured: liveValueOfQuantity(caseFile, scan) };
    return {
      sources: [...mechanical, shown],
      pairs: mechanical.map((other) => against(shown, other)),
      noSensor,
    };
  }
  const own: Source = { name: 'sensor', measured: sensor.value.own };
  // The unit does not see the sensor's return: with a raised one, the same signal is two values.
  const asSeen: Source = { name: 'as-seen', measured: sensor.value.asSeen };
  const shiftedByReturn =
    Math.abs(own.measured.value - asSeen.measured.value) > WORTH_TELLING_APART_SHARE * limit;
  // Live data uses the sensor's own curve on what it sees, so the sensor's tolerance is no doubt there.
  const believed = {
    name: shiftedByReturn ? asSeen.name : own.name,
    measured: withoutTolerance(asSeen.measured),
  };
  return {
    sources: [own, ...(shiftedByReturn ? [asSeen] : []), ...others],
    pairs: others.map((other) => against(other.name === 'live-data' ? believed : own, other)),
  };
}

/** The value without the terms of the sensor's own tolerance: what was measured, whatever the sensor should be. */
export const withoutTolerance = ({ value, terms, bound }: MeasuredValue): MeasuredValue =>
  measuredValue(
    value,
    terms.filter(({ source }) => !sameMessage(source, SENSOR_TOLERANCE)),
    bound,
  );
