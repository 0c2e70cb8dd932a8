import type { SensorProfile } from '../../../measure/transfer/index.ts';
import { LINE_FINDINGS, type SweepFinding } from './finding.ts';

/** What a capture of telegrams tells of its line, whatever the sensor on it is said to measure. */
const OF_THE_LINE: readonly SweepFinding['kind'][] = [...LINE_FINDINGS, 'telegrams-lost', 'looked'];

/** What is said only of a part whose own steps or pulses the library has. */
const OF_A_SENDER: readonly string[] = [
  'sweep.telegram-value-by-profile',
  'sweep.average-of-telegrams',
  'sweep.average-of-pulses',
  'sweep.pulses-value',
  'sweep.pulses-value-outside',
];

type Range = Pick<SensorProfile, 'measures' | 'lowest' | 'highest'>;

/** Whether what a recording was found to show would be something else, had it been looked through for another sensor. */
export function hangsOnSensor(findings: readonly SweepFinding[], was: Range, other: Range): boolean {
  const isSameRange =
    was.measures === other.measures && was.lowest === other.lowest && was.highest === other.highest;
  return !findings.every(
    ({ kind, sentence }) =>
      OF_THE_LINE.includes(kind) &&
      (sentence.code === 'sweep.telegram-value' ? isSameRange : !OF_A_SENDER.includes(sentence.code)),
  );
}
