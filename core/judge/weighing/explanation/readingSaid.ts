import {
  fixed,
  measured,
  ohms,
  say,
  volts,
  type Message,
  type Quantity,
} from '../../../measure/message/index.ts';
import { hertzSaid, numberOf, shownOf, spotSaid, type AnyEvidence } from '../../../record/evidence/index.ts';
import { conditionsSaid } from '../../../machine/places/index.ts';
import { observationOf, type ObservationMade } from '../../../record/observation/index.ts';
import { gaugeAgainstSensor, type CaseFile } from '../../checks/index.ts';
import type { Candidate } from '../outlook/candidates.ts';
import { isAlongOneWire } from '../likelihood/readingLists.ts';

/** A reading as one would say it: where, what, in which state. */
export const readingSaid = (reading: AnyEvidence, caseFile: CaseFile): Message =>
  say('weighing.reading', {
    target: spotSaid(reading),
    value: valueSaid(reading, caseFile),
    state: conditionsSaid(reading.state),
  });

/** A look with its answer. */
export const observationSaid = ({ observation, holds }: ObservationMade): Message => {
  const { question, yes, no } = observationOf(observation);
  return say('weighing.observation', { question, answer: say('looks.answer', { answer: holds ? yes : no }) });
};

/** A gauge on the scale of the sensor it is held against, wherever that can be told. */
function valueSaid(reading: AnyEvidence, { profile, ambient, gauge }: CaseFile): Quantity {
  if (reading.kind !== 'gauge') return shownOf(reading);
  const against = gaugeAgainstSensor(reading, profile.measures, ambient, gauge);
  return against.ok ? measured(against.value.value, profile.measures, 'with-basis') : shownOf(reading);
}

/** What an instrument would show, with no more digits than it has: two that look alike are one. */
export function shownOn(
  kind: Candidate['target']['kind'],
  reads: number,
  { profile }: Pick<CaseFile, 'profile'>,
): Quantity {
  if (kind === 'wire' || kind === 'between')
    return volts(rounded(reads, Math.abs(reads) < MILLIVOLTS_BELOW_VOLTS ? 0.001 : 0.01));
  if (kind === 'live-volts') return volts(rounded(reads, 0.01));
  if (kind === 'frequency') return hertzSaid(rounded(reads, 0.1));
  if (kind === 'duty') return fixed(rounded(reads, 0.1), 1, '%');
  if (kind === 'ohms') return ohms(reads < 1000 ? rounded(reads, 0.1) : Number(reads.toPrecision(3)));
  // A scale goes a little past the sensor's range; what is shown does not.
  const shown = Math.min(profile.highest, Math.max(profile.lowest, reads));
  return measured(rounded(shown, SHOWN_STEP[profile.measures]), profile.measures, 'with-basis');
}

/** Below this a meter shows millivolts. */
const MILLIVOLTS_BELOW_VOLTS = 0.6;
/** What is shown of a value, whatever the unit; pressures in kilopascals. */
const SHOWN_STEP = {
  'absolute-pressure': 0.1,
  'gauge-pressure': 0.1,
  'differential-pressure': 0.1,
  position: 0.1,
  angle: 0.1,
  'air-flow': 0.01,
} as const;
/** Never a minus zero, which would be another value than zero. */
const rounded = (value: number, step: number): number =>
  Number((Math.round(value / step) * step).toFixed(6)) || 0;

/** What the instrument showed, in the unit of predictions; either sign of a drop along a wire, nothing where it cannot be told. */
export function shownBy(reading: AnyEvidence, { profile, ambient, gauge }: CaseFile): number[] {
  if (reading.kind === 'gauge') {
    const against = gaugeAgainstSensor(reading, profile.measures, ambient, gauge);
    return against.ok ? [against.value.value] : [];
  }
  const read = numberOf(reading);
  return reading.kind === 'between' && isAlongOneWire(reading) ? [read, -read] : [read];
}
