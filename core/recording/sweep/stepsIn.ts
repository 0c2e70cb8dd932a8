import { answeredSteps, type AnsweredStep } from './answeredSteps.ts';
import { asMeasured } from './asMeasured.ts';
import type { SweepContext } from './findings/finding.ts';
import type { Recording } from './recording.ts';

/** Every step of the signal in volts, whatever it was recorded in; none where nobody said which channel it is. */
export function stepsIn(given: Recording, context: SweepContext): AnsweredStep[] {
  const { recording, context: read } = asMeasured(given, context);
  const valuesOf = (use: 'signal' | 'stimulus') => recording.channels[read.uses.indexOf(use)]?.values;
  const volts = valuesOf('signal');
  return volts ? answeredSteps(recording.seconds, volts, valuesOf('stimulus')) : [];
}
