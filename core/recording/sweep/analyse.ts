import { asMeasured } from './asMeasured.ts';
import { averageOfTelegrams } from './findings/averageOfTelegrams.ts';
import { brokenPairs } from './findings/brokenPairs.ts';
import { figuresAgainstStimulus } from './findings/figuresAgainstStimulus.ts';
import type { SweepContext, SweepFinding } from './findings/finding.ts';
import { gapsInTime } from './findings/gapsInTime.ts';
import { goesBackward } from './findings/goesBackward.ts';
import { jumpsOnItsWay } from './findings/jumpsOnItsWay.ts';
import { liveAgainstWire } from './findings/liveAgainstWire.ts';
import { liveByItself } from './findings/liveByItself.ts';
import { lookedAt } from './findings/lookedAt.ts';
import { lostSignals } from './findings/lostSignals.ts';
import { markedSteps } from './findings/markedSteps.ts';
import { noisySignals } from './findings/noisySignals.ts';
import { offsetChanged } from './findings/offsetChanged.ts';
import { overRevs } from './findings/overRevs.ts';
import { stepsAnswered } from './findings/stepsAnswered.ts';
import { telegramsOnLine } from './findings/telegramsOnLine.ts';
import { travelSeen } from './findings/travelSeen.ts';
import { wrongReference } from './findings/wrongReference.ts';
import type { Recording } from './recording.ts';

const LOOKS = [
  lostSignals,
  jumpsOnItsWay,
  brokenPairs,
  wrongReference,
  liveAgainstWire,
  liveByItself,
  markedSteps,
  goesBackward,
  offsetChanged,
  overRevs,
  figuresAgainstStimulus,
  gapsInTime,
  stepsAnswered,
  noisySignals,
  travelSeen,
];

/** Everything that a recording says about a sensor, faults first, then in time; what was looked at stands last. */
export function analyseSweep(given: Recording, asGiven: SweepContext): SweepFinding[] {
  const { recording, context, questions } = asMeasured(given, asGiven);
  // A voltage between down and up means nothing of itself: nothing else is looked at.
  const line = telegramsOnLine(recording, context);
  if (line) return [...line, ...questions];
  const average = averageOfTelegrams(recording, context);
  const voltages = average.length === 0 ? context : withoutSignal(context);
  const rank = ({ weight }: SweepFinding) => (weight === 'fault' ? 0 : 1);
  const found = [...average, ...LOOKS.flatMap((look) => look(recording, voltages))].sort(
    (a, b) => rank(a) - rank(b) || a.fromSeconds - b.fromSeconds,
  );
  return [...found, ...questions, lookedAt(recording, voltages)];
}

const withoutSignal = (context: SweepContext): SweepContext => ({
  ...context,
  uses: context.uses.map((use) => (use === 'signal' ? 'other' : use)),
});
